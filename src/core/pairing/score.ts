import fitted from './fitted.json'
import { emptyStays, emptyWall, fillStays, fillWall, type StaysSide, type WallSide } from './sides'
import { fillTerms, TERM_NAMES, type Term } from './terms'
import type { Traits } from './traits'

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

const terms = new Float64Array(TERM_NAMES.length)

/**
 * Of ten good consultants, how many would say that a wall works beside a finish: about 0 to 10, a little beyond at either end.
 *
 * @param wall and stays filled in the light at hand
 */
export function scoreOf(wall: WallSide, stays: StaysSide, is: Traits, weights = WEIGHTS): number {
  fillTerms(wall, stays, is, terms)
  let score = CONSTANT
  for (let i = 0; i < terms.length; i++) score += weights[i]! * terms[i]!
  return score
}

const [wallSide, staysSide] = [emptyWall(), emptyStays()]

/** The same of two surfaces by themselves. */
export const scoreOfPair = (wall: Seen, stays: Seen, is: Traits, weights = WEIGHTS): number =>
  scoreOf(
    fillWall(wallSide, wall.j, wall.a, wall.b),
    fillStays(staysSide, stays.j, stays.a, stays.b),
    is,
    weights,
  )

/** Of two that meet as equals: whoever is named first. */
export const scoreOfEquals = (one: Seen, other: Seen, is: Traits, weights = WEIGHTS): number =>
  (scoreOfPair(one, other, is, weights) + scoreOfPair(other, one, is, weights)) / 2

/** How sure a place is: variances of its lightness and of each axis of its lean. */
export interface Unsure {
  readonly varJ: number
  readonly varLean: number
}

/** Two people see one surface so far apart, an axis: its standard deviation, CAM16-UCS units. */
export const OBSERVER_SPREAD = 0.6

// As wide as the spread of an observer: a gradient that what is seen can be off by.
const APART = 0.6

/** The variance of a score by what is unsure of the two places, to first order. */
export function scoreVariance(
  wall: Seen,
  stays: Seen,
  unsure: { readonly wall: Unsure; readonly stays: Unsure },
  score: (wall: Seen, stays: Seen) => number,
): number {
  const here = score(wall, stays)
  let variance = 0
  for (const axis of ['j', 'a', 'b'] as const) {
    const of = ({ varJ, varLean }: Unsure): number => (axis === 'j' ? varJ : varLean)
    const byWall = score({ ...wall, [axis]: wall[axis] + APART }, stays) - here
    const byStays = score(wall, { ...stays, [axis]: stays[axis] + APART }) - here
    variance +=
      (byWall * byWall * of(unsure.wall) + byStays * byStays * of(unsure.stays)) / APART ** 2
  }
  return variance
}

// A logistic step and a normal one, 1.6 to 1.7 times as wide, hardly differ: MacKay, "The evidence framework applied to
// classification networks", Neural Computation 4 (1992), 720, equation 10.
const MACKAY = Math.PI / 8

/** The chance that a pair works, that is that both of two raters together say more than five of ten. */
export const chanceOfScore = (score: number, variance: number): number =>
  1 /
  (1 +
    Math.exp(
      (-fitted.chance.slope * (score - fitted.chance.middle)) /
        Math.sqrt(1 + MACKAY * fitted.chance.slope ** 2 * variance),
    ))
