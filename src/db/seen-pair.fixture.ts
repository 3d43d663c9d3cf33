import { randomUUID } from 'node:crypto'
import { PLAIN_BRIEF } from '../core/advice/brief'
import { DEFAULT_HOUSE_RULES } from '../core/advice/house-rules'
import { addCandidate } from './candidates'
import type { Db } from './db'
import { addDeck, listDeckColours, type NewDeckColour } from './decks'
import { PLAIN_KEEPER, saveKeeper } from './keepers'
import type { NewLook } from './looks'
import { saveRoom } from './rooms'
import { saveVisit, type NewVisit } from './visits'

// What the tests of the record start from; invented.

/** A visit with a brief. */
export const visit = (change: Partial<NewVisit> = {}): NewVisit => ({
  id: randomUUID(),
  household: 'The Ashbys',
  wishes: 'calmer',
  willNotHave: '',
  houseRules: DEFAULT_HOUSE_RULES,
  ...PLAIN_BRIEF,
  placeName: 'Somewhere',
  latitudeDeg: 52,
  longitudeDeg: -1,
  timeZone: 'Europe/London',
  visitDate: '2026-06-21',
  ...change,
})

export const COLOURS: NewDeckColour[] = [
  {
    code: 'X1',
    name: 'Oneling',
    strip: 'X',
    base: 'white',
    reading: { kind: 'lab', lab: [90, 1, 8] },
  },
  {
    code: 'X2',
    name: 'Twoling',
    strip: 'X',
    base: 'deep',
    reading: { kind: 'srgb', hex: '#6b5a4a' },
  },
]

/** A visit with a room, a keeper, a candidate and a look ready to be kept. */
export async function seenPair(db: Db) {
  const v = visit()
  await saveVisit(db, v)
  const roomId = randomUUID()
  await saveRoom(db, {
    id: roomId,
    visitId: v.id,
    name: 'Kitchen',
    northSouthMm: 4000,
    eastWestMm: 3000,
    heightMm: 2500,
    useHours: 'daytime',
    treatment: 'plain',
  })
  const keeper = {
    ...PLAIN_KEEPER,
    id: randomUUID(),
    roomId,
    name: 'Stone',
    kind: 'stone',
    place: 'by the window',
    varies: true,
  } as const
  await saveKeeper(db, keeper, [
    { part: 'ground', sharePercent: 80, reading: { kind: 'lab', lab: [66, 9, 14] } },
    { part: 'vein', sharePercent: 20, reading: { kind: 'srgb', hex: '#806040' } },
  ])
  const deckId = await addDeck(db, { maker: 'M', name: 'D', whiteBase: [96, 0, 1] }, COLOURS)
  const [colour] = await listDeckColours(db, deckId!)
  const candidateId = randomUUID()
  await addCandidate(db, {
    id: candidateId,
    visitId: v.id,
    deckColourId: colour!.deckColourId,
    strengthPercent: 75,
  })
  const look: NewLook = {
    id: randomUUID(),
    candidateId,
    roomId,
    keeperId: keeper.id,
    lightSource: 'room',
    lightMinute: 1050,
    sky: 'clear',
    spot: 'east-back',
    lampsOn: false,
    verdict: 'no',
    reasons: ['too green'],
    note: 'Mustard.',
  }
  return { visit: v, roomId, keeper, candidateId, look }
}
