import { z } from 'zod'
import type { JsonRow } from '@/db/codec'
import {
  beginDeck,
  COLOURS_AT_A_TIME,
  deckColourFromColumns,
  discardDeck,
  DeckColourColumns,
  listDeckColours,
  listDecks,
  type DeckColour,
  type NewDeckColour,
} from '@/db/decks'
import { openDb } from '@/store/store'
import type { VisitFile } from '@/formats/visit-file'
import { addWithBands } from '../decks/take-deck-in'

const DeckShape = z.object({
  id: z.uuid(),
  maker: z.string().min(1).max(80),
  name: z.string().min(1).max(80),
  white_base_l: z.number(),
  white_base_a: z.number(),
  white_base_b: z.number(),
})

/** A row of a deck's colours as queries have it. */
const colourOf = (row: JsonRow): DeckColour =>
  deckColourFromColumns(
    DeckColourColumns.parse({
      deckColourId: row.id,
      deckId: row.deck_id,
      ...{ code: row.code, name: row.name, strip: row.strip, base: row.base },
      readingKind: row.reading_kind,
      ...{ labL: row.lab_l, labA: row.lab_a, labB: row.lab_b, hex: row.hex },
      wavelengthsNm: row.wavelengths_nm,
      reflectances: row.reflectances,
      printedLrvPercent: row.printed_lrv,
      sheens: row.sheens,
      mayBeRefused: row.may_be_refused,
    }),
  )

/**
 * The decks of a visit's file in this store: those that are here go by the codes of theirs, the others are laid in, to be
 * opened with the visit.
 *
 * @returns what each colour of the file is called here, and the decks that wait; or why not
 */
export async function layDecksIn(file: VisitFile): Promise<
  | {
      readonly ok: true
      readonly idOf: ReadonlyMap<string, string>
      readonly waiting: readonly string[]
    }
  | { readonly ok: false; readonly message: string }
> {
  const db = await openDb()
  const here = await listDecks(db)
  const idOf = new Map<string, string>()
  const waiting: string[] = []
  const refuse = async (message: string) => {
    for (const deckId of waiting) await discardDeck(db, deckId)
    return { ok: false as const, message }
  }
  for (const { deck: row, colours: rows } of file.decks) {
    const deck = DeckShape.safeParse(row)
    if (!deck.success)
      return refuse(
        `decks, ${deck.error.issues[0]!.path.join('.')}: ${deck.error.issues[0]!.message}`,
      )
    const { id, maker, name } = deck.data
    let colours: DeckColour[]
    try {
      colours = rows.map(colourOf)
    } catch {
      return refuse(`A colour of “${maker}, ${name}” in the file is none.`)
    }
    const known = here.find(
      (each) => each.id === id || (each.maker === maker && each.name === name),
    )
    if (known) {
      const own = new Map((await listDeckColours(db, known.id)).map((each) => [each.code, each]))
      for (const colour of colours) {
        const same = own.get(colour.code)
        if (!same || JSON.stringify(same.reading) !== JSON.stringify(colour.reading)) {
          if (isUsed(file, colour.deckColourId))
            return refuse(
              `“${maker}, ${name}” is here, and its colour ${colour.code} is another one. Nothing was imported.`,
            )
          continue
        }
        idOf.set(colour.deckColourId, same.deckColourId)
      }
      continue
    }
    await beginDeck(db, id, {
      ...{ maker, name },
      whiteBase: [deck.data.white_base_l, deck.data.white_base_a, deck.data.white_base_b],
    })
    waiting.push(id)
    const fresh = colours.map(({ deckColourId, ...colour }): NewDeckColour => ({
      ...colour,
      id: deckColourId,
    }))
    for (let first = 0; first < fresh.length; first += COLOURS_AT_A_TIME)
      await addWithBands(id, fresh.slice(first, first + COLOURS_AT_A_TIME))
  }
  return { ok: true, idOf, waiting }
}

// Columns that name a colour of a deck.
const NAMING = ['deck_colour_id', 'beside_deck_colour_id'] as const

const isUsed = ({ tables }: VisitFile, colourId: string): boolean =>
  Object.values(tables).some((rows) =>
    rows.some(
      (row) =>
        NAMING.some((column) => row[column] === colourId) ||
        (Array.isArray(row.accents) && row.accents.includes(colourId)),
    ),
  )

/** The rows of a file with the colours of decks by their names here. */
export function withColoursHere(
  tables: VisitFile['tables'],
  idOf: ReadonlyMap<string, string>,
): VisitFile['tables'] {
  const here = (value: unknown): unknown => idOf.get(String(value)) ?? value
  return Object.fromEntries(
    Object.entries(tables).map(([name, rows]) => [
      name,
      rows.map((row) => ({
        ...row,
        ...Object.fromEntries(
          NAMING.filter((column) => row[column] != null).map((column) => [
            column,
            here(row[column]),
          ]),
        ),
        ...(Array.isArray(row.accents) && { accents: row.accents.map(here) }),
      })),
    ]),
  )
}
