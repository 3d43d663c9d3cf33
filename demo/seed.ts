import { readFileSync } from 'node:fs'
import { apply } from '../src/commands/apply'
import type { KindName, PayloadOf } from '../src/commands/kinds'
import { prepareLight } from '../src/core/colour/appearance'
import { PLAIN_LAMP, PLAIN_WINDOW, PLAIN_SURFACES } from '../src/core/light/room'
import { lightOf, type LightChoice, type RoomDay } from '../src/core/light/light-choice'
import { roleOf } from '../src/core/pairing/role'
import { reflectanceOfReading } from '../src/core/paint/reading'
import { atStrength, ladderOf } from '../src/core/paint/strength'
import { seededRandom } from '../src/core/seeded-random'
import { uuidOfHex } from '../src/core/uuid'
import type { Db } from '../src/db/db'
import { layDeckIn, listDeckColours, type DeckColour } from '../src/db/decks'
import { storePhoto } from '../src/db/photos'
import { openStore } from '../src/db/store'
import { readDeckCsv } from '../src/formats/deck-csv'
import { cleanPhoto } from '../src/formats/photo'
import { utcMsAt } from '../src/core/light/day-clock'
import { localDay } from '../src/time/local-day'
import { lookLight, modelThen, readingOf, type BenchPair } from '../src/ui/bench/bench-model'
import { DEMO_DECK, DEMO_MAKER, DEMO_WHITE_BASE } from './deck-generator'
import { DEMO_VISITS } from './scenario'
import { stonePhoto } from './stone-photo'
import type { DemoKeeper, DemoLook, DemoRoom, DemoVisit } from './visits/visit-shape'

// Fills an empty data directory with the demo, change by change as hands would have made it:
// node --import tsx demo/seed.ts DIRECTORY

const random = seededRandom(7)

/** A version 4 UUID that is the same in every run, so that addresses of the demo are. */
function steadyId(): string {
  const hex = Array.from({ length: 32 }, () => Math.floor(random() * 16).toString(16))
  return uuidOfHex(hex.join(''), 4)
}

/** Makes changes, one after another, with a clock that starts at an instant and goes on a minute a change. */
class Hand {
  constructor(
    readonly db: Db,
    private readonly by: string,
    private atMs: number,
  ) {}

  /** Goes on at an instant, or a minute after the last change where that is later. */
  waitUntil(utcMs: number): void {
    this.atMs = Math.max(this.atMs, utcMs - 60_000)
  }

  async make<K extends KindName>(kind: K, payload: PayloadOf<K>): Promise<void> {
    this.atMs += 60_000
    const madeAt = new Date(this.atMs).toISOString()
    const command = { id: steadyId(), kind, payload, actor: this.by, device: 'demo', madeAt }
    const answer = await apply(this.db, command, madeAt)
    if (!answer.ok)
      throw new Error(`${kind} was refused: ${answer.message} ${JSON.stringify(answer.fields)}`)
  }
}

async function seedDeck(hand: Hand): Promise<ReadonlyMap<string, DeckColour>> {
  const csv = readDeckCsv(readFileSync(new URL('deck.csv', import.meta.url)))
  if (!csv.ok) throw new Error(`demo/deck.csv: ${JSON.stringify(csv.errors)}`)
  const deckId = steadyId()
  const deck = { maker: DEMO_MAKER, name: DEMO_DECK }
  await layDeckIn(hand.db, deckId, { ...deck, whiteBase: DEMO_WHITE_BASE }, csv.colours)
  await hand.make('open-deck', { ...deck, deckId, colours: csv.colours.length })
  const colours = await listDeckColours(hand.db, deckId)
  return new Map(colours.map((colour) => [colour.code, colour]))
}

/** A photo of the stone counter, as the server keeps one. */
async function seedPhoto(hand: Hand, dataDir: string): Promise<string> {
  const clean = await cleanPhoto(await stonePhoto())
  if (!clean.ok) throw new Error(clean.message)
  const { jpeg, widthPx, heightPx } = clean.photo
  const hash = await storePhoto(dataDir, jpeg)
  await hand.make('keep-photo', { hash, widthPx, heightPx, byteLength: jpeg.byteLength })
  return hash
}

interface Visited {
  readonly visitId: string
  readonly visit: DemoVisit
  readonly deck: ReadonlyMap<string, DeckColour>
  readonly photoHash: string
  /** Finishes entered so far: one that runs on into another room is entered once. */
  readonly entered: Map<DemoKeeper, { readonly id: string; readonly roomIds: string[] }>
  readonly candidateIds: Map<string, string>
  /** Looks to be taken, each at its hour. */
  readonly toLook: LookToTake[]
}

interface LookToTake {
  readonly room: DemoRoom
  readonly roomId: string
  readonly keeperId: string
  readonly look: DemoLook
}

async function seedVisit(
  hand: Hand,
  visit: DemoVisit,
  deck: ReadonlyMap<string, DeckColour>,
  photoHash: string,
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
    photoHash,
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
  for (const room of rooms) await seedStanding(hand, visited, roomIds.get(room.name)!, room)
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
  for (const [code, status, reason = ''] of room.standing ?? [])
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

async function seedKeeper(
  hand: Hand,
  { visitId, entered, photoHash }: Visited,
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
    photoHash: photographed ? photoHash : null,
    colours: colours.map(([part, sharePercent, lab]) => ({
      part,
      sharePercent,
      source: null,
      reading: { kind: 'lab', lab: [...lab] },
    })),
  })
  return id
}

const strengthOf = ({ visit }: Visited, code: string): number =>
  visit.candidates.find(([each]) => each === code)![1]

async function propose(hand: Hand, visited: Visited, roomId: string, code: string): Promise<void> {
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
    surface: 'walls',
    sheen: 'matt',
  })
}

/** A look with what the model said of the pair in that light. */
async function seedLook(
  hand: Hand,
  visited: Visited,
  { room, roomId, keeperId, look }: LookToTake,
): Promise<void> {
  const { visitId, candidateIds } = visited
  const strengthPercent = strengthOf(visited, look.code)
  const roomDay = dayOf(visited.visit, room)
  const choice: LightChoice = {
    source: look.light,
    minute: look.minute,
    sky: 'clear',
    lampsOn: false,
    spot: 'walls',
  }
  const light = lightOf(roomDay, choice)
  const { held = 'board', heldPercent = strengthPercent, onScreen = false, ...how } = look.how
  await hand.make('keep-look', {
    visitId,
    lookId: steadyId(),
    roomId,
    candidate: {
      candidateId: candidateIds.get(look.code)!,
      deckColourId: visited.deck.get(look.code)!.deckColourId,
      strengthPercent,
      sheen: 'matt',
    },
    against: { kind: 'keeper', keeperId, part: null },
    seen: onScreen ? { as: 'screen' } : { as: 'sample', held, strengthPercent: heldPercent },
    light: lookLight(roomDay, choice, light, how.place ?? ''),
    verdict: look.verdict,
    reasons: [...look.reasons],
    note: look.note,
    lean: how.lean ?? null,
    client: how.client ?? null,
    modelSeenBefore: false,
    model:
      light &&
      modelThen(
        readingOf(
          prepareLight(light.spectrum, light.illuminanceLux),
          pairOf(visited, room, look),
          null,
        ),
      ),
  })
}

function pairOf({ visit, deck }: Visited, room: DemoRoom, look: DemoLook): BenchPair {
  const colour = deck.get(look.code)!
  const full = reflectanceOfReading(colour.reading)
  const whiteBase = reflectanceOfReading({ kind: 'lab', lab: DEMO_WHITE_BASE })
  const rung = (strengthPercent: number) => ({
    strengthPercent,
    source: 'maker' as const,
    reflectance: atStrength(full, whiteBase, strengthPercent),
  })
  const [, strengthPercent] = visit.candidates.find(([code]) => code === look.code)!
  const keeper = room.keepers.find(({ name }) => name === look.against)!
  return {
    candidate: {
      ...rung(strengthPercent),
      id: '',
      deckColourId: colour.deckColourId,
      code: colour.code,
      name: colour.name,
      maker: DEMO_MAKER,
      sheen: 'matt',
      whyNoLadder: null,
      ladder: ladderOf(colour.base).map(rung),
    },
    keeper: {
      id: '',
      name: keeper.name,
      state: keeper.state,
      varies: keeper.varies ?? false,
      role: roleOf(keeper.kind, visit.houseRules),
      colours: keeper.colours.map(([part, sharePercent, lab]) => ({
        part,
        sharePercent,
        source: 'reader' as const,
        reflectance: reflectanceOfReading({ kind: 'lab', lab }),
      })),
    },
  }
}

function dayOf({ place, date }: DemoVisit, room: DemoRoom): RoomDay {
  const [northSouthMm, eastWestMm, heightMm] = room.sizeMm
  return {
    place,
    day: localDay(date, place.timeZone),
    room: {
      northSouthMm,
      eastWestMm,
      heightMm,
      surfaces: PLAIN_SURFACES,
      windows: room.windows.map((window) => ({ ...PLAIN_WINDOW, ...window })),
      lamps: room.lamps.map((lamp) => ({ ...PLAIN_LAMP, ...lamp })),
    },
  }
}

const [, , dataDir] = process.argv
if (!dataDir) throw new Error('expected a data directory to fill')
const store = await openStore(dataDir)
const before = new Hand(store.db, 'Ines Tarrow', Date.parse('2026-05-20T09:00:00Z'))
const deck = await seedDeck(before)
const photoHash = await seedPhoto(before, dataDir)
for (const visit of DEMO_VISITS) {
  const day = localDay(visit.date, visit.place.timeZone)
  const begins = day.startUtcMs + visit.brief.fromMinute * 60_000
  await seedVisit(new Hand(store.db, visit.by, begins), visit, deck, photoHash)
}
await store.close()
