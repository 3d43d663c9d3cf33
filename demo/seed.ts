import { readFileSync } from 'node:fs'
import { PLAIN_LAMP, PLAIN_WINDOW } from '../src/core/light/room'
import { addCandidate, listCandidates } from '../src/db/candidates'
import type { Db } from '../src/db/db'
import { addDeck, listDeckColours } from '../src/db/decks'
import { PLAIN_KEEPER, saveKeeper } from '../src/db/keepers'
import { keepLook } from '../src/db/looks'
import { saveLamp, saveRoom, saveSights, saveWindow } from '../src/db/rooms'
import { keepPhoto } from '../src/db/photos'
import { openStore } from '../src/db/store'
import { saveVisit, setVisitFinished } from '../src/db/visits'
import { cleanPhoto } from '../src/formats/photo'
import { readDeckCsv } from '../src/formats/deck-csv'
import { DEMO_DECK, DEMO_MAKER, DEMO_WHITE_BASE } from './deck-generator'
import { DEMO_VISITS } from './scenario'
import type { DemoKeeper, DemoRoom, DemoVisit } from './visits/visit-shape'
import { stonePhoto } from './stone-photo'
import { seededRandom } from '../src/core/seeded-random'

// Fills an empty data directory with the demo: node --import tsx demo/seed.ts DIRECTORY

const random = seededRandom(7)

/** A version 4 UUID that is the same in every run, so that addresses of the demo are. */
function steadyId(): string {
  const hex = Array.from({ length: 32 }, () => Math.floor(random() * 16).toString(16))
  hex[12] = '4'
  hex[16] = '89ab'[Math.floor(random() * 4)]!
  const text = hex.join('')
  return [
    text.slice(0, 8),
    text.slice(8, 12),
    text.slice(12, 16),
    text.slice(16, 20),
    text.slice(20),
  ].join('-')
}

async function seedDeck(db: Db): Promise<Map<string, string>> {
  const csv = readDeckCsv(readFileSync(new URL('deck.csv', import.meta.url)))
  if (!csv.ok) throw new Error(`demo/deck.csv: ${JSON.stringify(csv.errors)}`)
  const deck = { maker: DEMO_MAKER, name: DEMO_DECK, whiteBase: DEMO_WHITE_BASE }
  const deckId = await addDeck(db, deck, csv.colours)
  if (!deckId) throw new Error('the demo deck is there already')
  const colours = await listDeckColours(db, deckId)
  return new Map(colours.map(({ code, deckColourId }) => [code, deckColourId]))
}

/** A photo of the stone counter, as the server keeps one. */
async function seedPhoto(db: Db, dataDir: string): Promise<string> {
  const clean = await cleanPhoto(await stonePhoto())
  if (!clean.ok) throw new Error(clean.message)
  return keepPhoto(db, dataDir, clean.photo)
}

async function seedVisit(
  db: Db,
  visit: DemoVisit,
  deckColourIds: Map<string, string>,
  photoHash: string,
): Promise<void> {
  const { place, rooms, candidates, date, finished, brief, ...said } = visit
  const visitId = steadyId()
  await saveVisit(db, {
    ...said,
    ...brief,
    wants: [...brief.wants],
    id: visitId,
    placeName: place.name,
    latitudeDeg: place.latitudeDeg,
    longitudeDeg: place.longitudeDeg,
    timeZone: place.timeZone,
    visitDate: date,
  })
  for (const [code, strengthPercent] of candidates) {
    const deckColourId = deckColourIds.get(code)
    if (!deckColourId) throw new Error(`the demo deck has no ${code}`)
    await addCandidate(db, { id: steadyId(), visitId, deckColourId, strengthPercent })
  }
  const taken = await listCandidates(db, visitId)
  const candidateIds = new Map(taken.map(({ code, id }) => [code, id]))
  const roomIds = new Map<string, string>()
  const entered: Entered = new Map()
  for (const room of rooms)
    roomIds.set(room.name, await seedRoom(db, visitId, room, candidateIds, entered, photoHash))
  for (const { name, seenFrom = [] } of rooms)
    await saveSights(
      db,
      roomIds.get(name)!,
      seenFrom.map((other) => roomIds.get(other)!),
    )
  await setVisitFinished(db, visitId, finished)
}

/** Finishes entered so far in a visit: one that runs on into another room is entered once. */
type Entered = Map<DemoKeeper, { readonly id: string; readonly roomIds: string[] }>

async function seedRoom(
  db: Db,
  visitId: string,
  room: DemoRoom,
  candidateIds: ReadonlyMap<string, string>,
  entered: Entered,
  photoHash: string,
): Promise<string> {
  const roomId = steadyId()
  const [northSouthMm, eastWestMm, heightMm] = room.sizeMm
  await saveRoom(db, {
    id: roomId,
    visitId,
    name: room.name,
    northSouthMm,
    eastWestMm,
    heightMm,
    useHours: room.useHours ?? 'daytime',
    treatment: 'plain',
  })
  for (const window of room.windows)
    await saveWindow(db, roomId, { ...PLAIN_WINDOW, ...window, id: steadyId() })
  for (const lamp of room.lamps)
    await saveLamp(db, roomId, { ...PLAIN_LAMP, ...lamp, id: steadyId() })
  const keeperIds = new Map<string, string>()
  for (const keeper of room.keepers) {
    const { colours, photographed, ...said } = keeper
    const { id, roomIds } = entered.get(keeper) ?? { id: steadyId(), roomIds: [] }
    entered.set(keeper, { id, roomIds: [...roomIds, roomId] })
    keeperIds.set(said.name, id)
    await saveKeeper(
      db,
      {
        ...PLAIN_KEEPER,
        ...said,
        id,
        roomId: roomIds[0] ?? roomId,
        roomIds: [...roomIds, roomId],
        photoHash: photographed ? photoHash : null,
      },
      colours.map(([part, sharePercent, lab]) => ({
        part,
        sharePercent,
        reading: { kind: 'lab', lab },
      })),
    )
  }
  for (const look of room.looks) {
    const kept = await keepLook(db, {
      id: steadyId(),
      candidateId: candidateIds.get(look.code)!,
      roomId,
      keeperId: keeperIds.get(look.against)!,
      lightSource: look.light,
      lightMinute: look.minute,
      sky: 'clear',
      spot: 'walls',
      lampsOn: false,
      verdict: look.verdict,
      reasons: [...look.reasons],
      note: look.note,
    })
    if (!kept)
      throw new Error(`${room.name}: ${look.code} against ${look.against} could not be kept`)
  }
  return roomId
}

const [, , dataDir] = process.argv
if (!dataDir) throw new Error('expected a data directory to fill')
const store = await openStore(dataDir)
const deckColourIds = await seedDeck(store.db)
const photoHash = await seedPhoto(store.db, dataDir)
for (const visit of DEMO_VISITS) await seedVisit(store.db, visit, deckColourIds, photoHash)
await store.close()
