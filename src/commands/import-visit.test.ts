import { seededRandom } from '../core/seeded-random'
import { changesAfter, layingRowsIn, redoAfter } from '../db/all-rows'
import { CODEC_VERSION, type JsonRow } from '../db/codec'
import { VISIT_ROW_SHAPES } from '../db/row-shapes'
import { layDeckIn } from '../db/decks'
import { discarding, testDb } from '../db/test-db.fixture'
import { VISIT_TABLES, visitRows } from '../db/visit-rows'
import { apply } from './apply'
import {
  COLOURS,
  aHouse,
  board,
  command,
  done,
  empty,
  idOf,
  liveView,
  look,
  NOW,
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

test('the rows of a file stand once: in the events, by which the same store is made again; the same file sent again is known', async () => {
  const { payload, tables, visitId } = await exported()
  await wipe()
  // A deck comes with it.
  const deck = { maker: 'Others', name: 'Fan', whiteBase: [96, 0, 1] } as const
  await layDeckIn(db, idOf(777), deck, COLOURS)
  const sent = command(1, 'import-visit', { ...payload, decks: [idOf(777)] })
  const answer = await apply(db, sent, NOW)
  expect(answer).toMatchObject({ ok: true })
  const told = await db.query(`select after from event where subject = 'deck'`)
  expect(told).toMatchObject([{ after: { id: idOf(777), status: 'ready' } }])
  const [kept] = await db.query('select payload from command where id = $1', [sent.id])
  expect(kept).toMatchObject({ payload: { visitId, household: 'The Ashbys', tables: {} } })
  expect(await apply(db, sent, NOW)).toEqual(answer)
  const other = { ...sent, payload: { ...sent.payload, household: 'Others' } }
  expect(await said(db, other)).toMatch(/stands for another change already/)
  // As a journal is read again: what was there before, and the change with its events.
  const changes = await changesAfter(db, 0)
  await db.transaction((tx) =>
    layingRowsIn(tx, async () => {
      for (const name of [...VISIT_TABLES].toReversed()) await tx.exec(`delete from ${name}`)
      await tx.exec('delete from event; delete from command')
      await redoAfter(tx, changes, 0)
    }),
  )
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
    /is here already. Nothing was imported/,
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
    /room, row 1, height_mm: .*expected number/,
  ],
  [
    'a row against the rules',
    (p: PayloadOf<'import-visit'>) => spoilt(p, 'room', { height_mm: 20 }),
    /room: a row of the file is none \(room_height_mm_check\)/,
  ],
  [
    'a verdict that is none',
    (p: PayloadOf<'import-visit'>) => spoilt(p, 'look', { verdict: 'splendid' }),
    /look, row 1, verdict: Invalid option/,
  ],
  [
    'a reason that this program does not know',
    (p: PayloadOf<'import-visit'>) => spoilt(p, 'look', { reasons: ['too loud'] }),
    /look, row 1, reasons.0: Invalid option/,
  ],
  [
    'rows of an older program that nobody brought up to date',
    (p: PayloadOf<'import-visit'>) => ({ ...p, rows: CODEC_VERSION - 1 }),
    /Expected rows of version/,
  ],
  [
    'a row twice',
    (p: PayloadOf<'import-visit'>) => ({
      ...p,
      tables: { ...p.tables, lamp: [...p.tables.lamp!, ...p.tables.lamp!] },
    }),
    /lamp, row 2: it is in the file twice/,
  ],
  [
    'a photo that is not in it',
    (p: PayloadOf<'import-visit'>) => spoilt(p, 'keeper', { photo_hash: 'a'.repeat(64) }),
    /keeper, row 1: its photo_hash is not in the file/,
  ],
  [
    'the best of candidates that are not in it',
    (p: PayloadOf<'import-visit'>) => spoilt(p, 'look', { best_of: [idOf(999)] }),
    /look, row 1: its best_of is not in the file/,
  ],
  [
    'a colour of no deck',
    (p: PayloadOf<'import-visit'>) => spoilt(p, 'candidate', { deck_colour_id: idOf(999) }),
    /A colour of a deck that its rows name is not in the file/,
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

test('each table of a visit has its shape: every column of it, and no other', async () => {
  for (const name of VISIT_TABLES) {
    const columns = (await db.query(
      `select column_name as name, is_nullable = 'YES' as nullable from information_schema.columns
       where table_schema = 'public' and table_name = $1 order by column_name`,
      [name],
    )) as { name: string; nullable: boolean }[]
    const shape = Object.entries(VISIT_ROW_SHAPES[name].shape)
      .map(([column, of]) => ({ name: column, nullable: of.safeParse(null).success }))
      .sort((p, q) => (p.name < q.name ? -1 : 1))
    expect([name, shape]).toEqual([name, columns])
  }
})

test('a file with the rooms of another visit in it is refused, and the other keeps its own', async () => {
  const { payload } = await exported()
  await wipe()
  const other = await aHouse(db, 2)
  const theirs = await visitRows(db, other.visitId)
  const grasping = {
    ...payload,
    tables: {
      ...payload.tables,
      room: [
        ...payload.tables.room!,
        ...theirs.room.map((row) => ({ ...row, visit_id: payload.visitId, name: 'Taken' })),
      ],
    },
  }
  expect(await said(db, command(1, 'import-visit', grasping))).toBe(
    'room, row 3: its id stands for something of another visit here. Nothing was imported.',
  )
  expect(await visitRows(db, other.visitId)).toEqual(theirs)
})

const HARMED = Number(process.env.ELM_HARMED ?? 40)

test('harmed files are read whole or refused in words, and what others have stays as it is', async () => {
  const { payload } = await exported()
  await wipe()
  const other = await aHouse(db, 2)
  await done(db, 'keep-look', look(other, idOf(2040)))
  const theirs = await visitRows(db, other.visitId)
  const random = seededRandom(29)
  const came = { read: 0, refused: 0 }
  for (let n = 0; n < HARMED; n++)
    await discarding(db, async (tx) => {
      const harmed = harmedTables(payload.tables, theirs, random)
      const answer = await said(tx, command(100, 'import-visit', { ...payload, tables: harmed }))
      const isKept = answer.startsWith('kept: ')
      expect(answer).toMatch(/^kept: \d+ rows were read|^.{12,}/)
      came[isKept ? 'read' : 'refused'] += 1
      expect(await visitRows(tx, other.visitId)).toEqual(theirs)
      // Whatever was read can be read again by every page.
      if (isKept) await liveView(tx, payload.visitId)
    })
  // Neither may be all: then nothing was tried.
  expect(came.read).toBeGreaterThan(HARMED / 50)
  expect(came.refused).toBeGreaterThan(HARMED / 2)
})

type Tables = Readonly<Record<string, readonly JsonRow[]>>

/** A file's tables with one or two things done to them: others' ids and parents, unknown words, missing and doubled rows, cut, nested deep. */
function harmedTables(tables: Tables, theirs: Tables, random: () => number) {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  const harmed: Record<string, Record<string, unknown>[]> = structuredClone(tables) as never
  const nested = JSON.parse('['.repeat(400) + ']'.repeat(400)) as unknown
  for (let times = 1 + Math.floor(random() * 2); times > 0; times--) {
    const name = pick(Object.keys(harmed).filter((table) => harmed[table]!.length > 0))
    const rows = harmed[name]!
    const row = pick(rows)
    const column = pick(Object.keys(row))
    const their = pick(theirs[name]?.length ? theirs[name] : theirs.room!)
    const words = [
      'splendid',
      '',
      null,
      -1,
      1e12,
      true,
      {},
      [],
      ['too loud'],
      nested,
      '\u202E'.repeat(9),
    ]
    pick([
      () => (row[column] = their[column] ?? pick(theirs.keeper!).id),
      () => (row.id = their.id ?? null),
      () => rows.push({ ...their }),
      () => rows.push({ ...their, visit_id: tables.visit![0]!.id }),
      () => rows.push({ ...row }),
      () => rows.splice(rows.indexOf(row), 1),
      () => (harmed[name] = []),
      () => Reflect.deleteProperty(harmed, name),
      () => Reflect.deleteProperty(row, column),
      () => (row[column] = pick(words)),
      () => (row[column] = pick(words)),
      () => (row[`${column}_too`] = 1),
      () => (harmed[pick(VISIT_TABLES)] = rows),
      () => Object.assign(row, { note: 'otherwise', name: 'Otherwise' }),
    ])()
  }
  return harmed
}
