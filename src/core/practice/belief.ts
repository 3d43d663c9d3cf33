import type { PracticeAnswer } from './answer'
import type { PracticeKind } from './kinds'
import { strandName, type Strand } from './question'
import { AT_FIRST, learnt, type Belief } from './staircase'

/** How far the steps of one kind lie apart from lean to lean, finish to finish and light to light: logarithms. */
const STRANDS_APART = 0.3
// Eyes get better: what was answered long ago says nothing of today's.
const OF_A_KIND = 200
const OF_A_STRAND = 60

/** What is known of somebody's step in a kind of question. */
export const beliefOfKind = (answers: readonly PracticeAnswer[], kind: PracticeKind): Belief =>
  learnt(stepsOf(answers.filter(({ strand }) => strand.kind === kind).slice(-OF_A_KIND)))

/**
 * The same of one lean, finish and light: it starts where all the others of its kind have come to, and goes its own way
 * from there.
 */
export function beliefOfStrand(answers: readonly PracticeAnswer[], strand: Strand): Belief {
  const name = strandName(strand)
  const ofKind = answers.filter((answer) => answer.strand.kind === strand.kind)
  const own = ofKind.filter((answer) => strandName(answer.strand) === name)
  const others = ofKind.filter((answer) => strandName(answer.strand) !== name)
  const before = others.length > 0 ? learnt(stepsOf(others.slice(-OF_A_KIND))) : AT_FIRST
  const spread = Math.hypot(before.spread, STRANDS_APART)
  return learnt(stepsOf(own.slice(-OF_A_STRAND)), { mean: before.mean, spread })
}

export const stepsOf = (answers: readonly PracticeAnswer[]) =>
  answers.map(({ strand: { kind }, level, isRight }) => ({ kind, level, isRight }))
