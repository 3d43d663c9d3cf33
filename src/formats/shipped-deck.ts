import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Lab } from '../core/colour/lab'
import { guessMapping } from '../core/deck/deck-mapping'
import { openDeckTable } from './deck-table'
import { readWholeDeck, type DeckColour } from './read-deck'

/** The invented range that comes with the application. */
export const SHIPPED_DECK = {
  maker: 'Tarrowby Paintworks',
  name: 'House Fan',
  /** Its untinted white base: clean, a little warm. */
  whiteBase: [96.3, -0.2, 1.6] as Lab,
} as const

/** Its colours, strips lightest first. */
export function shippedColours(): readonly DeckColour[] {
  const file = join(/* turbopackIgnore: true */ process.cwd(), 'demo/deck.csv')
  const opened = openDeckTable(readFileSync(file))
  if (!opened.ok) throw new Error(`${file}: ${JSON.stringify(opened.errors)}`)
  const { colours, errors } = readWholeDeck(opened.table, guessMapping(opened.table))
  if (errors.length > 0) throw new Error(`${file}: ${JSON.stringify(errors)}`)
  return colours
}
