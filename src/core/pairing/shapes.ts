/** The smooth shapes that every term of a judgement is made of; tabled, for a ranking asks for millions of them. */

// Nodes a unit, and how far; linear between them, off by less than 1e-5.
const PER_UNIT = 128
const FARTHEST = 12
const STEPS = Float64Array.from(
  { length: 2 * FARTHEST * PER_UNIT + 2 },
  (_, i) => 1 / (1 + Math.exp(FARTHEST - i / PER_UNIT)),
)
const HUMP_FARTHEST = 4
const HUMPS = Float64Array.from({ length: HUMP_FARTHEST * PER_UNIT * 2 + 2 }, (_, i) =>
  Math.exp(-((i / (2 * PER_UNIT)) ** 2)),
)

/** From 0 well below `middle` to 1 well above it: the logistic step; `width` for each factor of e. */
export function step(x: number, middle: number, width: number): number {
  const at = ((x - middle) / width + FARTHEST) * PER_UNIT
  if (!(at > 0)) return 0
  if (at >= 2 * FARTHEST * PER_UNIT) return 1
  const cell = at | 0
  const left = STEPS[cell]!
  return left + (at - cell) * (STEPS[cell + 1]! - left)
}

/** 1 at nothing, falling on both sides: exp(−(x / width)²). */
export function hump(x: number, width: number): number {
  const at = (Math.abs(x) / width) * 2 * PER_UNIT
  if (!(at < 2 * HUMP_FARTHEST * PER_UNIT)) return 0
  const cell = at | 0
  const left = HUMPS[cell]!
  return left + (at - cell) * (HUMPS[cell + 1]! - left)
}

/** max(0, x) with its corner rounded. */
export const atLeastNone = (x: number, corner: number): number =>
  (x + Math.sqrt(x * x + corner * corner)) / 2
