import { seededBell, seededRandom } from '../seeded-random'
import { QUESTION_KINDS, type PracticeKind } from './kinds'
import { beliefOf, knownAtFirst, nextLevel, takeIn, type Belief } from './staircase'

/**
 * A learner who sees every difference through a normal error of one size, and takes what they then see: not the
 * staircase's own formula, but the process that it stands for. Two are told apart by the sign of the difference they see;
 * a figure by whether it lies within; of several by whichever looks most right.
 */
export interface SimulatedLearner {
  readonly answers: (kind: PracticeKind, level: number) => boolean
  /** The level at which half of what a guess leaves is answered rightly, counted out. */
  readonly threshold: (kind: PracticeKind) => number
}

const COUNTED = 8000

/** @param error standard deviation of what is seen, in the level's own measure */
export function simulatedLearner(error: number, seed: number): SimulatedLearner {
  const random = seededRandom(seed)
  const bell = seededBell(seed + 1)
  const answers = (kind: PracticeKind, level: number): boolean => {
    // A key is hit by mistake once in a while.
    if (random() < 0.03) return random() < QUESTION_KINDS[kind].guess
    const seen = level + error * bell()
    switch (kind) {
      case 'how light':
        return Math.abs(error * bell()) <= level
      case 'works or not':
      case 'which of two':
        return seen > 0
      case 'sort by lean':
        return [0, 1, 2, 3].every(() => level + error * bell() > 0)
      default: {
        const choices = Math.round(1 / QUESTION_KINDS[kind].guess)
        return Array.from({ length: choices - 1 }, () => error * bell()).every(
          (each) => each < seen,
        )
      }
    }
  }
  return {
    answers,
    threshold(kind) {
      const { guess } = QUESTION_KINDS[kind]
      const half = guess + (1 - guess - 0.03) / 2
      let [low, high] = [error / 8, error * 8]
      for (let round = 0; round < 11; round++) {
        const middle = Math.sqrt(low * high)
        let right = 0
        for (let i = 0; i < COUNTED; i++) if (answers(kind, middle)) right++
        if (right / COUNTED < half) low = middle
        else high = middle
      }
      return Math.sqrt(low * high)
    },
  }
}

/** What is known of a learner after so many questions, each at the level that the ones before speak for. */
export function practised(
  learner: SimulatedLearner,
  kind: PracticeKind,
  questions: number,
): Belief {
  const known = knownAtFirst()
  for (let i = 0; i < questions; i++) {
    const level = nextLevel(kind, beliefOf(known))
    takeIn(known, { kind, level, isRight: learner.answers(kind, level) })
  }
  return beliefOf(known)
}
