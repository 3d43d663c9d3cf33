import { randomUUID } from 'node:crypto'
import { z } from 'zod'
import type { Lab } from '../core/colour/lab'
import type { PlainReading } from '../core/paint/reading'
import { BASES } from '../core/paint/strength'
import { many, type Db } from './db'
import { ReadingColumns, readingFromColumns } from './reading-columns'

const DeckRow = z
  .object({
    id: z.uuid(),
    maker: z.string(),
    name: z.string(),
    whiteBaseL: z.number(),
    whiteBaseA: z.number(),
    whiteBaseB: z.number(),
    colours: z.number(),
  })
  .transform(({ whiteBaseL, whiteBaseA, whiteBaseB, ...deck }) => ({
    ...deck,
    whiteBase: [whiteBaseL, whiteBaseA, whiteBaseB] as Lab,
  }))
export type Deck = z.infer<typeof DeckRow>

/** Columns of a deck colour under the alias `d`, for queries that join one. */
export const DECK_COLOUR_COLUMNS = `d.id as "deckColourId", d.deck_id as "deckId", d.code, d.name,
  d.strip, d.base, d.reading_kind as "readingKind", d.lab_l as "labL", d.lab_a as "labA",
  d.lab_b as "labB", d.hex`

export const DeckColourColumns = ReadingColumns.extend({
  deckColourId: z.uuid(),
  deckId: z.uuid(),
  code: z.string(),
  name: z.string(),
  strip: z.string(),
  base: z.enum(BASES),
})

export function deckColourFromColumns(row: z.infer<typeof DeckColourColumns>) {
  const { readingKind, labL, labA, labB, hex, ...rest } = row
  return { ...rest, reading: readingFromColumns({ readingKind, labL, labA, labB, hex }) }
}

const DeckColourRow = DeckColourColumns.transform(deckColourFromColumns)
export type DeckColour = z.infer<typeof DeckColourRow>

export interface NewDeck {
  readonly maker: string
  readonly name: string
  readonly whiteBase: Lab
}

export interface NewDeckColour {
  readonly code: string
  readonly name: string
  readonly strip: string
  readonly base: (typeof BASES)[number]
  readonly reading: PlainReading
}

const SELECT_DECK = `select id, maker, name, white_base_l as "whiteBaseL",
  white_base_a as "whiteBaseA", white_base_b as "whiteBaseB",
  (select count(*) from deck_colour where deck_id = deck.id) as colours from deck`

export const listDecks = (db: Db): Promise<Deck[]> =>
  many(db, DeckRow, `${SELECT_DECK} where status = 'ready' order by maker, name`)

/** Colours of a deck, strip by strip, lightest first. */
export function listDeckColours(db: Db, deckId: string): Promise<DeckColour[]> {
  return many(
    db,
    DeckColourRow,
    `select ${DECK_COLOUR_COLUMNS} from deck_colour d
     where d.deck_id = $1 order by d.strip, d.strip_position, d.code`,
    [deckId],
  )
}

const MOST_FOUND = 12

/** Colours of any deck whose code begins with, or whose name holds, what was typed. */
export function searchDeckColours(db: Db, typed: string): Promise<DeckColour[]> {
  return many(
    db,
    DeckColourRow,
    `select ${DECK_COLOUR_COLUMNS} from deck_colour d
     join deck on deck.id = d.deck_id and deck.status = 'ready'
     where starts_with(lower(d.code), lower($1)) or position(lower($1) in lower(d.name)) > 0
     order by d.code limit ${MOST_FOUND}`,
    [typed],
  )
}

// So many go in at a time, so that others are served in between.
const CHUNK = 2000

/**
 * Lays a deck with its colours in, as `importing`: nobody sees it until a change makes it ready.
 *
 * @param colours strip order is their order
 */
export async function layDeckIn(
  db: Db,
  deckId: string,
  deck: NewDeck,
  colours: readonly NewDeckColour[],
): Promise<void> {
  await discardDeck(db, deckId)
  await db.query(
    `insert into deck (id, maker, name, white_base_l, white_base_a, white_base_b, status)
     values ($1, $2, $3, $4, $5, $6, 'importing')`,
    [deckId, deck.maker, deck.name, ...deck.whiteBase],
  )
  const positions = new Map<string, number>()
  const rows = colours.map(({ code, name, strip, base, reading }) => {
    const position = positions.get(strip) ?? 0
    positions.set(strip, position + 1)
    const [lab_l, lab_a, lab_b] = reading.kind === 'lab' ? reading.lab : [null, null, null]
    const hex = reading.kind === 'srgb' ? reading.hex : null
    return {
      id: randomUUID(),
      code,
      name,
      strip,
      base,
      hex,
      lab_l,
      lab_a,
      lab_b,
      strip_position: position,
      reading_kind: reading.kind,
    }
  })
  for (let first = 0; first < rows.length; first += CHUNK)
    await db.query(
      `insert into deck_colour (id, deck_id, code, name, strip, strip_position, base,
         reading_kind, lab_l, lab_a, lab_b, hex)
       select id, $1, code, name, strip, strip_position, base, reading_kind, lab_l, lab_a, lab_b, hex
       from jsonb_to_recordset($2::jsonb) as c (id uuid, code text, name text, strip text,
         strip_position integer, base text, reading_kind text, lab_l double precision,
         lab_a double precision, lab_b double precision, hex text)`,
      [deckId, JSON.stringify(rows.slice(first, first + CHUNK))],
    )
}

/** Makes a deck ready, and says how many colours came in. */
export async function makeDeckReady(tx: Db, deckId: string): Promise<number> {
  const [deck] = await many(
    tx,
    z.object({ colours: z.number() }),
    `update deck set status = 'ready' where id = $1 and status = 'importing'
     returning (select count(*) from deck_colour where deck_id = deck.id) as colours`,
    [deckId],
  )
  return deck?.colours ?? 0
}

/** Throws away a deck that never became ready. */
export async function discardDeck(db: Db, deckId: string): Promise<void> {
  await db.query(`delete from deck where id = $1 and status = 'importing'`, [deckId])
}

/** Throws away what imports left behind that were broken off. */
export async function discardUnfinishedDecks(db: Db): Promise<void> {
  await db.query(`delete from deck where status = 'importing'`)
}
