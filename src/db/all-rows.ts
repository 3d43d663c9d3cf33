import { z } from 'zod'
import { EventRow, RECORD_TABLES, replay, RowJson, type JsonRow } from './codec'
import { markUndone } from './commands'
import { many, maybeOne, type Db } from './db'

/** Every table whose rows a store is made of, each after those it refers to. What follows from them is counted anew. */
export const STORED_TABLES = [
  ...Object.keys(RECORD_TABLES),
  'deck_colour',
  'command',
  'event',
] as readonly string[]

const ROWS_A_PAGE = 500

let reads = 0

/**
 * Reads all rows of a store as they are at one instant, a page at a time, while others are served.
 *
 * @param take given the last change that the rows hold, and the pages
 */
export function readAllRows<T>(
  db: Db,
  take: (seq: number, pages: AsyncIterable<TablePage>) => Promise<T>,
): Promise<T> {
  const name = `all_rows_${(reads += 1)}`
  const cursors = STORED_TABLES.map((table) => ({ table, cursor: `${name}_${table}` }))
  const declare = async (tx: Db, hold: string) => {
    for (const { table, cursor } of cursors)
      await tx.exec(
        `declare ${cursor} no scroll cursor ${hold} for select to_jsonb(t) as row from ${table} t`,
      )
    return lastSeqOfAll(tx)
  }
  if (!db.isOneSession)
    return db.transaction(async (tx) => {
      await tx.exec('set transaction isolation level repeatable read')
      return take(await declare(tx, ''), pagesOf(tx, cursors))
    })
  // One session serves everyone: it must not wait in a transaction, so the cursors outlive theirs.
  return db
    .transaction((tx) => declare(tx, 'with hold'))
    .then(async (seq) => {
      try {
        return await take(seq, pagesOf(db, cursors))
      } finally {
        for (const { cursor } of cursors) await db.exec(`close ${cursor}`)
      }
    })
}

/** The place of the latest change of the whole store; 0 before there is one. */
export const lastSeqOfAll = async (db: Db): Promise<number> =>
  (await maybeOne(
    db,
    z.object({ seq: z.number() }),
    'select coalesce(max(seq), 0) as seq from command',
  ))!.seq

export interface TablePage {
  readonly table: string
  readonly rows: readonly JsonRow[]
}

async function* pagesOf(
  db: Db,
  cursors: readonly { readonly table: string; readonly cursor: string }[],
): AsyncGenerator<TablePage> {
  for (const { table, cursor } of cursors)
    for (;;) {
      const page = await many(
        db,
        z.object({ row: RowJson }),
        `fetch forward ${ROWS_A_PAGE} from ${cursor}`,
      )
      if (page.length === 0) break
      yield { table, rows: page.map(({ row }) => row) }
    }
}

/** Writes rows as they are given into a table that has none of their keys. */
export async function putRows(tx: Db, { table, rows }: TablePage): Promise<void> {
  if (!STORED_TABLES.includes(table)) throw new Error(`there is no table ${table}`)
  await tx.query(
    `insert into ${table} overriding system value
     select * from jsonb_populate_recordset(null::${table}, $1::jsonb)`,
    [JSON.stringify(rows)],
  )
}

const ForeignKey = z.object({ table: z.string(), name: z.string(), clause: z.string() })

/**
 * Does something to the rows of a store as they are: no trigger writes events or refuses, and what refers to what is checked
 * when all is there. What follows from the rows is worked out anew.
 */
export async function layingRowsIn(tx: Db, work: () => Promise<void>): Promise<void> {
  const tables = [...STORED_TABLES]
  const keys = await many(
    tx,
    ForeignKey,
    `select conrelid::regclass::text as table, quote_ident(conname) as name,
       case when condeferred then 'deferrable initially deferred' when condeferrable then 'deferrable' else 'not deferrable' end as clause
     from pg_constraint where contype = 'f' and connamespace = current_schema()::regnamespace`,
  )
  for (const { table, name } of keys)
    await tx.exec(`alter table ${table} alter constraint ${name} deferrable initially deferred`)
  for (const table of tables) await tx.exec(`alter table ${table} disable trigger user`)
  await tx.exec('set constraints all deferred')
  await work()
  await tx.exec('set constraints all immediate')
  for (const table of tables) await tx.exec(`alter table ${table} enable trigger user`)
  for (const { table, name, clause } of keys)
    await tx.exec(`alter table ${table} alter constraint ${name} ${clause}`)
  await tx.exec(`
    delete from visit_looks;
    insert into visit_looks (visit_id, standing)
      select visit_id, count(*) from look where retracted_at is null group by visit_id;
    select setval('command_seq', greatest((select max(seq) from command), 1));
    select setval(pg_get_serial_sequence('event', 'number'), greatest((select max(number) from event), 1))`)
}

/** Takes all rows of a store away; inside `layingRowsIn`. */
export async function takeAllRowsAway(tx: Db): Promise<void> {
  for (const table of STORED_TABLES.toReversed()) await tx.exec(`delete from ${table}`)
}

const UndonePayload = z.object({ commandId: z.uuid() })
const UndoneRow = z.object({ id: z.uuid(), kind: z.string() })

/** A change as it was kept: its row and what it wrote. */
export interface KeptChange {
  readonly command: JsonRow
  readonly events: readonly JsonRow[]
}

/** Makes a change again as it was kept, on a store that has all before it; inside `layingRowsIn`. */
export async function redo(tx: Db, { command, events }: KeptChange): Promise<void> {
  await putRows(tx, { table: 'command', rows: [command] })
  if (events.length > 0) await putRows(tx, { table: 'event', rows: events })
  for (const event of events) await replay(tx, EventRow.parse(event))
  if (command.kind !== 'undo') return
  const { commandId } = UndonePayload.parse(command.payload)
  const target = await maybeOne(tx, UndoneRow, 'select id, kind from command where id = $1', [
    commandId,
  ])
  if (target) await markUndone(tx, target, String(command.id))
}

const KeptChangeRow = z.object({ command: RowJson, events: z.array(RowJson) })
export const CHANGES_A_PAGE = 100

/** The changes after a place, in their order, some at a time, each with all that it wrote. */
export const changesAfter = (db: Db, seq: number): Promise<KeptChange[]> =>
  many(
    db,
    KeptChangeRow,
    `select to_jsonb(c) as command, coalesce((select jsonb_agg(to_jsonb(e) order by e.number)
       from event e where e.command_id = c.id), '[]') as events
     from command c where c.seq > $1 order by c.seq limit ${CHANGES_A_PAGE}`,
    [seq],
  )

/** The colours of the decks that a change opened, some at a time. */
export async function* coloursOpenedBy(
  db: Db,
  { events }: KeptChange,
): AsyncGenerator<readonly JsonRow[]> {
  for (const { subject, after } of events) {
    if (subject !== 'deck') continue
    let last = '00000000-0000-0000-0000-000000000000'
    for (;;) {
      const page = await many(
        db,
        z.object({ row: RowJson }),
        `select to_jsonb(d) as row from deck_colour d where d.deck_id = $1::uuid and d.id > $2::uuid
         order by d.id limit ${ROWS_A_PAGE}`,
        [(after as JsonRow).id, last],
      )
      if (page.length === 0) break
      yield page.map(({ row }) => row)
      last = String(page.at(-1)!.row.id)
    }
  }
}
