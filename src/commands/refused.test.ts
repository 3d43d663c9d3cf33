import { z } from 'zod'
import { layingRowsIn } from '../db/all-rows'
import { many, sqlState } from '../db/db'
import { refusedInWords } from '../db/refused-words'
import { testDb } from '../db/test-db.fixture'
import { apply } from './apply'
import { aHouse, board, command, done, empty, idOf, look, NOW, said, scheme } from './house.fixture'

const db = testDb()
afterEach(() => empty(db))

const Check = z.object({
  table: z.string(),
  name: z.string(),
  columns: z.array(z.object({ name: z.string(), type: z.string() })),
})

/** What no column of a type is likely to allow. */
const UNLIKELY: Readonly<Record<string, readonly string[]>> = {
  int4: ['-1', '0', '2000000000', '7'],
  float8: ['-1000', '0', '1e9'],
  text: [`''`, `repeat('x', 3000)`, `'splendid'`, 'null'],
  _text: [`'{splendid}'`],
  jsonb: [`'7'`, `'[]'`, 'null'],
  bool: ['null'],
  uuid: ['null', `'${idOf(7)}'`],
  date: ['null', `'2026-01-01'`],
  timestamptz: ['null', 'now()'],
}

/** Checks that no one value of one column goes against: their columns hang together in more than two ways. */
const NEVER_MET = 15

test('whatever a check of the database refuses is said by thing and field', async () => {
  const house = await aHouse(db)
  const { visitId, kitchenId, candidateId } = house
  await done(db, 'keep-look', look(house, idOf(40)))
  await done(db, 'keep-board', board(visitId, candidateId, idOf(50)))
  await done(
    db,
    'keep-scheme',
    scheme(visitId, kitchenId, idOf(70), { candidateId, deckColourId: house.colourIds[0]! }),
  )
  const checks = await many(
    db,
    Check,
    `select c.conrelid::regclass::text as table, c.conname as name,
       (select json_agg(json_build_object('name', a.attname, 'type', t.typname) order by a.attnum)
        from pg_attribute a join pg_type t on t.oid = a.atttypid
        where a.attrelid = c.conrelid and a.attnum = any(c.conkey)) as columns
     from pg_constraint c where c.contype = 'c' and c.connamespace = current_schema()::regnamespace
       and exists (select from information_schema.columns i where i.table_name = c.conrelid::regclass::text)
     order by 1, 2`,
  )
  const met = new Set<string>()
  const back = new Error('taken back')
  await db
    .transaction((tx) =>
      layingRowsIn(tx, async () => {
        for (const { table, name, columns } of checks) {
          if ((await tx.query(`select from ${table} limit 1`)).length === 0) continue
          for (const column of columns)
            for (const value of UNLIKELY[column.type] ?? []) {
              await tx.exec('savepoint tried')
              const error = await tx.exec(`update ${table} set ${column.name} = ${value}`).then(
                () => null,
                (e: unknown) => e,
              )
              await tx.exec('rollback to savepoint tried')
              if (!error) continue
              const words = refusedInWords(error)
              expect([name, words]).toEqual([
                name,
                expect.stringMatching(/^[A-Z][^_]{15,} Nothing was saved\.$/),
              ])
              met.add((error as { constraint?: string }).constraint ?? '')
            }
        }
        throw back
      }),
    )
    .catch((error: unknown) => {
      if (error !== back) throw error
    })
  const ofRows = checks.filter(({ name }) => met.has(name))
  expect(ofRows.length).toBeGreaterThan(70)
  const unmet = checks.filter(
    ({ table, name }) => !met.has(name) && ofRows.some((each) => each.table === table),
  )
  expect(unmet.map(({ name }) => name).slice(NEVER_MET)).toEqual([])
})

test.each([
  ['update room set height_mm = 20', 'The room cannot have this height. Nothing was saved.'],
  ['update room set name = null', 'The room needs a value for its name. Nothing was saved.'],
  [
    'update visit set to_minute = from_minute',
    'The visit must end after it begins. Nothing was saved.',
  ],
  [
    `update room_window set width_mm = '99999999999'::jsonb::text::int`,
    'A value that was sent (“99999999999”) cannot be kept. Nothing was saved.',
  ],
])('%s is refused in words', async (sql, words) => {
  await aHouse(db)
  const error = await db.exec(sql).then(
    () => null,
    (e: unknown) => e,
  )
  expect(sqlState(error)).toMatch(/^2[23]/)
  expect(refusedInWords(error)).toBe(words)
})

test('a value is named by the field it was sent in', () => {
  const error = Object.assign(new Error('value "99999999999" is out of range for type integer'), {
    code: '22003',
  })
  expect(refusedInWords(error, { room: { heightMm: 99_999_999_999 } })).toBe(
    'room.heightMm (“99999999999”) cannot be kept. Nothing was saved.',
  )
  expect(refusedInWords(new Error('anything else'))).toBeNull()
  expect(refusedInWords(Object.assign(new Error('gone'), { code: '57P01' }))).toBeNull()
})

test('a change that the database’s own checks refuse is refused, not failed at', async () => {
  const { visitId, kitchenId } = await aHouse(db)
  // Past the payload's own bounds there is only the database.
  await db.exec("alter table room add constraint room_name_check9 check (name <> 'Pantry')")
  try {
    const sent = { visitId, roomId: kitchenId, name: 'Pantry' }
    const before = command(1, 'keep-room', sent as never)
    const [row] = await db.query('select payload from command where kind = $1 limit 1', [
      'keep-room',
    ])
    const payload = { ...(row as { payload: object }).payload, name: 'Pantry' }
    expect(await said(db, { ...before, payload })).toBe(
      'The room cannot have this name. Nothing was saved.',
    )
  } finally {
    await db.exec('alter table room drop constraint room_name_check9')
  }
})

test('what is nested without end is refused before anybody follows it down', async () => {
  const nested: unknown = JSON.parse('['.repeat(200_000) + ']'.repeat(200_000))
  const answer = await apply(db, { ...command(1, 'keep-brief', {} as never), payload: nested }, NOW)
  expect(answer).toEqual({ ok: false, message: 'Expected at most 40 levels of lists and objects.' })
})
