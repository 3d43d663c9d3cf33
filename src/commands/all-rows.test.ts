import { DEFAULT_HOUSE_RULES } from '../core/advice/house-rules'
import { seededRandom } from '../core/seeded-random'
import {
  changesAfter,
  layingRowsIn,
  putRows,
  readAllRows,
  redoAfter,
  STORED_TABLES,
  takeAllRowsAway,
  type AllRows,
  type KeptChange,
  type LaterChange,
  type TablePage,
} from '../db/all-rows'
import type { Db } from '../db/db'
import { layDeckIn, listDeckColours } from '../db/decks'
import { testDb } from '../db/test-db.fixture'
import { apply } from './apply'
import { COLOURS, done, idOf, NOW } from './house.fixture'
import type { Command } from './kinds'
import { randomCommands } from './random-house.fixture'

const db = testDb()

/** What is read: pages of tables, and the changes that were made meanwhile. */
async function collected(
  { seq, parts }: AllRows,
  afterFirst: () => Promise<void> = () => Promise.resolve(),
) {
  const pages: TablePage[] = []
  const later: LaterChange[] = []
  for await (const part of parts) {
    if ('table' in part) pages.push(part)
    else later.push(part)
    if (pages.length + later.length === 1) await afterFirst()
  }
  return { seq, pages, later }
}

const allRows = (from: Db) => readAllRows(from, collected)

const sorted = (pages: readonly TablePage[]) =>
  pages.flatMap(({ table, rows }) => rows.map((row) => `${table} ${JSON.stringify(row)}`)).sort()

const changes = async (after: number): Promise<KeptChange[]> => {
  const page = await changesAfter(db, after)
  return page.length === 0 ? [] : [...page, ...(await changes(Number(page.at(-1)!.command.seq)))]
}

/** The same changes to a house of its own. */
const ofHouse = (n: number, commands: readonly Command[]): Command[] =>
  JSON.parse(JSON.stringify(commands).replaceAll('-8000-000000000000"', `-8000-0000000000${n}"`))

const laidIn = (work: (tx: Db) => Promise<void>): Promise<void> =>
  db.transaction((tx) =>
    layingRowsIn(tx, async () => {
      await takeAllRowsAway(tx)
      await work(tx)
    }),
  )

test('every table is stored, or follows from what is', async () => {
  const tables = await db.query(
    `select table_name as name from information_schema.tables where table_schema = current_schema()`,
  )
  const known = [...STORED_TABLES, 'migration', 'school', 'visit_looks']
  expect(tables.map((row) => (row as { name: string }).name).sort()).toEqual(known.sort())
})

test('all rows at one instant, and the changes since, make the same store again', async () => {
  const deck = { maker: 'M', name: 'Fan', whiteBase: [96, 0, 1] } as const
  await layDeckIn(db, idOf(9), deck, COLOURS)
  await done(db, 'open-deck', { deckId: idOf(9), maker: 'M', name: 'Fan', colours: 2 })
  const colourIds = (await listDeckColours(db, idOf(9))).map(({ deckColourId }) => deckColourId)
  const random = seededRandom(5)
  let houses = 10
  const change = async (times: number) => {
    for (const last = houses + times; houses < last; houses++)
      for (const each of ofHouse(houses, randomCommands(random, colourIds)))
        await apply(db, each, NOW)
  }
  await change(12)
  const before = await allRows(db)
  // Others write while it is read: what they write is in it too, or it is as all was when it began.
  const read = await readAllRows(db, (all) => collected(all, () => change(2)))
  const then = await allRows(db)
  if (db.isOneSession) expect(read.later.length).toBeGreaterThan(0)
  await laidIn(async (tx) => {
    for (const page of read.pages) await putRows(tx, page)
    await redoAfter(tx, read.later, 0)
  })
  const laid = db.isOneSession ? then : before
  expect(sorted((await allRows(db)).pages)).toEqual(sorted(laid.pages))
  await laidIn(async (tx) => {
    for (const page of then.pages) await putRows(tx, page)
  })
  await change(12)
  const since = await changes(before.seq)
  expect(since.length).toBeGreaterThan(50)
  expect(since.some(({ command }) => command.kind === 'undo')).toBe(true)
  const after = await allRows(db)
  const counted = await db.query('select * from visit_looks order by visit_id')

  await laidIn(async (tx) => {
    for (const page of before.pages) await putRows(tx, page)
    await redoAfter(tx, since, before.seq)
  })
  expect(sorted((await allRows(db)).pages)).toEqual(sorted(after.pages))
  expect(await db.query('select * from visit_looks order by visit_id')).toEqual(counted)

  // It is a store to work with: the next change has the next place, and what is recorded is refused to be deleted.
  const made = await done(db, 'keep-settings', {
    ...{ who: 'Ines Tarrow', lengths: 'metric', volumes: 'litres' },
    houseRules: DEFAULT_HOUSE_RULES as never,
  })
  const [own] = (await changes(after.seq)).map(({ command }) => command)
  expect(own).toMatchObject({ id: made.id, seq: after.seq + 1 })
  await expect(db.exec('delete from command')).rejects.toThrow(/nothing recorded is deleted/)
})

test('rows that refer to what is not there are not laid in, and the store stays as it was', async () => {
  const { pages } = await allRows(db)
  await expect(
    laidIn(async (tx) => {
      for (const page of pages) if (page.table !== 'room') await putRows(tx, page)
    }),
  ).rejects.toThrow(/foreign key/)
  expect((await allRows(db)).pages).toEqual(pages)
})
