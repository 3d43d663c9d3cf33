import type { PayloadOf } from '../src/commands/kinds'
import { USUAL_BOARD } from '../src/core/boards/sample'
import { DEFAULT_HOUSE_RULES } from '../src/core/advice/house-rules'
import { dateOfDayNumber, dayNumber } from '../src/core/light/calendar-date'
import { utcMsAt } from '../src/core/light/day-clock'
import { PLAIN_LAMP, PLAIN_WINDOW } from '../src/core/light/room'
import type { Sheen } from '../src/core/paint/sheen'
import { gapsOf } from '../src/core/record/gaps'
import type { Surface } from '../src/core/record/proposal'
import { layDeckIn, listDeckColours, type DeckColour } from '../src/db/decks'
import { listKeepers } from '../src/db/keepers'
import { listLooks } from '../src/db/looks'
import { storePhoto } from '../src/store/photos'
import { USUAL_ROOM_PAINT } from '../src/db/room-paint'
import { listRooms } from '../src/db/rooms'
import { findVisit } from '../src/db/visits'
import { openStore } from '../src/store/store'
import { cleanPhoto } from '../src/formats/photo'
import { SHIPPED_DECK, shippedColours } from '../src/formats/shipped-deck'
import { localDay } from '../src/time/local-day'
import { Hand, steadyId } from './hand'
import { DEMO_VISITS } from './scenario'
import { seedPractice } from './seed-practice'
import { seedLook, strengthOf, type Visited } from './seed-look'
import { stonePhotos } from './stone-patch'
import type { DemoKeeper, DemoRoom, DemoVisit } from './visits/visit-shape'

// Fills an empty data directory with the demo, change by change as hands would have made it:
// node --import tsx demo/seed.ts DIRECTORY

async function seedDeck(hand: Hand): Promise<ReadonlyMap<string, DeckColour>> {
  const { whiteBase, ...deck } = SHIPPED_DECK
  const shipped = shippedColours()
  const deckId = steadyId()
  await layDeckIn(hand.db, deckId, { ...deck, whiteBase }, shipped)
  await hand.make('open-deck', { ...deck, deckId, colours: shipped.length })
  const colours = await listDeckColours(hand.db, deckId)
  return new Map(colours.map((colour) => [colour.code, colour]))
}

/** A photo, as the server keeps one. */
async function seedPhoto(hand: Hand, dataDir: string, photo: Buffer): Promise<string> {
  const clean = await cleanPhoto(photo)
  if (!clean.ok) throw new Error(clean.message)
  const { jpeg, widthPx, heightPx } = clean.photo
  const hash = await storePhoto(dataDir, jpeg)
  await hand.make('keep-photo', { hash, widthPx, heightPx, byteLength: jpeg.byteLength })
  return hash
}

async function seedVisit(
  hand: Hand,
  visit: DemoVisit,
  deck: ReadonlyMap<string, DeckColour>,
  photos: Visited['photos'],
): Promise<void> {
  const { place, rooms, date, finished, brief, household, wishes, willNotHave, houseRules } = visit
  const visitId = steadyId()
  await hand.make('keep-brief', {
    visitId,
    household,
    wishes,
    willNotHave,
    ...brief,
    visitDate: date,
    wants: [...brief.wants],
    houseRules: houseRules as never,
    placeName: place.name,
    latitudeDeg: place.latitudeDeg,
    longitudeDeg: place.longitudeDeg,
    timeZone: place.timeZone,
  })
  const visited: Visited = {
    visitId,
    visit,
    deck,
    photos,
    entered: new Map(),
    candidateIds: new Map(),
    toLook: [],
  }
  const roomIds = new Map<string, string>()
  for (const room of rooms) roomIds.set(room.name, await seedRoom(hand, visited, room))
  for (const room of rooms)
    if (room.seenFrom)
      await hand.make('keep-room', {
        ...roomPayload(visitId, roomIds.get(room.name)!, room),
        seenFrom: room.seenFrom.map((other) => roomIds.get(other)!),
      })
  const day = localDay(date, place.timeZone)
  for (const each of visited.toLook.toSorted((p, q) => p.look.minute - q.look.minute)) {
    hand.waitUntil(utcMsAt(day, each.look.minute))
    await seedLook(hand, visited, each)
  }
  for (const room of rooms) {
    await seedStanding(hand, visited, roomIds.get(room.name)!, room)
    await seedPaint(hand, visited, roomIds.get(room.name)!, room)
  }
  if (finished) await hand.make('finish-visit', { visitId, finished })
}

function roomPayload(visitId: string, roomId: string, room: DemoRoom): PayloadOf<'keep-room'> {
  const [northSouthMm, eastWestMm, heightMm] = room.sizeMm
  return {
    visitId,
    roomId,
    name: room.name,
    northSouthMm,
    eastWestMm,
    heightMm,
    useHours: room.useHours ?? 'daytime',
    treatment: 'plain',
    seenFrom: [],
  }
}

async function seedRoom(hand: Hand, visited: Visited, room: DemoRoom): Promise<string> {
  const { visitId } = visited
  const roomId = steadyId()
  await hand.make('keep-room', roomPayload(visitId, roomId, room))
  for (const window of room.windows)
    await hand.make('keep-window', {
      visitId,
      roomId,
      windowId: steadyId(),
      ...PLAIN_WINDOW,
      ...window,
    })
  for (const lamp of room.lamps)
    await hand.make('keep-lamp', { visitId, roomId, lampId: steadyId(), ...PLAIN_LAMP, ...lamp })
  const keeperIds = new Map<string, string>()
  for (const keeper of room.keepers)
    keeperIds.set(keeper.name, await seedKeeper(hand, visited, roomId, keeper))
  const codes = new Set([...(room.proposed ?? []), ...room.looks.map(({ code }) => code)])
  for (const code of codes) await propose(hand, visited, roomId, code)
  for (const look of room.looks)
    visited.toLook.push({ room, roomId, keeperId: keeperIds.get(look.against)!, look })
  return roomId
}

async function seedStanding(
  hand: Hand,
  { visitId, candidateIds }: Visited,
  roomId: string,
  room: DemoRoom,
): Promise<void> {
  for (const [code, status, reason = ''] of room.standing ?? []) {
    if (status === 'picked') {
      await seedRuling(hand, visitId, roomId, candidateIds.get(code)!, reason)
      continue
    }
    await hand.make('propose', {
      visitId,
      roomId,
      proposalId: steadyId(),
      candidateId: candidateIds.get(code)!,
      surface: 'walls',
      sheen: 'matt',
      status,
      reason,
      withdrawn: false,
      replaces: null,
    })
  }
}

/** What else of a room is painted, its boards, and what is on its walls now. */
async function seedPaint(
  hand: Hand,
  visited: Visited,
  roomId: string,
  { alsoPainted = [], boards = [], oldWalls }: DemoRoom,
): Promise<void> {
  const { visitId, visit, candidateIds } = visited
  for (const [code, surface, sheen, ruled] of alsoPainted) {
    await propose(hand, visited, roomId, code, surface, sheen)
    if (ruled) await seedRuling(hand, visitId, roomId, candidateIds.get(code)!, '', surface, sheen)
  }
  const begun = dateOfDayNumber(dayNumber(visit.date)! + 1)
  for (const code of boards)
    await hand.make('keep-board', {
      ...{ visitId, boardId: steadyId(), candidateId: candidateIds.get(code)!, roomId: null },
      ...USUAL_BOARD,
      ...{ sheen: 'eggshell', count: 1, begun: { date: begun, clockMinute: 480 } },
    })
  if (oldWalls)
    await hand.make('keep-room-paint', {
      ...{ visitId, roomId },
      ...USUAL_ROOM_PAINT,
      oldWalls: { kind: 'lab', lab: [...oldWalls] },
    })
}

/** A surface of a room is ruled on, with what the record does not hold. */
async function seedRuling(
  hand: Hand,
  visitId: string,
  roomId: string,
  candidateId: string,
  compromise: string,
  surface: Surface = 'walls',
  sheen: Sheen = 'matt',
): Promise<void> {
  const [room] = (await listRooms(hand.db, visitId)).filter(({ id }) => id === roomId)
  const keepers = (await listKeepers(hand.db, visitId)).filter((each) =>
    each.roomIds.includes(roomId),
  )
  const looks = (await listLooks(hand.db, visitId)).filter(
    (look) => look.roomId === roomId && look.candidate.candidateId === candidateId,
  )
  const { windows, lamps } = room!
  const toRule = {
    hasWindow: windows.length > 0,
    hasLamps: lamps.length > 0,
    hasSkies: (await findVisit(hand.db, visitId))!.climate !== 'sunny',
    keepers,
  }
  await hand.make('rule', {
    ...{ visitId, roomId, candidateId, compromise },
    rulingId: steadyId(),
    ...{ surface, sheen },
    gaps: [...gapsOf(toRule, looks)],
  })
}

async function seedKeeper(
  hand: Hand,
  { visitId, entered, photos }: Visited,
  roomId: string,
  keeper: DemoKeeper,
): Promise<string> {
  const { colours, photographed, ...said } = keeper
  const { id, roomIds } = entered.get(keeper) ?? { id: steadyId(), roomIds: [] }
  entered.set(keeper, { id, roomIds: [...roomIds, roomId] })
  await hand.make('keep-keeper', {
    place: '',
    note: '',
    varies: false,
    replacedBy: '',
    viewShare: 'some',
    dearness: null,
    ...said,
    visitId,
    keeperId: id,
    roomId: roomIds[0] ?? roomId,
    roomIds: [...roomIds, roomId],
    photoHash: photographed ? photos.photoHash : null,
    patchHash: photographed ? photos.patchHash : null,
    colours: colours.map(([part, sharePercent, lab]) => ({
      part,
      sharePercent,
      source: null,
      reading: { kind: 'lab', lab: [...lab] },
    })),
  })
  return id
}

async function propose(
  hand: Hand,
  visited: Visited,
  roomId: string,
  code: string,
  surface: Surface = 'walls',
  sheen: Sheen = 'matt',
): Promise<void> {
  const { visitId, deck, candidateIds } = visited
  const candidateId = candidateIds.get(code) ?? steadyId()
  candidateIds.set(code, candidateId)
  await hand.make('take-up', {
    visitId,
    roomId,
    candidateId,
    proposalId: steadyId(),
    deckColourId: deck.get(code)!.deckColourId,
    strengthPercent: strengthOf(visited, code),
    ...{ surface, sheen },
  })
}

const DEMO_CONSULTANT = 'Ines Tarrow'

const [, , dataDir] = process.argv
if (!dataDir) throw new Error('expected a data directory to fill')
const store = await openStore(dataDir)
const before = new Hand(store.db, DEMO_CONSULTANT, Date.parse('2026-05-20T09:00:00Z'))
await before.make('keep-settings', {
  who: DEMO_CONSULTANT,
  lengths: 'metric',
  volumes: 'litres',
  houseRules: DEFAULT_HOUSE_RULES as never,
})
const deck = await seedDeck(before)
const photos = await stonePhotos()
const photoHash = await seedPhoto(before, dataDir, photos.corrected)
const patchHash = await seedPhoto(before, dataDir, photos.patch)
for (const visit of DEMO_VISITS) {
  const day = localDay(visit.date, visit.place.timeZone)
  const begins = day.startUtcMs + visit.brief.fromMinute * 60_000
  await seedVisit(new Hand(store.db, visit.by, begins), visit, deck, { photoHash, patchHash })
}
const evening = Date.parse('2026-05-21T18:00:00Z')
await seedPractice(new Hand(store.db, DEMO_CONSULTANT, evening), evening)
await store.close()
