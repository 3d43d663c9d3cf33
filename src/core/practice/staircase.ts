import { chanceOver } from '../chance-over'
import { QUESTION_KINDS, type PracticeKind } from './kinds'

// The staircase is ZEST (King-Smith, Grigsby, Vingrys, Benes and Supowit, "Efficient and unbiased modifications of the
// QUEST threshold method", Vision Research 34 (1994), 885): what is known of a step is a distribution, each answer
// multiplies it by its likelihood, and the next question lies at its mean.

/** One answer, as a staircase needs it. */
export interface Step {
  readonly kind: PracticeKind
  readonly level: number
  readonly isRight: boolean
}

/** What is known of somebody's step: of the logarithm of its ratio to where a kind starts. */
export interface Belief {
  readonly mean: number
  readonly spread: number
}

/** Before the first answer: somebody may need half as much or twice as much as most. */
export const AT_FIRST: Belief = { mean: Math.log(0.5), spread: 0.7 }

// Keys are hit by mistake this often.
const SLIPS = 0.03
// A difference of one step is told half of the time by an eye that does not guess: 2 Φ(0.6745) − 1 = 0.5.
const AT_HALF = 0.6745

/**
 * The chance that a question is answered rightly by somebody of a step: a difference seen through an eye's normal error,
 * or guessed.
 */
export function chanceRight(kind: PracticeKind, level: number, step: number): number {
  const { guess } = QUESTION_KINDS[kind]
  const seen = 2 * chanceOver((AT_HALF * level) / step) - 1
  return guess + (1 - guess - SLIPS) * seen
}

const FARTHEST = 3
const NODES = 121
const GRID = Float64Array.from({ length: NODES }, (_, i) => FARTHEST * ((2 * i) / (NODES - 1) - 1))
const TIMES = GRID.map(Math.exp)

/** How likely each step is, as logarithms over the grid. */
export type Known = Float64Array

export const knownAtFirst = ({ mean, spread }: Belief = AT_FIRST): Known =>
  GRID.map((x) => -(((x - mean) / spread) ** 2) / 2)

/**
 * Takes one more answer in.
 *
 * @param scale by how much its step is known to differ from the one that is asked for
 */
export function takeIn(known: Known, step: Step, scale = 1): void {
  const start = QUESTION_KINDS[step.kind].start * scale
  for (let i = 0; i < NODES; i++) {
    const right = chanceRight(step.kind, step.level, start * TIMES[i]!)
    known[i]! += Math.log(step.isRight ? right : 1 - right)
  }
}

/** What answers tell of a step; see `takeIn`. */
export function learnt(
  steps: readonly Step[],
  before: Belief = AT_FIRST,
  scale: (step: Step) => number = () => 1,
): Belief {
  const known = knownAtFirst(before)
  for (const step of steps) takeIn(known, step, scale(step))
  return beliefOf(known)
}

/** The mean of what is known, and how far it may lie off. */
export function beliefOf(logs: Known): Belief {
  const top = Math.max(...logs)
  let [sum, first, second] = [0, 0, 0]
  logs.forEach((log, i) => {
    const weight = Math.exp(log - top)
    sum += weight
    first += weight * GRID[i]!
    second += weight * GRID[i]! * GRID[i]!
  })
  const mean = first / sum
  return { mean, spread: Math.sqrt(Math.max(1e-6, second / sum - mean * mean)) }
}

/** A step in the measure of its kind, with bounds that hold 95 times of 100. */
export interface KnownStep {
  readonly step: number
  readonly low: number
  readonly high: number
}

export const stepOf = (kind: PracticeKind, { mean, spread }: Belief): KnownStep => {
  const { start } = QUESTION_KINDS[kind]
  const at = (by: number): number => start * Math.exp(mean + by * spread)
  return { step: at(0), low: at(-1.96), high: at(1.96) }
}

// Somewhat above one's own step: about four of five are answered rightly, and most is learnt of it.
const ABOVE = 1.4

/** How hard the next question should be. */
export function nextLevel(kind: PracticeKind, belief: Belief): number {
  const { least, most } = QUESTION_KINDS[kind]
  return Math.min(most, Math.max(least, ABOVE * stepOf(kind, belief).step))
}
