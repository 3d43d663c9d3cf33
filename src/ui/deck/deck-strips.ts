import type { ListedColour } from '@/workers/fetch-deck'

/** A colour of a deck's listing. */
export type DeckEntry = ListedColour

export interface Strip {
  readonly strip: string
  /** Places in the deck's listing, lightest first. */
  readonly places: readonly number[]
}

/** A deck's colours gathered into strips, in the order of the listing. */
export function stripsOf(entries: readonly DeckEntry[]): Strip[] {
  const strips = new Map<string, number[]>()
  entries.forEach(({ strip }, place) => {
    const places = strips.get(strip)
    if (places) places.push(place)
    else strips.set(strip, [place])
  })
  return [...strips].map(([strip, places]) => ({ strip, places }))
}

const MOST_FOUND = 6

/** Places of the colours whose code begins with, or whose name holds, what was typed. */
export function findPlaces(entries: readonly DeckEntry[], typed: string): number[] {
  const wanted = typed.trim().toLowerCase()
  if (wanted === '') return []
  const found: number[] = []
  entries.forEach(({ code, name }, place) => {
    if (
      found.length < MOST_FOUND &&
      (code.toLowerCase().startsWith(wanted) || name.toLowerCase().includes(wanted))
    )
      found.push(place)
  })
  return found
}
