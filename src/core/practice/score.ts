import type { PracticeAnswer } from './answer'
import { beliefOfKind, stepsOf } from './belief'
import { PRACTICE_KINDS, QUESTION_KINDS, type PracticeKind } from './kinds'
import { A_ROUND } from './next'
import { learnt, stepOf, type KnownStep } from './staircase'

/** By what practice is told apart. */
export const FACETS = ['lean', 'finish', 'light'] as const
export type Facet = (typeof FACETS)[number]

/** How somebody does with one lean, finish or light beside all that they answer. */
export interface FacetScore {
  readonly facet: Facet
  readonly value: string
  readonly answered: number
  readonly right: number
  /** Times one's own usual step that is needed there: 1 as on the whole, 1.5 half as much again. */
  readonly times: number
  readonly low: number
  readonly high: number
}

/** One kind of question: its step today. */
export interface KindScore extends KnownStep {
  readonly kind: PracticeKind
  readonly answered: number
  readonly right: number
  /** The step lies under the hardest question there is. */
  readonly isBelowLeast: boolean
}

const Z95 = 1.96
// How far a facet may differ from the whole before anything is known of it: logarithms.
const FACETS_APART = 0.4

export const kindScores = (answers: readonly PracticeAnswer[]): KindScore[] =>
  PRACTICE_KINDS.map((kind) => {
    const own = answers.filter(({ strand }) => strand.kind === kind)
    const known = stepOf(kind, beliefOfKind(own, kind))
    return {
      ...{ kind, ...known, ...counted(own) },
      isBelowLeast: known.high < QUESTION_KINDS[kind].least,
    }
  })

const counted = (answers: readonly PracticeAnswer[]) => ({
  answered: answers.length,
  right: answers.filter(({ isRight }) => isRight).length,
})

/** Every lean, finish and light that was asked about, the weakest first. */
export function facetScores(answers: readonly PracticeAnswer[]): FacetScore[] {
  const usual = usualSteps(answers)
  return FACETS.flatMap((facet) => {
    const values = [...new Set(answers.map(({ strand }) => strand[facet]))]
    return values
      .filter((value) => value !== 'none')
      .map((value): FacetScore => {
        const own = answers.filter(({ strand }) => strand[facet] === value)
        const { mean, spread } = learnt(stepsOf(own), { mean: 0, spread: FACETS_APART }, usual)
        return {
          ...{ facet, value, ...counted(own), times: Math.exp(mean) },
          low: Math.exp(mean - Z95 * spread),
          high: Math.exp(mean + Z95 * spread),
        }
      })
      .sort((p, q) => q.times - p.times)
  })
}

/** One's own step of each kind, over where the kind starts. */
function usualSteps(answers: readonly PracticeAnswer[]) {
  const known = new Map(
    PRACTICE_KINDS.map((kind) => [kind, Math.exp(beliefOfKind(answers, kind).mean)]),
  )
  return ({ kind }: { readonly kind: PracticeKind }): number => known.get(kind)!
}

/** Everything that was answered, among the names of what is looked at over time. */
export const ALL_ANSWERS = 'all'
export const facetName = ({ facet, value }: Pick<FacetScore, 'facet' | 'value'>): string =>
  `${facet} ${value}`

/** How it stood after a number of answers. */
export interface ScorePoint {
  /** Answers up to here, of those that are looked at. */
  readonly answered: number
  /** The instant of the last of them. */
  readonly at: string
  /** The step over where each kind starts: 1 as at first, smaller is sharper. */
  readonly times: number
  readonly low: number
  readonly high: number
}

/** How a step went over time, twenty answers at a time. */
export const scoreOverTime = (answers: readonly PracticeAnswer[]): ScorePoint[] =>
  Array.from({ length: Math.ceil(answers.length / A_ROUND) }, (_, i) => {
    const part = answers.slice(i * A_ROUND, (i + 1) * A_ROUND)
    const { mean, spread } = learnt(stepsOf(part))
    return {
      answered: i * A_ROUND + part.length,
      at: part.at(-1)!.at,
      times: Math.exp(mean),
      low: Math.exp(mean - Z95 * spread),
      high: Math.exp(mean + Z95 * spread),
    }
  })

// Fewer answers than this say nothing of a lean, a finish or a light.
const ENOUGH = 8

/** What to practise next, in one sentence. */
export function whatNext(answers: readonly PracticeAnswer[]): string {
  if (answers.length === 0) return 'Nothing answered yet: a round of twenty takes some minutes.'
  const weak = facetScores(answers)
    .filter(({ answered, low }) => answered >= ENOUGH && low > 1)
    .sort((p, q) => q.low - p.low)[0]
  if (weak)
    return `Practise ${facetWords(weak)} next: there a difference has to be ${timesWords(weak)} as large as on the whole (${bounds(weak)}, of ${weak.answered} answers).`
  const least = kindScores(answers).reduce((p, q) => (q.answered < p.answered ? q : p))
  return least.answered < ENOUGH
    ? `Nothing stands out yet. Go on with “${least.kind}”: ${least.answered === 0 ? 'none of it was answered' : `only ${least.answered} of it were answered`}.`
    : 'Nothing stands out: no lean, finish or light is clearly weaker than the rest. Go on with all kinds.'
}

const timesWords = ({ times }: { readonly times: number }): string => `${times.toFixed(1)} times`
const bounds = ({ low, high }: { readonly low: number; readonly high: number }): string =>
  `${low.toFixed(1)} to ${high.toFixed(1)}`

/** "pink leans", "beside stone", "under warm lamps". */
export function facetWords({ facet, value }: Pick<FacetScore, 'facet' | 'value'>): string {
  if (facet === 'lean') return value === 'quiet' ? 'quiet colours' : `${value} leans`
  return facet === 'finish' ? `what stands beside ${value}` : `the light of ${value}`
}
