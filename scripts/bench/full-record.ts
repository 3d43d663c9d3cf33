import { apply } from '../../src/commands/apply'
import { aHouse, command, idOf, look, NOW, room } from '../../src/commands/house.fixture'
import type { KindName, PayloadOf } from '../../src/commands/kinds'
import { seededRandom } from '../../src/core/seeded-random'
import type { Db } from '../../src/db/db'

// A record of thousands of visits: one that was made change by change, and copies of its rows. Invented data.

export const VISITS = Number(process.env.ELM_VISITS ?? 5000)
export const ROOMS = 8
export const LOOKS = 60

// What a copy of a visit is made of: a table, and its columns that hold ids of the visit.
const COPIED = [
  ['command', ['id', 'visit_id']],
  ['visit', ['id']],
  ['room', ['id', 'visit_id']],
  ['room_window', ['id', 'room_id']],
  ['lamp', ['id', 'room_id']],
  ['keeper', ['id', 'room_id']],
  ['keeper_colour', ['keeper_id']],
  ['keeper_room', ['keeper_id', 'room_id']],
  ['candidate', ['id', 'visit_id']],
  ['proposal', ['id', 'room_id', 'candidate_id']],
  ['look', ['id', 'visit_id', 'room_id', 'candidate_id', 'keeper_id']],
  ['event', ['subject_id', 'visit_id', 'command_id']],
  ['visit_looks', ['visit_id']],
] as const

/** A visit of eight rooms and sixty looks with all that was done in it, copied many times over. */
export async function fill(db: Db): Promise<void> {
  const random = seededRandom(8)
  const { visitId, colourIds, ...house } = await aHouse(db)
  for (let n = 2; n < ROOMS; n++)
    await kept(db, 40 + n, 'keep-room', room(visitId, idOf(40 + n), `Room ${n}`))
  const sources = ['overcast', 'clear', 'partly'] as const
  for (let n = 0; n < LOOKS; n++) {
    const seen = look({ visitId, colourIds, ...house }, idOf(100 + n))
    await kept(db, 100 + n, 'keep-look', {
      ...seen,
      light: {
        ...seen.light,
        minute: 420 + Math.floor(random() * 800),
        sky: sources[n % 3],
        lampsOn: random() < 0.3,
      } as never,
      verdict: random() < 0.5 ? 'works' : 'no',
    })
  }
  await db.transaction(async (tx) => {
    // The rows are copies of rows that were checked, and of what their triggers wrote.
    await tx.exec(`set local session_replication_role = replica`)
    for (const [table, ids] of COPIED) {
      // The n-th copy of a row has the n-th copies of the ids in it.
      const own = ids.map(
        (column) =>
          `'${column}', overlay(overlay(md5(n || (t.${column})::text) placing '8' from 13) placing '8' from 17)::uuid`,
      )
      if (table === 'visit')
        own.push(`'household', 'House ' || n, 'visit_date', date '2012-01-01' + n`)
      if (table === 'command') own.push(`'seq', nextval('command_seq')`)
      if (table === 'event')
        own.push(`'number', nextval(pg_get_serial_sequence('event', 'number'))`)
      const its = table === 'command' || table === 'event' ? 'where t.visit_id is not null' : ''
      await tx.query(
        `insert into ${table} ${table === 'event' ? 'overriding system value' : ''} select copy.* from ${table} t, generate_series(1, ${VISITS - 1}) as n,
           lateral jsonb_populate_record(null::${table}, to_jsonb(t) || jsonb_build_object(${own.join(', ')})) as copy ${its}`,
      )
    }
  })
  await db.exec('analyze')
}

async function kept<K extends KindName>(
  db: Db,
  n: number,
  kind: K,
  payload: PayloadOf<K>,
): Promise<void> {
  const answer = await apply(db, command(n, kind, payload), NOW)
  if (!answer.ok) throw new Error(answer.message)
}
