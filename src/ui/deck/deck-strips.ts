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
