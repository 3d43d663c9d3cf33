import type { DeckRows } from './deck-rows'
import type { WholeRanking } from './rank-for-room'

/** Every colour of the listing at its best strength. */
export interface BestOfColours {
  readonly strengthsPercent: Uint8Array<ArrayBuffer>
  readonly worths: Float32Array<ArrayBuffer>
  /** Chance of the weakest pair, weighed by what matters. */
  readonly weighed: Float32Array<ArrayBuffer>
}

/** A whole ranking by colour: each at the strength it is worth most at. */
export function bestOfColours(
  { order, worths, weighed }: WholeRanking,
  { places, strengthsPercent }: DeckRows,
): BestOfColours {
  let count = 0
  for (let row = 0; row < places.length; row++) count = Math.max(count, places[row]! + 1)
  const best: BestOfColours = {
    strengthsPercent: new Uint8Array(count),
    worths: new Float32Array(count),
    weighed: new Float32Array(count),
  }
  for (const row of order) {
    const place = places[row]!
    // A strength is never none: the first row met of a colour is its best.
    if (best.strengthsPercent[place] !== 0) continue
    best.strengthsPercent[place] = strengthsPercent[row]!
    best.worths[place] = worths[row]!
    best.weighed[place] = weighed[row]!
  }
  return best
}
