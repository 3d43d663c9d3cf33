import { randomUUID } from 'node:crypto'
import { z } from 'zod'
import type { Lab } from '../core/colour/lab'
import type { PlainReading } from '../core/paint/reading'
import { BASES } from '../core/paint/strength'
import { many, sqlState, UNIQUE_VIOLATION, type Db } from './db'
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
  many(db, DeckRow, `${SELECT_DECK} order by maker, name`)

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
     where starts_with(lower(d.code), lower($1)) or position(lower($1) in lower(d.name)) > 0
     order by d.code limit ${MOST_FOUND}`,
    [typed],
  )
}

/**
 * Adds a deck with all its colours, or nothing.
 *
 * @param colours strip order is their order
 * @returns the new deck's id, or null when the maker already has a deck of that name
 */
export async function addDeck(
  db: Db,
  deck: NewDeck,
  colours: readonly NewDeckColour[],
): Promise<string | null> {
  const deckId = randomUUID()
  const labOf = (reading: PlainReading, i: number): number | null =>
    reading.kind === 'lab' ? reading.lab[i]! : null
  const positions = new Map<string, number>()
  const positionOn = (strip: string): number => {
    const position = positions.get(strip) ?? 0
    positions.set(strip, position + 1)
    return position
  }
  try {
    await db.transaction(async (tx) => {
      await tx.query(
        `insert into deck (id, maker, name, white_base_l, white_base_a, white_base_b)
         values ($1, $2, $3, $4, $5, $6)`,
        [deckId, deck.maker, deck.name, ...deck.whiteBase],
      )
      await tx.query(
        `insert into deck_colour (id, deck_id, code, name, strip, strip_position, base,
           reading_kind, lab_l, lab_a, lab_b, hex)
         select id, $1, code, name, strip, strip_position, base, reading_kind, lab_l, lab_a, lab_b, hex
         from jsonb_to_recordset($2::jsonb) as c (id uuid, code text, name text, strip text,
           strip_position integer, base text, reading_kind text, lab_l double precision,
           lab_a double precision, lab_b double precision, hex text)`,
        [
          deckId,
          JSON.stringify(
            colours.map(({ code, name, strip, base, reading }) => ({
              id: randomUUID(),
              code,
              name,
              strip,
              strip_position: positionOn(strip),
              base,
              reading_kind: reading.kind,
              lab_l: labOf(reading, 0),
              lab_a: labOf(reading, 1),
              lab_b: labOf(reading, 2),
              hex: reading.kind === 'srgb' ? reading.hex : null,
            })),
          ),
        ],
      )
    })
  } catch (error) {
    if (sqlState(error) === UNIQUE_VIOLATION) return null
    throw error
  }
  return deckId
}
