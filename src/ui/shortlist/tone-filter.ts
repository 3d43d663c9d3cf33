import type { HouseRules } from '@/core/advice/house-rules'
import type { Base } from '@/core/paint/strength'
import type { BestOfColours } from '@/core/ranking/whole-ranking'
import { nameOf } from '@/core/undertone/name'
import type { FamilyName } from '@/core/undertone/plain-name'
import { isRuledOut, type Lean } from '@/core/undertone/lean'
import { toneOf, type ToneName } from '@/core/undertone/tone-order'
import type { ListedDecks } from '../deck/listed-decks'

// LRV from and to, and what paints of it are called; common practice.
export const LRV_BANDS = [
  [0, 10, 'below 10, black and off-black'],
  [10, 25, '10 to 25, deep'],
  [25, 45, '25 to 45, medium'],
  [45, 60, '45 to 60, medium-light'],
  [60, 72, '60 to 72, light'],
  [72, 85, '72 to 85, off-white'],
  [85, 101, 'above 85, white'],
] as const

/** What of the decks is asked for; null asks for nothing of that kind. */
export interface ToneFilter {
  /** Place in `LRV_BANDS`. */
  readonly depth: number | null
  readonly family: FamilyName | null
  readonly tone: ToneName | null
  readonly base: Base | null
  /** Only what works with all that stays. */
  readonly fits: boolean
}

export const NO_FILTER: ToneFilter = {
  depth: null,
  family: null,
  tone: null,
  base: null,
  fits: false,
}

/** Whether a colour is asked for. */
export function isAskedFor(
  filter: ToneFilter,
  decks: ListedDecks,
  place: number,
  rules: HouseRules,
  whole: BestOfColours | null,
): boolean {
  const { depth, family, tone, base, fits } = filter
  const lrv = decks.lrvs[place]!
  if (depth !== null) {
    const [from, to] = LRV_BANDS[depth]!
    if (lrv < from || lrv >= to) return false
  }
  if (base !== null && decks.colours[place]!.base !== base) return false
  if (fits && whole && whole.works[place] === 0) return false
  if (tone !== null && toneOf([decks.undertoneOf(place)]).tone !== tone) return false
  return family === null || nameOf(decks.undertoneOf(place), lrv, rules).name === family
}

// A colour may be worth so much less than the best of the decks and still be at home in the room: a point of ten, which is as near as
// two raters come.
const LESS_THAN_BEST = 0.1
// Where nothing works with all that stays, so many of a hundred stand for what fits best.
const BEST_SHARE = 0.1

/**
 * Which colours fit the room: at some strength they work with all that stays, are worth hardly less than the best, and their
 * lean is not out. Where none works, the best tenth stands for them.
 */
export function fittingPlaces(
  decks: ListedDecks,
  whole: BestOfColours,
  without: readonly Lean[],
): Uint8Array {
  const count = decks.colours.length
  const open = Array.from({ length: count }, (_, place) => place).filter(
    (place) => without.length === 0 || !isRuledOut(without, decks.undertoneOf(place)),
  )
  const works = open.filter((place) => whole.works[place] === 1)
  const worths = open.map((place) => whole.worths[place]!).sort((p, q) => q - p)
  const least =
    works.length > 0
      ? Math.max(...works.map((place) => whole.worths[place]!)) - LESS_THAN_BEST
      : (worths[Math.floor(open.length * BEST_SHARE)] ?? -Infinity)
  const fits = new Uint8Array(count)
  for (const place of works.length > 0 ? works : open)
    if (whole.worths[place]! >= least) fits[place] = 1
  return fits
}
