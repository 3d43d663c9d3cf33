import { z } from 'zod'
import { RECORD_TABLES, RowJson, type JsonRow, type TableName } from './codec'
import { many, maybeOne, type Db } from './db'

/** Tables that belong to no visit: a visit's file carries its decks by themselves. */
const NOT_OF_VISIT = ['settings', 'deck', 'learner', 'practice_answer', 'eye_lesson'] as const
export type VisitTable = Exclude<TableName, (typeof NOT_OF_VISIT)[number]>

/** The tables of a visit, each after those it refers to; first the visit, which every change names. */
export const VISIT_TABLES = (Object.keys(RECORD_TABLES) as TableName[])
  .filter((name): name is VisitTable => !(NOT_OF_VISIT as readonly string[]).includes(name))
  .sort((p, q) => Number(q === 'visit') - Number(p === 'visit'))

const ROOMS = 'select id from room where visit_id = $1'
const KEEPERS = `select id from keeper where room_id in (${ROOMS})`

// Which rows of a table are a visit's, `t` the table and $1 the visit.
const BELONGS: Readonly<Record<VisitTable, string>> = {
  visit: 't.id = $1',
  visit_house_rule: 't.visit_id = $1',
  photo: `t.hash in (select unnest(array[photo_hash, patch_hash]) from keeper where room_id in (${ROOMS})
    union select photo_hash from look where visit_id = $1)`,
  room: 't.visit_id = $1',
  room_window: `t.room_id in (${ROOMS})`,
  lamp: `t.room_id in (${ROOMS})`,
  room_paint: `t.room_id in (${ROOMS})`,
  room_sight: `t.room_id in (${ROOMS})`,
  keeper: `t.room_id in (${ROOMS})`,
  keeper_colour: `t.keeper_id in (${KEEPERS})`,
  keeper_room: `t.keeper_id in (${KEEPERS})`,
  candidate: 't.visit_id = $1',
  proposal: `t.room_id in (${ROOMS})`,
  ruling: `t.room_id in (${ROOMS})`,
  scheme: `t.room_id in (${ROOMS})`,
  thing_place: `t.room_id in (${ROOMS})`,
  what_if: `t.room_id in (${ROOMS})`,
  board: 't.visit_id = $1',
  look: 't.visit_id = $1',
  finish_look: `t.room_id in (${ROOMS})`,
  sweep: `t.room_id in (${ROOMS})`,
  meter_reading: `t.room_id in (${ROOMS})`,
}

export type VisitRows = Readonly<Record<VisitTable, readonly JsonRow[]>>

const keyOrder = (name: VisitTable): string =>
  RECORD_TABLES[name].key.map((column) => `t.${column}`).join(', ')

/** Every row of a visit, also what was taken out or back, by table, as the codec writes it. */
export async function visitRows(db: Db, visitId: string): Promise<VisitRows> {
  const entries: (readonly [VisitTable, readonly JsonRow[]])[] = []
  for (const name of VISIT_TABLES) {
    const rows = await many(
      db,
      z.object({ row: RowJson }),
      `select to_jsonb(t) as row from ${name} t where ${BELONGS[name]} order by ${keyOrder(name)}`,
      [visitId],
    )
    entries.push([name, rows.map(({ row }) => row)])
  }
  return Object.fromEntries(entries) as unknown as VisitRows
}

const Text = z.object({ rows: z.string() })

/** The same, each table as the text of a JSON list: for a thread that puts it into a file. */
export async function visitRowsAsText(
  db: Db,
  visitId: string,
): Promise<readonly (readonly [VisitTable, string])[]> {
  const texts: (readonly [VisitTable, string])[] = []
  for (const name of VISIT_TABLES) {
    const page = await maybeOne(
      db,
      Text,
      `select coalesce(jsonb_agg(to_jsonb(t) order by ${keyOrder(name)}), '[]')::text as rows from ${name} t where ${BELONGS[name]}`,
      [visitId],
    )
    texts.push([name, page!.rows])
  }
  return texts
}

/** A deck with every colour of it, as rows; what was worked out of a reading stays behind. */
export interface DeckRowsOf {
  readonly deck: JsonRow
  readonly colours: readonly JsonRow[]
}

const USED = `select deck_id from deck_colour where id in (
  select deck_colour_id from candidate where visit_id = $1
  union select c.deck_colour_id from keeper_colour c where c.keeper_id in (${KEEPERS})
  union select beside_deck_colour_id from look where visit_id = $1
  union select value::uuid from scheme s, jsonb_array_elements_text(s.accents) where s.room_id in (${ROOMS}))`

/** A deck as text, its colours in pages that are JSON lists each. */
export interface DeckTextOf {
  readonly deck: string
  readonly colours: readonly string[]
}

// Others are served between two of them. The ids first: else every colour of the deck is made JSON for each page.
const COLOURS_A_PAGE = 100
const NO_ID = '00000000-0000-0000-0000-000000000000'

/** The decks that a visit's colours come from, whole, as text, read a page at a time. */
export async function decksOfVisitAsText(db: Db, visitId: string): Promise<DeckTextOf[]> {
  const decks = await many(
    db,
    z.object({ id: z.uuid(), deck: z.string() }),
    `select d.id, to_jsonb(d)::text as deck from deck d where d.id in (${USED}) order by d.maker, d.name`,
    [visitId],
  )
  const texts: DeckTextOf[] = []
  for (const { id, deck } of decks) {
    const colours: string[] = []
    for (let at = NO_ID; ;) {
      const page = await maybeOne(
        db,
        Text.extend({ count: z.number(), last: z.string().nullable() }),
        `select coalesce(jsonb_agg(row), '[]')::text as rows, count(*) as count, max(id::text) as last
         from (select c.id, to_jsonb(c) - 'bands' - 'bands_model' as row from deck_colour c
           where c.id = any(array(select id from deck_colour where deck_id = $1 and id > $2::uuid
             order by id limit ${COLOURS_A_PAGE}))) page`,
        [id, at],
      )
      colours.push(page!.rows)
      if (page!.count < COLOURS_A_PAGE) break
      at = page!.last!
    }
    texts.push({ deck, colours })
  }
  return texts
}

/** The decks that a visit's colours come from, whole: another installation has their strips, too. */
export const decksOfVisit = (db: Db, visitId: string): Promise<DeckRowsOf[]> =>
  many(
    db,
    z.object({ deck: RowJson, colours: z.array(RowJson) }),
    `select to_jsonb(d) as deck, (select jsonb_agg(to_jsonb(c) - 'bands' - 'bands_model' order by c.strip, c.strip_position)
       from deck_colour c where c.deck_id = d.id) as colours
     from deck d where d.id in (${USED}) order by d.maker, d.name`,
    [visitId],
  )

/** While a file is laid in, what is ruled on takes its own rows. */
export const beginReplay = (tx: Db): Promise<unknown> =>
  tx.query(`select set_config('elm.replaying', 'on', true)`)

/** From here on triggers tell and refuse again, as they do for any change. */
export const endReplay = (tx: Db): Promise<unknown> =>
  tx.query(`select set_config('elm.replaying', '', true)`)
