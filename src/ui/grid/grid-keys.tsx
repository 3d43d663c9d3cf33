'use client'

import { useKeys, type KeyWords } from '../keys/use-keys'

const KEY_WORDS: KeyWords = [['← → ↑ ↓', 'from cell to cell; Enter opens the looks behind it']]

/** Arrow keys go from cell to cell of the grid. */
export function GridKeys() {
  useKeys(
    {
      ArrowLeft: () => step(0, -1),
      ArrowRight: () => step(0, 1),
      ArrowUp: () => step(-1, 0),
      ArrowDown: () => step(1, 0),
    },
    KEY_WORDS,
  )
  return null
}

/** The focus to the cell that lies so many rows and columns on; to the first where it is in none. */
function step(rows: number, columns: number): void {
  const cells = [...document.querySelectorAll('table[data-grid] tbody tr')].map((row) => [
    ...row.querySelectorAll<HTMLElement>('td a'),
  ])
  const row = cells.findIndex((links) => links.some((link) => link === document.activeElement))
  const column = cells[row]?.findIndex((link) => link === document.activeElement) ?? -1
  const next = row < 0 ? cells[0]?.[0] : cells[row + rows]?.[column + columns]
  next?.focus()
  next?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
}
