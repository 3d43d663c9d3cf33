import type { PreparedLight } from '../colour/appearance'
import type { FlatRows } from '../colour/flat-appearance'
import { BANDS, type Reflectance } from '../colour/spectrum'
import { lrvsPercent } from '../paint/lrv'
import type { ReadingSource } from '../paint/reading'
import { atStrength, STRENGTHS_PERCENT, whyNoLadder, type Base } from '../paint/strength'
import { DAYLIGHT } from '../undertone/daylight'
import {
  emptyUndertones,
  flatUndertones,
  undertoneAt,
  type FlatUndertones,
} from '../undertone/flat-undertones'
import type { Undertone } from '../undertone/undertone'

/** Deck colours at their strengths, one row each; cloneable. */
export interface DeckRows {
  /** Reflectances, 36 numbers a row. */
  readonly rows: FlatRows
  /** Which colour of the listing a row is of. */
  readonly places: ArrayLike<number>
  readonly strengthsPercent: ArrayLike<number>
  readonly sources: readonly ReadingSource[]
}

/** Rows with what hangs on no room: how they lean by daylight, and their LRV. */
export interface PreparedDeck extends DeckRows {
  readonly byDay: FlatUndertones
  readonly lrvsPercent: Float64Array
  /** The same, row by row. */
  readonly own: readonly { readonly undertone: Undertone; readonly lrvPercent: number }[]
}

/** One deck's colours as they come from the store; cloneable. */
export interface DeckColours {
  /** Reflectances at full strength, 36 numbers a colour. */
  readonly full: FlatRows
  readonly whiteBase: Reflectance
  readonly bases: readonly Base[]
  readonly sources: readonly ReadingSource[]
}

/** A row as a surface by itself. */
export const reflectanceOfRow = (rows: FlatRows, row: number): Reflectance =>
  Float64Array.from(rows.subarray(row * BANDS, (row + 1) * BANDS))

/** Every colour of these decks, one deck after another, at every strength that its base and the house rule allow. */
export function rowsOfDecks(decks: readonly DeckColours[], weakestPercent: number): DeckRows {
  const of: { deck: DeckColours; own: number; place: number; strengthPercent: number }[] = []
  let place = 0
  for (const deck of decks)
    for (const [own, base] of deck.bases.entries()) {
      for (const strengthPercent of STRENGTHS_PERCENT)
        if (
          strengthPercent === 100 ||
          (whyNoLadder(base) === null && strengthPercent >= weakestPercent)
        )
          of.push({ deck, own, place, strengthPercent })
      place++
    }
  const rows = new Float32Array(of.length * BANDS)
  of.forEach(({ deck, own, strengthPercent }, row) =>
    rows.set(
      atStrength(reflectanceOfRow(deck.full, own), deck.whiteBase, strengthPercent),
      row * BANDS,
    ),
  )
  return {
    rows,
    places: Uint32Array.from(of, (each) => each.place),
    strengthsPercent: Uint8Array.from(of, (each) => each.strengthPercent),
    sources: of.map(({ deck, own }) => deck.sources[own]!),
  }
}

/** Works out once what every ranking of these rows needs, whatever the room. */
export function prepareDeck(deck: DeckRows): PreparedDeck {
  const byDay = emptyUndertones(deck.places.length)
  flatUndertones(DAYLIGHT, deck.rows, byDay)
  const lrvs = lrvsPercent(deck.rows)
  const own = Array.from(lrvs, (lrvPercent, row) => ({
    undertone: undertoneAt(byDay, row),
    lrvPercent,
  }))
  return { ...deck, byDay, lrvsPercent: lrvs, own }
}

/** Every row as it is seen in a light; `row` is its place among the rows. */
export function seenRows(
  light: PreparedLight,
  { rows, places }: DeckRows,
): { readonly row: number; readonly place: number; readonly undertone: Undertone }[] {
  const seen = emptyUndertones(places.length)
  flatUndertones(light, rows, seen)
  return Array.from(places, (place, row) => ({ row, place, undertone: undertoneAt(seen, row) }))
}
