import fitted from './fitted.json' with { type: 'json' }
import { emptyStays, emptyWall, fillStays, fillWall } from './sides'
import { fillTerms, TERM_NAMES, type Term } from './terms'
import { RATED_TRAITS, type RatedKind } from './traits'

/** What is added to every score. */
export const CONSTANT: number = fitted.constant

/** Points of ten for each unit of a term, in the order of `TERM_NAMES`, as they were fitted (`npm run fit`). */
export const WEIGHTS = Float64Array.from(TERM_NAMES, (name: Term) => fitted.terms[name])

/** A surface as it is seen: lightness J′ and lean, CAM16-UCS units. */
export interface Seen {
  readonly j: number
  readonly a: number
  readonly b: number
}

const [wallSide, staysSide] = [emptyWall(), emptyStays()]
const turned = new Float64Array(TERM_NAMES.length)

/**
 * The terms of a wall beside what stays, in the order of `TERM_NAMES`. Of two that meet as equals, the walls of two rooms, the mean of both
 * orders: whoever is named first.
 *
 * @param into as many places as there are terms
 */
export function termsOfPair(wall: Seen, stays: Seen, kind: RatedKind, into: Float64Array): void {
  fillOrder(wall, stays, kind, into)
  if (kind !== 'neighbour') return
  fillOrder(stays, wall, kind, turned)
  for (let i = 0; i < into.length; i++) into[i] = (into[i]! + turned[i]!) / 2
}

const fillOrder = (wall: Seen, stays: Seen, kind: RatedKind, into: Float64Array): void =>
  fillTerms(
    fillWall(wallSide, wall.j, wall.a, wall.b),
    fillStays(staysSide, stays.j, stays.a, stays.b),
    RATED_TRAITS[kind],
    into,
  )

/** Of ten good consultants, how many would say that a pair of such terms works: about 0 to 10, a little beyond at either end. */
export const scoreOf = (terms: Float64Array, weights: Float64Array = WEIGHTS): number =>
  CONSTANT + sumOf(terms, weights)

/** Σ weight · term. Four sums at once: one alone would wait for itself. */
export function sumOf(terms: Float64Array, weights: Float64Array): number {
  let p = 0
  let q = 0
  let r = 0
  let s = 0
  const count = terms.length
  let i = 0
  for (; i + 3 < count; i += 4) {
    p += weights[i]! * terms[i]!
    q += weights[i + 1]! * terms[i + 1]!
    r += weights[i + 2]! * terms[i + 2]!
    s += weights[i + 3]! * terms[i + 3]!
  }
  for (; i < count; i++) p += weights[i]! * terms[i]!
  return p + q + (r + s)
}

const MOST = 10

/** A score that counts by a share only, 0 to 1: what hardly shows can hardly spoil anything. */
export const lifted = (score: number, counts: number): number =>
  MOST - counts * (MOST - Math.max(0, Math.min(MOST, score)))

/** How sure a place is: variances of its lightness and of each axis of its lean. */
export interface Unsure {
  readonly varJ: number
  readonly varLean: number
}

/** Two people see one surface so far apart, an axis: its standard deviation, CAM16-UCS units. */
export const OBSERVER_SPREAD = 0.6

// As wide as the spread of an observer: a gradient that what is seen can be off by.
export const APART = 0.6

/** The terms of a pair, and what a unit more of each axis of either surface adds to them. */
export interface PairTerms {
  readonly terms: Float64Array
  /** Lightness and the two axes of the lean; of the wall, then of what stays. */
  readonly slopes: readonly (readonly [axis: 'varJ' | 'varLean', side: 0 | 1, Float64Array])[]
}

/** A pair with its slopes, whoever judges it. */
export function pairTerms(wall: Seen, stays: Seen, kind: RatedKind): PairTerms {
  const at = (w: Seen, s: Seen): Float64Array => {
    const into = new Float64Array(TERM_NAMES.length)
    termsOfPair(w, s, kind, into)
    return into
  }
  const terms = at(wall, stays)
  const slopes = (['j', 'a', 'b'] as const).flatMap((axis) =>
    ([0, 1] as const).map((side) => {
      const moved = side === 0 ? wall : stays
      const apart = { ...moved, [axis]: moved[axis] + APART }
      const there = side === 0 ? at(apart, stays) : at(wall, apart)
      return [
        axis === 'j' ? 'varJ' : 'varLean',
        side,
        there.map((each, i) => (each - terms[i]!) / APART),
      ] as const
    }),
  )
  return { terms, slopes }
}

/** The variance of a score by what is unsure of the two places, to first order. */
export const scoreVariance = (
  { slopes }: PairTerms,
  weights: Float64Array,
  unsure: readonly [wall: Unsure, stays: Unsure],
): number =>
  slopes.reduce(
    (sum, [axis, side, slope]) => sum + sumOf(slope, weights) ** 2 * unsure[side][axis],
    0,
  )

// A logistic step and a normal one, 1.6 to 1.7 times as wide, hardly differ: MacKay, "The evidence framework applied to
// classification networks", Neural Computation 4 (1992), 720, equation 10.
const MACKAY = Math.PI / 8

/** The step from a score to a chance. */
export interface Step {
  readonly slope: number
  readonly middle: number
}

/** How much speaks for a pair, as log-odds. */
export const logOdds = ({ slope, middle }: Step, score: number, variance: number): number =>
  (slope * (score - middle)) / Math.sqrt(1 + MACKAY * slope ** 2 * variance)

/** The chance that a pair works, that is that both of two raters together say more than five of ten. */
export const chanceOfScore = (
  score: number,
  variance: number,
  step: Step = fitted.chance,
): number => 1 / (1 + Math.exp(-logOdds(step, score, variance)))
