import { PLAIN_BRIEF } from '../core/advice/brief'
import { DEFAULT_HOUSE_RULES } from '../core/advice/house-rules'
import { PLAIN_LAMP, PLAIN_WINDOW } from '../core/light/room'
import { USUAL_BOARD } from '../core/boards/sample'
import { listBoards } from '../db/boards'
import { listAllCandidates } from '../db/candidates'
import { RECORD_TABLES, type TableName } from '../db/codec'
import type { Db } from '../db/db'
import { layDeckIn, listDeckColours, type NewDeckColour } from '../db/decks'
import { listFinishLooks } from '../db/finish-looks'
import { listKeepers } from '../db/keepers'
import { listLooks } from '../db/looks'
import { listMeterReadings } from '../db/meter-readings'
import { listRooms } from '../db/rooms'
import { listRoomPaint, USUAL_ROOM_PAINT } from '../db/room-paint'
import { listRulings } from '../db/rulings'
import { listPlacings } from '../db/placings'
import { listSchemes } from '../db/schemes'
import { listSweeps } from '../db/sweeps'
import { listWhatIfs } from '../db/what-ifs'
import { findVisit } from '../db/visits'
import { apply } from './apply'
import type { Answer, Command, KindName, PayloadOf } from './kinds'

// A house to change; invented.

/** The n-th id of a test: steady, so that a failure can be read. */
export const idOf = (n: number): string =>
  `${n.toString(16).padStart(8, '0')}-0000-4000-8000-000000000000`

export const NOW = '2026-06-21T10:00:00.000Z'

/** A change as somebody's tablet sends it. */
export const command = <K extends KindName>(
  id: number,
  kind: K,
  payload: PayloadOf<K>,
  more: Partial<Omit<Command, 'kind' | 'payload'>> = {},
): Command<K> => ({
  id: idOf(id),
  actor: 'Ines Tarrow',
  device: 'tablet',
  madeAt: NOW,
  ...more,
  kind,
  payload,
})

let next = 1_000_000

/** Makes a change and expects it to be kept. */
export async function done<K extends KindName>(
  db: Db,
  kind: K,
  payload: PayloadOf<K>,
): Promise<Command<K>> {
  const made = command(next++, kind, payload)
  const answer = await apply(db, made, NOW)
  if (!answer.ok) throw new Error(`${kind}: ${answer.message} ${JSON.stringify(answer.fields)}`)
  return made
}

/** Sends a change and says what was answered in words. */
export const said = async (db: Db, sent: unknown): Promise<string> =>
  wordsOf(await apply(db, sent, NOW))

export const wordsOf = (answer: Answer): string =>
  answer.ok
    ? `kept${answer.note ? `: ${answer.note}` : ''}`
    : [answer.message, ...Object.entries(answer.fields ?? {}).map((entry) => entry.join(': '))]
        .filter(Boolean)
        .join(' | ')

export const brief = (
  visitId: string,
  change: Partial<PayloadOf<'keep-brief'>> = {},
): PayloadOf<'keep-brief'> => ({
  visitId,
  household: 'The Ashbys',
  wishes: 'calmer',
  willNotHave: '',
  houseRules: DEFAULT_HOUSE_RULES as never,
  ...PLAIN_BRIEF,
  placeName: 'Somewhere',
  latitudeDeg: 52,
  longitudeDeg: -1,
  timeZone: 'Europe/London',
  visitDate: '2026-06-21',
  ...change,
})

export const room = (
  visitId: string,
  roomId: string,
  name: string,
  change: Partial<PayloadOf<'keep-room'>> = {},
): PayloadOf<'keep-room'> => ({
  visitId,
  roomId,
  name,
  northSouthMm: 4000,
  eastWestMm: 3000,
  heightMm: 2500,
  useHours: 'daytime',
  treatment: 'plain',
  seenFrom: [],
  ...change,
})

export const window = (
  visitId: string,
  roomId: string,
  windowId: string,
): PayloadOf<'keep-window'> => ({
  visitId,
  roomId,
  windowId,
  ...PLAIN_WINDOW,
  bearingDeg: 180,
  widthMm: 1200,
  heightMm: 1200,
})

export const lamp = (visitId: string, roomId: string, lampId: string): PayloadOf<'keep-lamp'> => ({
  visitId,
  roomId,
  lampId,
  ...PLAIN_LAMP,
})

export const keeper = (
  visitId: string,
  roomId: string,
  keeperId: string,
  name: string,
  change: Partial<PayloadOf<'keep-keeper'>> = {},
): PayloadOf<'keep-keeper'> => ({
  visitId,
  roomId,
  keeperId,
  name,
  roomIds: [],
  kind: 'stone',
  state: 'staying',
  place: 'by the window',
  note: '',
  varies: true,
  replacedBy: '',
  viewShare: 'some',
  dearness: null,
  photoHash: null,
  colours: [
    {
      part: 'ground',
      sharePercent: 80,
      reading: { kind: 'lab', lab: [66, 9, 14] },
      source: null,
    },
    { part: 'vein', sharePercent: 20, reading: { kind: 'srgb', hex: '#806040' }, source: null },
  ],
  ...change,
})

export const taking = (
  visitId: string,
  roomId: string,
  deckColourId: string,
  n: number,
  strengthPercent = 75,
): PayloadOf<'take-up'> => ({
  visitId,
  roomId,
  deckColourId,
  strengthPercent,
  candidateId: idOf(n),
  proposalId: idOf(n + 1),
  surface: 'walls',
  sheen: 'matt',
})

/** A board of a candidate, eggshell, painted from eight on 22 June. */
export const board = (
  visitId: string,
  candidateId: string,
  boardId: string,
  change: Partial<PayloadOf<'keep-board'>> = {},
): PayloadOf<'keep-board'> => ({
  ...{ visitId, candidateId, boardId, roomId: null, sheen: 'eggshell', count: 1 },
  ...USUAL_BOARD,
  begun: { date: '2026-06-22', clockMinute: 480 },
  ...change,
})

export const roomPaint = (
  visitId: string,
  roomId: string,
  change: Partial<PayloadOf<'keep-room-paint'>> = {},
): PayloadOf<'keep-room-paint'> => ({ visitId, roomId, ...USUAL_ROOM_PAINT, ...change })

export const scheme = (
  visitId: string,
  roomId: string,
  schemeId: string,
  part: { readonly candidateId: string; readonly deckColourId: string },
  change: Partial<PayloadOf<'keep-scheme'>> = {},
): PayloadOf<'keep-scheme'> => ({
  ...{ visitId, roomId, schemeId, name: 'Calm', origin: 'dominant' },
  parts: [{ surface: 'walls', ...part, strengthPercent: 75, sheen: 'matt' }],
  accents: [],
  ...change,
})

/** A look under the lamps at the sink, on 21 December. */
export const look = (
  house: Pick<House, 'visitId' | 'kitchenId' | 'stoneId' | 'candidateId' | 'colourIds'>,
  lookId: string,
  change: Partial<PayloadOf<'keep-look'>> = {},
): PayloadOf<'keep-look'> => ({
  visitId: house.visitId,
  lookId,
  roomId: house.kitchenId,
  candidate: {
    candidateId: house.candidateId,
    deckColourId: house.colourIds[0]!,
    strengthPercent: 75,
    sheen: 'matt',
  },
  against: { kind: 'keeper', keeperId: house.stoneId, part: 'vein' },
  seen: { as: 'sample', held: 'board', strengthPercent: 75 },
  light: {
    source: 'room',
    date: '2026-12-21',
    minute: 1150,
    sky: 'overcast',
    lampsOn: true,
    spot: 'east-lamp',
    place: 'at the sink',
    metered: { lux: 180.5, cctK: 2712.25 },
  },
  verdict: 'no',
  reasons: ['too-green', 'muddied'],
  bestOf: [],
  lean: 'yellow-green',
  note: 'Mustard.',
  client: { says: 'not sure', words: 'Like soup?' },
  modelSeenBefore: false,
  model: {
    version: '11',
    judgement: 'likely-not',
    chance: 0.2,
    sentence: 'Clashes.',
    strengthPercent: 50,
  },
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

export type House = Awaited<ReturnType<typeof aHouse>>

/** A visit with two rooms, a window, a lamp, a stone, a deck and a candidate. */
export async function aHouse(db: Db, n = 1) {
  const [visitId, kitchenId, hallId, windowId, lampId, stoneId, deckId] = Array.from(
    { length: 7 },
    (_, i) => idOf(n * 1000 + i),
  ) as [string, string, string, string, string, string, string]
  const candidateId = idOf(n * 1000 + 10)
  const deck = { maker: `Maker ${n}`, name: 'Fan', whiteBase: [96, 0, 1] } as const
  await layDeckIn(db, deckId, deck, COLOURS)
  await done(db, 'open-deck', { deckId, maker: deck.maker, name: deck.name, colours: 2 })
  const colourIds = (await listDeckColours(db, deckId)).map(({ deckColourId }) => deckColourId)
  await done(db, 'keep-brief', brief(visitId))
  await done(db, 'keep-room', room(visitId, kitchenId, 'Kitchen'))
  await done(db, 'keep-room', room(visitId, hallId, 'Hall'))
  await done(db, 'keep-window', window(visitId, kitchenId, windowId))
  await done(db, 'keep-lamp', lamp(visitId, kitchenId, lampId))
  await done(db, 'keep-keeper', keeper(visitId, kitchenId, stoneId, 'Stone'))
  await done(db, 'take-up', taking(visitId, kitchenId, colourIds[0]!, n * 1000 + 10))
  return { visitId, kitchenId, hallId, windowId, lampId, stoneId, deckId, colourIds, candidateId }
}

/** Everything that a screen shows of a visit. */
export async function liveView(db: Db, visitId: string) {
  return {
    visit: await findVisit(db, visitId),
    rooms: await listRooms(db, visitId),
    keepers: await listKeepers(db, visitId),
    candidates: (await listAllCandidates(db, visitId)).filter(({ dropped }) => !dropped),
    looks: (await listLooks(db, visitId)).filter(({ retracted }) => !retracted),
    finishLooks: await listFinishLooks(db, visitId),
    sweeps: await listSweeps(db, visitId),
    readings: await listMeterReadings(db, visitId),
    boards: await listBoards(db, visitId),
    roomPaint: [...(await listRoomPaint(db, visitId))],
    schemes: await listSchemes(db, visitId),
    placings: await listPlacings(db, visitId),
    whatIfs: await listWhatIfs(db, visitId),
    rulings: (await listRulings(db, visitId)).filter((each) => each.reopenedBecause === null),
  }
}

const TABLES = Object.entries(RECORD_TABLES)
  .map(
    ([name, { key }]) =>
      `'${name}', (select coalesce(jsonb_agg(to_jsonb(t) order by ${key.join(', ')}), '[]') from ${name} t)`,
  )
  .join(', ')

/** Every row of the record, by table. */
export async function wholeRecord(
  db: Db,
): Promise<Readonly<Record<TableName, readonly unknown[]>>> {
  const [row] = await db.query(`select jsonb_build_object(${TABLES}) as record`)
  return (row as { record: Record<TableName, readonly unknown[]> }).record
}

/** Empties a store between tests. */
export const empty = (db: Db): Promise<void> =>
  db.exec('truncate visit, deck, event, command, photo, settings, learner, eye_lesson cascade')
