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

/** Every table that is ours, those among them that follow from others or come with the program. */
const OWN_TABLES = [...STORED_TABLES, 'visit_looks', 'school', 'migration']

/** Those of them that a store has: one of an earlier version lacks what came later. */
const tablesIn = async (tx: Db): Promise<readonly string[]> => {
  const there = await many(
    tx,
    z.object({ name: z.string() }),
    'select relname as name from pg_class where relnamespace = current_schema()::regnamespace and relname = any($1::text[])',
    [STORED_TABLES],
  )
  return STORED_TABLES.filter((table) => there.some(({ name }) => name === table))
}

// As many as are read, parsed and written between two answers to somebody else.
const ROWS_A_PAGE = 250

/** What was changed while rows were read: a change with all that it wrote, or colours of a deck that the next one opens. */
export type LaterChange = KeptChange | { readonly deckColours: readonly JsonRow[] }

/** All rows of a store: pages of its tables, then what was changed while they were read, to be made again (`layIn`). */
export interface AllRows {
  /** The last change that was there when the reading began. */
  readonly seq: number
  readonly parts: AsyncIterable<TablePage | LaterChange>
}

let reads = 0

/**
 * Reads all rows of a store, a page at a time, while others are served.
 *
 * A server reads them as they are at one instant. The embedded engine has one session, which nobody may hold: there each page is
 * read as it is then, and the changes since the beginning come after the pages.
 */
export function readAllRows<T>(db: Db, take: (all: AllRows) => Promise<T>): Promise<T> {
  if (db.isOneSession) return readByKeys(db, take)
  const name = `all_rows_${(reads += 1)}`
  const cursors = STORED_TABLES.map((table) => ({ table, cursor: `${name}_${table}` }))
  return db.transaction(async (tx) => {
    await tx.exec('set transaction isolation level repeatable read')
    for (const { table, cursor } of cursors)
      await tx.exec(
        `declare ${cursor} no scroll cursor for select to_jsonb(t) as row from ${table} t`,
      )
    return take({ seq: await lastSeqOfAll(tx), parts: pagesOf(tx, cursors) })
  })
}

const Began = z.object({ seq: z.number(), event: z.number(), decks: z.array(z.uuid()) })

async function readByKeys<T>(db: Db, take: (all: AllRows) => Promise<T>): Promise<T> {
  const began = (await maybeOne(
    db,
    Began,
    `select coalesce((select max(seq) from command), 0) as seq, coalesce((select max(number) from event), 0) as event,
       coalesce((select json_agg(id) from deck where status = 'ready'), '[]') as decks`,
  ))!
  return take({ seq: began.seq, parts: partsByKeys(db, began) })
}

/** Which rows of a table are read, `t` the table: changes and decks of after the beginning come as changes. */
const ofBeginning = (table: string, { seq, event, decks }: z.infer<typeof Began>): string => {
  const ready = `any('{${decks.join(',')}}'::uuid[])`
  if (table === 'command') return `t.seq <= ${seq}`
  if (table === 'event') return `t.number <= ${event}`
  if (table === 'deck') return `t.id = ${ready}`
  return table === 'deck_colour' ? `t.deck_id = ${ready}` : 'true'
}

const KEYS: Readonly<Record<string, { readonly key: readonly string[] }>> = {
  ...RECORD_TABLES,
  deck_colour: { key: ['id'] },
  command: { key: ['seq'] },
  event: { key: ['number'] },
}

async function* partsByKeys(
  db: Db,
  began: z.infer<typeof Began>,
): AsyncGenerator<TablePage | LaterChange> {
  for (const table of STORED_TABLES) {
    const { key } = KEYS[table]!
    const columns = key.map((column) => `t.${column}`).join(', ')
    const last = key.map((column) => `(jsonb_populate_record(null::${table}, $1::jsonb)).${column}`)
    for (let after: JsonRow | null = null; ;) {
      const page: { row: JsonRow }[] = await many(
        db,
        z.object({ row: RowJson }),
        `select to_jsonb(t) as row from ${table} t where ${ofBeginning(table, began)}
           ${after ? `and (${columns}) > (${last.join(', ')})` : ''}
         order by ${columns} limit ${ROWS_A_PAGE}`,
        after ? [JSON.stringify(Object.fromEntries(key.map((each) => [each, after![each]])))] : [],
      )
      if (page.length > 0) yield { table, rows: page.map(({ row }) => row) }
      if (page.length < ROWS_A_PAGE) break
      after = page.at(-1)!.row
    }
  }
  for (let seq = began.seq; ;) {
    const changes = await changesAfter(db, seq)
    for (const change of changes) {
      for await (const deckColours of coloursOpenedBy(db, change)) yield { deckColours }
      yield change
    }
    if (changes.length < CHANGES_A_PAGE) break
    seq = Number(changes.at(-1)!.command.seq)
  }
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

/** Rows of one table, some at a time. */
export const tablePagesOf = (table: string, rows: readonly JsonRow[]): TablePage[] =>
  Array.from({ length: Math.ceil(rows.length / ROWS_A_PAGE) }, (_, at) => ({
    table,
    rows: rows.slice(at * ROWS_A_PAGE, (at + 1) * ROWS_A_PAGE),
  }))

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
  const tables = await tablesIn(tx)
  const keys = await many(
    tx,
    ForeignKey,
    `select conrelid::regclass::text as table, quote_ident(conname) as name,
       case when condeferred then 'deferrable initially deferred' when condeferrable then 'deferrable' else 'not deferrable' end as clause
     from pg_constraint where contype = 'f' and connamespace = current_schema()::regnamespace
       and (select relname from pg_class where oid = conrelid) = any($1::text[])`,
    [OWN_TABLES],
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
  await followFromRows(tx, tables)
}

/** Works out anew what follows from the rows of a store, and where its numbers go on; those of it that the store has. */
async function followFromRows(tx: Db, tables: readonly string[]): Promise<void> {
  await tx.exec(
    `select setval(pg_get_serial_sequence('event', 'number'), greatest((select max(number) from event), 1))`,
  )
  // Commands, and what is counted beside them, came together.
  if (!tables.includes('command')) return
  await tx.exec(`
    delete from visit_looks;
    insert into visit_looks (visit_id, standing)
      select visit_id, count(*) from look where retracted_at is null group by visit_id;
    select setval('command_seq', greatest((select max(seq) from command), 1))`)
}

/** Takes all rows of a store away; inside `layingRowsIn`. */
export async function takeAllRowsAway(tx: Db): Promise<void> {
  for (const table of (await tablesIn(tx)).toReversed()) await tx.exec(`delete from ${table}`)
}

/** Tables of others that point at rows of ours: those rows cannot be taken away under them. */
export const tablesPointingAtOurs = (tx: Db): Promise<{ readonly table: string }[]> =>
  many(
    tx,
    z.object({ table: z.string() }),
    `select distinct c.conrelid::regclass::text as table from pg_constraint c
       join pg_class theirs on theirs.oid = c.conrelid join pg_class ours on ours.oid = c.confrelid
     where c.contype = 'f' and ours.relnamespace = current_schema()::regnamespace and ours.relname = any($1::text[])
       and not (theirs.relnamespace = current_schema()::regnamespace and theirs.relname = any($1::text[]))
     order by 1`,
    [OWN_TABLES],
  )

const UndonePayload = z.object({ commandId: z.uuid() })
const UndoneRow = z.object({ id: z.uuid(), kind: z.string() })

/** A change as it was kept: its row and what it wrote. */
export interface KeptChange {
  readonly command: JsonRow
  readonly events: readonly JsonRow[]
}

/** Makes changes again that came after a place, each once, on a store that has all before them; inside `layingRowsIn`. */
export async function redoAfter(
  tx: Db,
  changes: Iterable<LaterChange>,
  seq: number,
): Promise<number> {
  let last = seq
  let colours: JsonRow[] = []
  for (const change of changes) {
    if ('deckColours' in change) {
      colours.push(...change.deckColours)
      continue
    }
    if (Number(change.command.seq) > last) {
      if (colours.length > 0) await putRows(tx, { table: 'deck_colour', rows: colours })
      await redo(tx, change)
      last = Number(change.command.seq)
    }
    colours = []
  }
  return last
}

/** Makes a change again as it was kept, on a store that has all before it; inside `layingRowsIn`. */
async function redo(tx: Db, { command, events }: KeptChange): Promise<void> {
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
        `select to_jsonb(d) as row from deck_colour d where d.id = any(array(
           select id from deck_colour where deck_id = $1::uuid and id > $2::uuid order by id limit ${ROWS_A_PAGE}))
         order by d.id`,
        [(after as JsonRow).id, last],
      )
      if (page.length === 0) break
      yield page.map(({ row }) => row)
      last = String(page.at(-1)!.row.id)
    }
  }
}
