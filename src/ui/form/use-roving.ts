'use client'

import { useState, type KeyboardEvent } from 'react'

/**
 * Buttons in rows of which Tab comes to one: arrow keys go from one to the next, a letter to the next whose words begin with
 * it, Enter presses as ever.
 *
 * @param columns how many stand in a row; read from the page where it is not known
 */
export function useRoving(columns?: number) {
  const [active, setActive] = useState(0)

  function onKeyDown(event: KeyboardEvent<HTMLElement>): void {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    const cells = [...event.currentTarget.querySelectorAll<HTMLElement>('[data-cell]')]
    const at = cells.indexOf(event.target as HTMLElement)
    if (at < 0) return
    const to = isStep(event.key)
      ? at + stepOf(event.key, columns ?? inARow(cells))
      : event.key.length === 1 && event.key !== ' '
        ? nextByLetter(cells, at, event.key.toLowerCase())
        : at
    if (to === at) return
    event.preventDefault()
    event.stopPropagation()
    cells[to]?.focus()
  }

  return {
    onKeyDown,
    cell: (place: number) => ({
      'data-cell': '',
      tabIndex: place === active ? 0 : -1,
      onFocus: () => setActive(place),
    }),
  }
}

const isStep = (key: string): boolean => key.startsWith('Arrow')
const stepOf = (key: string, columns: number): number =>
  ({ ArrowLeft: -1, ArrowRight: 1, ArrowUp: -columns, ArrowDown: columns })[key] ?? 0

/** How many stand beside each other in the first row. */
function inARow(cells: readonly HTMLElement[]): number {
  const top = cells[0]?.offsetTop
  const second = cells.findIndex(({ offsetTop }) => offsetTop !== top)
  return second < 0 ? cells.length : second
}

function nextByLetter(cells: readonly HTMLElement[], at: number, letter: string): number {
  const order = [...cells.keys()].map((i) => (at + 1 + i) % cells.length)
  return order.find((i) => cells[i]!.textContent?.trim().toLowerCase().startsWith(letter)) ?? at
}
