import type { ListedDecks, ListedStrip } from '../deck/listed-decks'

// A step of this much lightness, J′, is seen across a room; common practice has 10 as soft.
const SEEN_APART = 10

/** "With a step between": the next lighter and the next deeper colour of a strip that stand visibly apart, one left out at least. */
export function withStepBetween(
  decks: ListedDecks,
  { places }: ListedStrip,
  picked: number,
): readonly number[] {
  const at = places.indexOf(picked)
  if (at < 0) return []
  const { j } = decks.undertoneOf(picked)
  const far = (place: number): boolean => Math.abs(decks.undertoneOf(place).j - j) >= SEEN_APART
  const lighter = places
    .slice(0, Math.max(0, at - 1))
    .reverse()
    .find(far)
  const deeper = places.slice(at + 2).find(far)
  return [lighter, deeper].filter((place) => place !== undefined)
}
