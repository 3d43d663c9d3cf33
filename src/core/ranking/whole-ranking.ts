import type { DeckRows } from './deck-rows'
import type { WholeRanking } from './rank-for-room'

/** Every colour of the listing at its best strength. */
export interface BestOfColours {
  readonly strengthsPercent: Uint8Array<ArrayBuffer>
  readonly worths: Float32Array<ArrayBuffer>
  /** 1 or 0: whether its weakest pair counts as working. */
  readonly works: Uint8Array<ArrayBuffer>
}

/** A whole ranking by colour: each at the strength it is worth most at. */
export function bestOfColours(
  { order, worths, works }: WholeRanking,
  { places, strengthsPercent }: DeckRows,
): BestOfColours {
  let count = 0
  for (let row = 0; row < places.length; row++) count = Math.max(count, places[row]! + 1)
  const best: BestOfColours = {
    strengthsPercent: new Uint8Array(count),
    worths: new Float32Array(count),
    works: new Uint8Array(count),
  }
  for (const row of order) {
    const place = places[row]!
    // A strength is never none: the first row met of a colour is its best.
    if (best.strengthsPercent[place] !== 0) continue
    best.strengthsPercent[place] = strengthsPercent[row]!
    best.worths[place] = worths[row]!
    best.works[place] = works[row]!
  }
  return best
}
