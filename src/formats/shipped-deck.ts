import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Lab } from '../core/colour/lab'
import { readDeckCsv, type DeckCsvColour } from './deck-csv'

/** The invented range that comes with the application. */
export const SHIPPED_DECK = {
  maker: 'Tarrowby Paintworks',
  name: 'House Fan',
  /** Its untinted white base: clean, a little warm. */
  whiteBase: [96.3, -0.2, 1.6] as Lab,
} as const

/** Its colours, strips lightest first. */
export function shippedColours(): readonly DeckCsvColour[] {
  const file = join(/* turbopackIgnore: true */ process.cwd(), 'demo/deck.csv')
  const csv = readDeckCsv(readFileSync(file))
  if (!csv.ok) throw new Error(`${file}: ${JSON.stringify(csv.errors)}`)
  return csv.colours
}
