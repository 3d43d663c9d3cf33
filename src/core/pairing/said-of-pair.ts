import type { Seen } from './score'
import shipped from './reasons.json' with { type: 'json' }
import { likeliest, type Softmax } from './softmax'

/** Why a pair works, as raters say it. */
export const REASONS_FOR = [
  'sets off',
  'quiet relative',
  'shares the undertone',
  'bridges',
  'carried through',
] as const
/** Why it does not. */
export const REASONS_AGAINST = [
  'undertones quarrel',
  'too strong',
  'almost the same',
  'one looks dirty',
  'drab',
  'no relief',
  'both strong',
] as const
export type ReasonFor = (typeof REASONS_FOR)[number]
export type ReasonAgainst = (typeof REASONS_AGAINST)[number]

/** How a wall sits with what stays, as it is named. */
export type Pairing = ReasonFor | ReasonAgainst

export const speaksFor = (reason: string): reason is ReasonFor =>
  (REASONS_FOR as readonly string[]).includes(reason)

/** Which way a wall is wrong. */
export const DIRECTIONS = [
  'too pink',
  'too orange',
  'too yellow',
  'too green',
  'too blue',
  'too violet',
  'too grey',
  'too clean',
  'too dirty',
  'too strong',
  'too dark',
  'too close',
] as const
export type Direction = (typeof DIRECTIONS)[number]

const length = ({ a, b }: Seen): number => Math.hypot(a, b)

/**
 * What a reason is told from: every term in units of its spread, the score, and how the two lie to each other.
 *
 * @param spread of each term over the ratings
 */
export function reasonFeatures(
  terms: Float64Array,
  score: number,
  w: Seen,
  f: Seen,
  spread: ArrayLike<number> = shipped.spread,
): Float64Array {
  return Float64Array.from([
    ...terms.map((each, i) => each / spread[i]!),
    (score - 5) / 2,
    Math.tanh(score - 5),
    (w.j - f.j) / 20,
    Math.abs(w.j - f.j) / 20,
    Math.hypot(w.a - f.a, w.b - f.b) / 8,
    length(w) / 8,
    length(f) / 8,
  ])
}

// What cannot be, whatever the shares: nothing far apart is almost the same, nothing quiet too strong.
const CAN_BE: Readonly<Partial<Record<Pairing, (w: Seen, f: Seen) => boolean>>> = {
  'almost the same': (w, f) => apart(w, f) < 14,
  'carried through': (w, f) => apart(w, f) < 4,
  'no relief': (w, f) => Math.abs(w.j - f.j) < 16,
  'too strong': (w) => length(w) > 8,
  'both strong': (w, f) => length(w) > 10 && length(f) > 10,
}
const apart = (w: Seen, f: Seen): number => Math.hypot(w.j - f.j, w.a - f.a, w.b - f.b)

/** Whether a reason can be one of such a pair at all. */
export const canBe = (reason: string, wall: Seen, stays: Seen): boolean =>
  CAN_BE[reason as Pairing]?.(wall, stays) ?? true

/** What a direction is told from. */
export function directionFeatures(w: Seen, f: Seen): Float64Array {
  const [da, db, dj, dc] = [w.a - f.a, w.b - f.b, w.j - f.j, length(w) - length(f)]
  const far = Math.hypot(da, db) + 1.5
  const own = length(w) + 3
  return Float64Array.from([
    // Which way the wall lies from the finish, and which way it leans by itself: each with its second harmonic, so that a name can
    // have a middle.
    (2 * da) / far,
    (2 * db) / far,
    (2 * (da * da - db * db)) / (far * far),
    (4 * da * db) / (far * far),
    (2 * w.a) / own,
    (2 * w.b) / own,
    (2 * (w.a * w.a - w.b * w.b)) / (own * own),
    (4 * w.a * w.b) / (own * own),
    da / 6,
    db / 6,
    dj / 15,
    dc / 6,
    length(w) / 8,
    length(f) / 8,
    (w.j - 60) / 20,
    Math.exp(-((dj / 9) ** 2)),
  ])
}

const REASONS: Softmax = shipped.reasons
const WAYS: Softmax = shipped.directions

/** The reason that raters would give most often, of those that speak as the chance does. */
export const reasonOfPair = (
  terms: Float64Array,
  score: number,
  wall: Seen,
  stays: Seen,
  works: boolean,
): Pairing =>
  likeliest(
    REASONS,
    reasonFeatures(terms, score, wall, stays),
    (name) => speaksFor(name) === works && canBe(name, wall, stays),
  ) as Pairing

/** Which way a wall is wrong beside something, where it is. */
export const directionOf = (wall: Seen, stays: Seen): Direction =>
  likeliest(WAYS, directionFeatures(wall, stays)) as Direction
