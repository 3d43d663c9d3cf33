import { CODEC_VERSION } from '../db/codec'
import { testDb } from '../db/test-db.fixture'
import { visitRows } from '../db/visit-rows'
import {
  aHouse,
  board,
  command,
  done,
  empty,
  idOf,
  look,
  roomPaint,
  said,
  wholeRecord,
} from './house.fixture'
import type { PayloadOf } from './kinds'

const db = testDb()
beforeEach(() => empty(db))

/** A house with something of everything, as its file has it. */
async function exported() {
  const house = await aHouse(db)
  const { visitId, kitchenId, stoneId, candidateId } = house
  await done(db, 'choose-lead', { visitId, roomId: kitchenId, keeperId: stoneId })
  await done(db, 'keep-look', look(house, idOf(40)))
  await done(db, 'keep-board', board(visitId, candidateId, idOf(50)))
  await done(db, 'keep-room-paint', roomPaint(visitId, kitchenId))
  await done(db, 'rule', {
    ...{
      visitId,
      roomId: kitchenId,
      candidateId,
      rulingId: idOf(60),
      surface: 'walls',
      sheen: 'matt',
    },
    ...{ compromise: '', gaps: [] },
  })
  const tables = await visitRows(db, visitId)
  const payload: PayloadOf<'import-visit'> = {
    ...{ visitId, household: 'The Ashbys', rows: CODEC_VERSION, decks: [], merge: false },
    tables: structuredClone(tables) as never,
  }
  return { ...house, tables, payload }
}

/** Only the visit is gone: its decks stay, as on another installation that has them. */
const wipe = (): Promise<void> =>
  db.exec('truncate event, command, visit, room, keeper, candidate cascade')

test('a visit read from its rows has them all again, the ruling and what leads among them', async () => {
  const { payload, tables, visitId } = await exported()
  await wipe()
  expect(await said(db, command(1, 'import-visit', payload))).toMatch(/^kept: \d+ rows were read\./)
  expect(await visitRows(db, visitId)).toEqual(tables)
})

test('what was read from a file is not taken back by the key: its decks may be in use', async () => {
  const { payload, visitId, tables } = await exported()
  await wipe()
  const read = await done(db, 'import-visit', payload)
  expect(await said(db, command(3, 'undo', { visitId, commandId: read.id }))).toMatch(
    /What was read from a file stays/,
  )
  expect(await visitRows(db, visitId)).toEqual(tables)
})

test('a visit that is here is refused; asked to, what lacks is added and what differs stays', async () => {
  const { payload, visitId, kitchenId } = await exported()
  expect(await said(db, command(1, 'import-visit', payload))).toMatch(
    /is here already. Nothing was taken in/,
  )
  await done(db, 'keep-room-paint', roomPaint(visitId, kitchenId, { skirtingMm: 90 }))
  const before = await visitRows(db, visitId)
  const lacking = { ...payload, merge: true }
  expect(await said(db, command(2, 'import-visit', lacking))).toMatch(
    /0 rows were added; 1 that differ stay as they are here/,
  )
  expect(await visitRows(db, visitId)).toEqual(before)
})

const spoilt = (
  payload: PayloadOf<'import-visit'>,
  table: string,
  change: Readonly<Record<string, unknown>>,
): PayloadOf<'import-visit'> => ({
  ...payload,
  tables: {
    ...payload.tables,
    [table]: payload.tables[table]!.map((row, at) => (at === 0 ? { ...row, ...change } : row)),
  },
})

const SPOILT = [
  [
    'rows of a newer program',
    (p: PayloadOf<'import-visit'>) => ({ ...p, rows: CODEC_VERSION + 1 }),
    /written by a newer Elm Swatch/,
  ],
  [
    'a table that is none',
    (p: PayloadOf<'import-visit'>) => ({ ...p, tables: { ...p.tables, settings: [] } }),
    /got “settings”/,
  ],
  [
    'no visit',
    (p: PayloadOf<'import-visit'>) => ({ ...p, tables: { ...p.tables, visit: [] } }),
    /Expected one visit, got 0/,
  ],
  [
    'a room of another visit',
    (p: PayloadOf<'import-visit'>) => spoilt(p, 'room', { visit_id: idOf(999) }),
    /of another visit/,
  ],
  [
    'a look in no room',
    (p: PayloadOf<'import-visit'>) => spoilt(p, 'look', { room_id: idOf(999) }),
    /room_id is not in the file/,
  ],
  [
    'a column that is none',
    (p: PayloadOf<'import-visit'>) => spoilt(p, 'lamp', { wattage: 3 }),
    /there is no column “wattage”/,
  ],
  [
    'a value that is none',
    (p: PayloadOf<'import-visit'>) => spoilt(p, 'room', { height_mm: 'high' }),
    /room: a row of the file is none/,
  ],
  [
    'a row against the rules',
    (p: PayloadOf<'import-visit'>) => spoilt(p, 'look', { verdict: 'splendid' }),
    /look: a row of the file is none/,
  ],
] as const

test('a file that is none is refused in words, and nothing of it is stored', async () => {
  const { payload } = await exported()
  await wipe()
  const before = await wholeRecord(db)
  for (const [n, [what, spoil, words]] of SPOILT.entries()) {
    const answer = await said(db, command(100 + n, 'import-visit', spoil(payload)))
    expect(`${what}: ${answer}`).toMatch(words)
    expect(await wholeRecord(db)).toEqual(before)
  }
})
