import fitted from './fitted.json'
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
export function scoreOf(terms: Float64Array, weights: Float64Array = WEIGHTS): number {
  let score = CONSTANT
  for (let i = 0; i < terms.length; i++) score += weights[i]! * terms[i]!
  return score
}

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
