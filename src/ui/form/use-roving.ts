'use client'

import { useRef, useState, type KeyboardEvent } from 'react'

/**
 * Buttons in rows of which Tab comes to one: arrow keys go from one to the next, a letter to the next whose words begin with
 * it, Enter presses as ever.
 *
 * @param columns how many stand in a row; read from the page where it is not known
 * @param first the one that Tab comes to at first
 */
export function useRoving(columns?: number, first = 0) {
  const [active, setActive] = useState(first)
  const typed = useRef('')

  function onKeyDown(event: KeyboardEvent<HTMLElement>): void {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    const cells = [...event.currentTarget.querySelectorAll<HTMLElement>('[data-cell]')]
    const at = cells.indexOf(event.target as HTMLElement)
    if (at < 0) return
    if (isStep(event.key)) typed.current = ''
    const to = isStep(event.key)
      ? at + stepOf(event.key, columns ?? inARow(cells))
      : event.key.length === 1 && event.key !== ' '
        ? byLetter(cells, at, event.key.toLowerCase())
        : -1
    if (to < 0) return
    event.preventDefault()
    event.stopPropagation()
    cells[to]?.focus()
  }

  /** Letters go on with those before while something begins so; else with the next that begins with this one. */
  function byLetter(cells: readonly HTMLElement[], at: number, letter: string): number {
    const further = nextBeginning(cells, at, typed.current + letter)
    typed.current = further < 0 ? letter : typed.current + letter
    return further < 0 ? nextBeginning(cells, at + 1, letter) : further
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

/** The next whose words begin so; -1 where none does. */
function nextBeginning(cells: readonly HTMLElement[], from: number, typed: string): number {
  const order = [...cells.keys()].map((i) => (from + i) % cells.length)
  return order.find((i) => cells[i]!.textContent.trim().toLowerCase().startsWith(typed)) ?? -1
}
