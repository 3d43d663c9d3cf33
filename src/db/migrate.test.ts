import { cpSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { z } from 'zod'
import { HOUSE_RULE_NAMES, schoolsOf } from '../core/advice/house-rules'
import { listAllCandidates } from './candidates'
import { many, RowShapeError } from './db'
import { listKeepers } from './keepers'
import { listLooks } from './looks'
import { listMeterReadings } from './meter-readings'
import { migrate, migrationsDir, NewerDataError } from './migrate'
import { findRoom } from './rooms'
import { emptyTestDb } from './test-db.fixture'
import { findVisit } from './visits'

const { db, close } = emptyTestDb()
afterAll(close)

const id = (n: number): string => `0000000${n}-0000-4000-8000-000000000000`

/** The record as the version before kept it: a room, a stone, a candidate, two looks (one undone) and a meter reading. */
const BEFORE = `
insert into deck (id, maker, name, white_base_l, white_base_a, white_base_b) values ('${id(1)}', 'M', 'Fan', 96, 0, 1);
insert into deck_colour (id, deck_id, code, name, strip, strip_position, base, reading_kind, lab_l, lab_a, lab_b)
  values ('${id(2)}', '${id(1)}', 'X1', 'Oneling', 'X', 0, 'white', 'lab', 90, 1, 8);
insert into visit (id, household, place_name, latitude_deg, longitude_deg, time_zone, visit_date)
  values ('${id(3)}', 'The Ashbys', 'Somewhere', 52, -1, 'Europe/London', '2026-06-21');
insert into room (id, visit_id, name, north_south_mm, east_west_mm, height_mm)
  values ('${id(4)}', '${id(3)}', 'Kitchen', 4000, 3000, 2500), ('${id(5)}', '${id(3)}', 'Hall', 4000, 3000, 2500);
insert into keeper (id, room_id, name, kind, state) values ('${id(6)}', '${id(4)}', 'Stone', 'stone', 'staying');
insert into keeper_colour (keeper_id, position, part, share_percent, reading_kind, lab_l, lab_a, lab_b)
  values ('${id(6)}', 0, 'ground', 100, 'lab', 66, 9, 14);
insert into keeper_room (keeper_id, room_id) values ('${id(6)}', '${id(4)}');
insert into candidate (id, visit_id, deck_colour_id, strength_percent) values ('${id(7)}', '${id(3)}', '${id(2)}', 75);
insert into look (id, visit_id, candidate_id, room_id, keeper_id, light_source, light_minute, light_date, sky, lamps_on,
    verdict, reasons, note, kept_at, retracted_at)
  values ('${id(8)}', '${id(3)}', '${id(7)}', '${id(4)}', '${id(6)}', 'room', 1050, '2026-06-21', 'clear', false,
    'no', '["too weak", "too green"]', 'Mustard.', '2026-06-21T10:00:00Z', null),
  ('${id(9)}', '${id(3)}', '${id(7)}', '${id(4)}', '${id(6)}', 'lamps', 1200, '2026-06-21', 'clear', true,
    'works', '[]', '', '2026-06-21T10:05:00Z', '2026-06-21T10:06:00Z');
insert into meter_reading (id, room_id, minute, sky, lamps_on, spot, lux, cct_k, device)
  values ('${id(1)}', '${id(4)}', 700, 'clear', false, 'walls', 180, 5200, 'typed');`

// The step that this program does not know yet.
const LATER = readdirSync(migrationsDir()).length + 1
const scratch = mkdtempSync(join(tmpdir(), 'elm-migrations-'))
afterAll(() => rmSync(scratch, { recursive: true }))

test('a store of the version before comes along whole, and says what it does not know', async () => {
  for (const file of readdirSync(migrationsDir()).filter((name) => name < '0006'))
    cpSync(join(migrationsDir(), file), join(scratch, file))
  await migrate(db, scratch)
  await db.exec(BEFORE)
  await migrate(db)

  expect(await findVisit(db, id(3))).toMatchObject({
    household: 'The Ashbys',
    stage: 'in-progress',
  })
  const looks = await listLooks(db, id(3))
  expect(looks.map(({ retracted }) => retracted)).toEqual([false, true])
  expect(looks[0]).toMatchObject({
    against: { kind: 'keeper', keeperId: id(6), part: null },
    candidate: { candidateId: id(7), strengthPercent: 75 },
    // A reason's old word in its new one; the note, hour and verdict as they were.
    verdict: 'no',
    reasons: ['too-pale', 'too-green'],
    note: 'Mustard.',
    // The day that was shown, how it was seen, by whom, and what the model said were not kept.
    light: { date: null, minute: 1050, place: '', metered: null },
    seen: { as: 'not noted' },
    by: 'not noted',
    model: null,
    modelSeenBefore: null,
    lean: null,
    client: null,
    commandId: null,
  })
  const [candidate] = await listAllCandidates(db, id(3))
  // It stood in every room, so it is proposed for every room.
  expect(candidate!.proposals.map(({ roomId, status }) => [roomId, status]).sort()).toEqual([
    [id(4), 'proposed'],
    [id(5), 'proposed'],
  ])
  expect((await listKeepers(db, id(3)))[0]).toMatchObject({
    name: 'Stone',
    roomIds: [id(4)],
    colours: [{ reading: { kind: 'lab', lab: [66, 9, 14] }, evidence: null }],
  })
  expect(await findRoom(db, id(4))).toMatchObject({ northDeg: 0 })
  expect(await listMeterReadings(db, id(3))).toMatchObject([
    { lux: 180, date: null, commandId: null },
  ])
  // Every event of old belongs to its visit and to somebody whose name is not known.
  const actors = await db.query(
    `select distinct c.actor, e.visit_id is null as stray from event e join command c on c.id = e.command_id
     where e.subject <> 'deck' order by c.actor`,
  )
  expect(actors).toEqual([
    { actor: 'Elm Swatch', stray: true },
    { actor: 'not noted', stray: false },
  ])
})

test('migrating again changes nothing', async () => {
  await migrate(db)
  const rows = await many(
    db,
    z.object({ number: z.number() }),
    'select number from migration order by number',
  )
  expect(rows.map(({ number }) => number)).toEqual(rows.map((_, i) => i + 1))
})

test('a later migration writes under a command of its own', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'elm-migrations-'))
  cpSync(migrationsDir(), dir, { recursive: true })
  writeFileSync(
    join(dir, `${String(LATER).padStart(4, '0')}-try.sql`),
    `update visit set household = 'The Elms';`,
  )
  await migrate(db, dir)
  const [last] = await db.query(
    `select c.kind, c.payload from event e join command c on c.id = e.command_id order by e.number desc limit 1`,
  )
  expect(last).toEqual({ kind: 'migrate', payload: { to: LATER } })
  rmSync(dir, { recursive: true })
})

test('a store of a version after is refused in words, and not touched', async () => {
  const before = await db.query('select * from event order by number')
  await expect(migrate(db)).rejects.toThrow(NewerDataError)
  await expect(migrate(db)).rejects.toThrow(
    new RegExp(`step ${LATER}, this program knows ${LATER - 1}.*Nothing was touched`),
  )
  expect(await db.query('select * from event order by number')).toEqual(before)
})

test('the schools of the database are those of the house rules, no more and no fewer', async () => {
  const rows = await many(
    db,
    z.object({ rule: z.string(), school: z.string() }),
    'select * from school',
  )
  const offered = HOUSE_RULE_NAMES.flatMap((rule) =>
    schoolsOf(rule).map(({ school }) => `${rule} ${school}`),
  )
  expect(rows.map(({ rule, school }) => `${rule} ${school}`).sort()).toEqual(offered.sort())
})

test('a row of the wrong shape is named by its column', async () => {
  await expect(many(db, z.object({ n: z.string() }), 'select 1 as n')).rejects.toThrow(
    RowShapeError,
  )
  await expect(many(db, z.object({ n: z.string() }), 'select 1 as n')).rejects.toThrow(/column n/)
})
