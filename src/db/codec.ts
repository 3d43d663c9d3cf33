import { z } from 'zod'
import { maybeOne, type Db } from './db'

/** A row as JSON, by its column names; what events hold, and all that leaves or enters a store. */
export type JsonRow = Readonly<Record<string, unknown>>

/** Version of the rows' shape: the migration they were written after. */
export const CODEC_VERSION = 22

interface RecordTable {
  /** Its primary key, in the order of its columns. */
  readonly key: readonly string[]
  /** The column that takes a row out of sight; without one a row is a part of another, and goes with it. */
  readonly mark?: 'removed_at' | 'retracted_at'
}

/** The tables of the record, each after those it refers to. */
export const RECORD_TABLES = {
  settings: { key: ['id'] },
  deck: { key: ['id'] },
  photo: { key: ['hash'] },
  visit: { key: ['id'], mark: 'removed_at' },
  visit_house_rule: { key: ['visit_id', 'rule'] },
  room: { key: ['id'], mark: 'removed_at' },
  room_window: { key: ['id'], mark: 'removed_at' },
  lamp: { key: ['id'], mark: 'removed_at' },
  room_paint: { key: ['room_id'] },
  room_sight: { key: ['room_id', 'seen_room_id'] },
  keeper: { key: ['id'], mark: 'removed_at' },
  keeper_colour: { key: ['keeper_id', 'position'] },
  keeper_room: { key: ['keeper_id', 'room_id'], mark: 'removed_at' },
  candidate: { key: ['id'], mark: 'removed_at' },
  proposal: { key: ['id'], mark: 'removed_at' },
  ruling: { key: ['id'], mark: 'removed_at' },
  scheme: { key: ['id'], mark: 'removed_at' },
  thing_place: { key: ['room_id', 'thing_id'] },
  what_if: { key: ['id'], mark: 'removed_at' },
  board: { key: ['id'], mark: 'removed_at' },
  look: { key: ['id'], mark: 'retracted_at' },
  finish_look: { key: ['id'], mark: 'retracted_at' },
  sweep: { key: ['id'], mark: 'retracted_at' },
  meter_reading: { key: ['id'], mark: 'retracted_at' },
  learner: { key: ['id'], mark: 'removed_at' },
  practice_answer: { key: ['id'], mark: 'removed_at' },
  eye_lesson: { key: ['id'], mark: 'removed_at' },
} as const satisfies Record<string, RecordTable>
export type TableName = keyof typeof RECORD_TABLES

/** The cells of a row that name it. */
export const keyOf = (name: TableName, row: JsonRow): JsonRow =>
  Object.fromEntries(tableOf(name).key.map((column) => [column, row[column]]))

const tableOf = (name: TableName): RecordTable => RECORD_TABLES[name]

/** "a = $1::… and b = …" over the key of a row that is given as JSON in `$1`. */
const isRow = (name: TableName): string =>
  tableOf(name)
    .key.map(
      (column) => `t.${column} = (jsonb_populate_record(null::${name}, $1::jsonb)).${column}`,
    )
    .join(' and ')

// Column names go into the statement as they are.
export const RowJson = z.record(z.string().regex(/^[a-z_0-9]+$/), z.unknown())

/** How the row with the key of a given one stands now, and whether it is equal to it; null where there is none. */
export async function rowNow(
  db: Db,
  name: TableName,
  row: JsonRow,
): Promise<{ readonly isEqual: boolean } | null> {
  return maybeOne(
    db,
    z.object({ isEqual: z.boolean() }),
    `select to_jsonb(t) = $1::jsonb as "isEqual" from ${name} t where ${isRow(name)}`,
    [JSON.stringify(row)],
  )
}

/** Writes a row as it is given, over the one with its key where there is one. */
export async function putRow(db: Db, name: TableName, row: JsonRow): Promise<void> {
  const columns = Object.keys(row)
  const { key } = tableOf(name)
  const rest = columns.filter((column) => !key.includes(column))
  const change = rest.length
    ? `do update set ${rest.map((column) => `${column} = excluded.${column}`).join(', ')}`
    : 'do nothing'
  await db.query(
    `insert into ${name} (${columns.join(', ')})
     select ${columns.join(', ')} from jsonb_populate_record(null::${name}, $1::jsonb)
     on conflict (${key.join(', ')}) ${change}`,
    [JSON.stringify(row)],
  )
}

/**
 * Writes a row that is not there yet, as it is given, with the event that tells of it: while rows are laid in no trigger does, and
 * journal and replay know of what stands in events only.
 */
export async function insertRow(db: Db, name: TableName, row: JsonRow): Promise<void> {
  const columns = Object.keys(row).join(', ')
  await db.query(
    `with laid as (
       insert into ${name} (${columns})
       select ${columns} from jsonb_populate_record(null::${name}, $1::jsonb) returning *),
     told as (select to_jsonb(laid) as row from laid)
     insert into event (what, subject, subject_id, after)
     select 'insert', '${name}', coalesce(row ->> 'id', row ->> 'keeper_id', row ->> 'visit_id', row ->> 'room_id')::uuid, row from told`,
    [JSON.stringify(row)],
  )
}

/** Takes a row out of sight, or a part away. */
export async function takeRowOut(
  db: Db,
  name: TableName,
  row: JsonRow,
  atInstant: string,
): Promise<void> {
  const { mark } = tableOf(name)
  if (mark)
    await db.query(`update ${name} t set ${mark} = $2::timestamptz where ${isRow(name)}`, [
      JSON.stringify(row),
      atInstant,
    ])
  else await dropRow(db, name, row)
}

async function dropRow(db: Db, name: TableName, row: JsonRow): Promise<void> {
  await db.query(`delete from ${name} t where ${isRow(name)}`, [JSON.stringify(row)])
}

export const EventRow = z.object({
  number: z.number(),
  what: z.enum(['insert', 'update', 'delete']),
  subject: z.string().refine((name): name is TableName => Object.hasOwn(RECORD_TABLES, name)),
  before: RowJson.nullable(),
  after: RowJson.nullable(),
})
/** A change of one row: what it was and what it became. */
export type RecordEvent = z.infer<typeof EventRow>

/** Makes a change again, on a store where all earlier ones were made. */
export async function replay(db: Db, event: RecordEvent): Promise<void> {
  if (event.after) await putRow(db, event.subject, event.after)
  else if (event.before) await dropRow(db, event.subject, event.before)
}
