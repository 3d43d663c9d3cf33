import { cpSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { listAllCandidates } from './candidates'
import { migrate, migrationsDir } from './migrate'
import { listRulings } from './rulings'
import { emptyTestDb } from './test-db.fixture'

const { db, close } = emptyTestDb()
afterAll(close)

const id = (n: number): string => `0000000${n}-0000-4000-8000-000000000000`

/** Two candidates picked for the walls of the kitchen, one for the hall, as it could be before. */
const BEFORE = `
select set_config('elm.command', '00000000-0000-4000-8000-000000000011', false);
insert into deck (id, maker, name, white_base_l, white_base_a, white_base_b, status) values ('${id(1)}', 'M', 'Fan', 96, 0, 1, 'importing');
insert into deck_colour (id, deck_id, code, name, strip, strip_position, base, reading_kind, lab_l, lab_a, lab_b)
  values ('${id(2)}', '${id(1)}', 'X1', 'Oneling', 'X', 0, 'white', 'lab', 90, 1, 8);
insert into visit (id, household, place_name, latitude_deg, longitude_deg, time_zone, visit_date)
  values ('${id(3)}', 'The Ashbys', 'Somewhere', 52, -1, 'Europe/London', '2026-06-21');
insert into room (id, visit_id, name, north_south_mm, east_west_mm, height_mm)
  values ('${id(4)}', '${id(3)}', 'Kitchen', 4000, 3000, 2500), ('${id(5)}', '${id(3)}', 'Hall', 4000, 3000, 2500);
insert into candidate (id, visit_id, deck_colour_id, strength_percent)
  values ('${id(6)}', '${id(3)}', '${id(2)}', 75), ('${id(7)}', '${id(3)}', '${id(2)}', 50);
insert into proposal (id, room_id, candidate_id, surface, sheen, status, proposed_at) values
  ('${id(1)}', '${id(4)}', '${id(6)}', 'walls', 'matt', 'picked', '2026-06-21T10:00:00Z'),
  ('${id(2)}', '${id(4)}', '${id(7)}', 'walls', 'matt', 'picked', '2026-06-21T10:00:00Z'),
  ('${id(3)}', '${id(5)}', '${id(7)}', 'walls', 'satin', 'picked', '2026-06-21T10:00:00Z');`

test('a pick of before there were rulings is one; of several for one surface none was', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'elm-migrations-'))
  for (const file of readdirSync(migrationsDir()).filter((name) => name < '0012'))
    cpSync(join(migrationsDir(), file), join(dir, file))
  await migrate(db, dir)
  rmSync(dir, { recursive: true })
  await db.exec(BEFORE)
  await migrate(db)
  const stand = (await listAllCandidates(db, id(3))).flatMap(({ strengthPercent, proposals }) =>
    proposals.map(({ roomId, status }) => [strengthPercent, roomId, status].join(' ')),
  )
  expect(stand.sort()).toEqual([
    `50 ${id(4)} going to board`,
    `50 ${id(5)} picked`,
    `75 ${id(4)} going to board`,
  ])
  expect(await listRulings(db, id(3))).toMatchObject([
    { roomId: id(5), surface: 'walls', candidateId: id(7), sheen: 'satin', by: 'not noted' },
  ])
})
