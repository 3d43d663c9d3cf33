import { unsureOf } from '../../src/core/pairing/judge-pair'
import type { ReadingSource } from '../../src/core/paint/reading'
import {
  logOdds,
  OBSERVER_SPREAD,
  pairTerms,
  scoreVariance,
  termsOfPair,
  type Seen,
  type Step,
} from '../../src/core/pairing/score'
import { TERM_NAMES, TERMS } from '../../src/core/pairing/terms'
import type { RatedKind } from '../../src/core/pairing/traits'
import { addRow, fit, noSums, predicted, type Fitted, type Sums } from './least-squares'
import { byDaylight, meanScore, type RatedPair, type Saying } from './ratings'

const SIGNS = TERM_NAMES.map((name) => TERMS[name])
const RIDGE = 30
const SAYINGS_COUNT = 2

/** A pair with its terms. */
export interface TermedPair<Of> {
  readonly of: Of
  readonly terms: Float64Array
  /** What it is to be said of it, 0 to 10. */
  readonly score: number
}

export function termsOf(wall: Seen, finish: Seen, kind: RatedKind): Float64Array {
  const into = new Float64Array(TERM_NAMES.length)
  termsOfPair(wall, finish, kind, into)
  return into
}

type AnyPair = Pick<RatedPair, 'wall' | 'finish' | 'kind'>
const termed = <Of extends AnyPair>(of: Of, score: number): TermedPair<Of> => ({
  of,
  score,
  terms: termsOf(byDaylight(of.wall), byDaylight(of.finish), of.kind),
})

export const termedPairs = (pairs: readonly RatedPair[]): TermedPair<RatedPair>[] =>
  pairs.map((pair) => termed(pair, meanScore(pair.scores)))

/** A saying stands for a score as far from the middle as people say it. */
export const termedSayings = (sayings: readonly Saying[]): TermedPair<Saying>[] =>
  sayings.map((saying) => termed(saying, 5 + (saying.expect === 'works' ? 4 : -4) * saying.share))

const add = (
  sums: Sums,
  rows: readonly { readonly terms: Float64Array; readonly score: number }[],
  weight: number,
): void => rows.forEach(({ terms, score }) => addRow(sums, terms, score, weight))

export interface FittedPairs {
  readonly fitted: Fitted
  /** Of each pair by a fit that saw nothing of its finish, and of each by one that saw nine tenths of the others. */
  readonly leftOut: readonly number[]
  readonly byFolds: readonly number[]
  /** Of each saying by a fit that saw none of its family. */
  readonly sayingsLeftOut: readonly number[]
}

const FOLDS = 10

/** Fits the weights of all terms to pairs and sayings, and says what fits that did not see them say of them. */
export function fitPairs(
  pairs: readonly TermedPair<RatedPair>[],
  says: readonly TermedPair<Saying>[],
): FittedPairs {
  const sums = noSums(TERM_NAMES.length)
  add(sums, pairs, 1)
  add(sums, says, SAYINGS_COUNT)
  const fitted = fit(sums, SIGNS, RIDGE)
  const without = <T extends { readonly terms: Float64Array; readonly score: number }>(
    rows: readonly T[],
    groupOf: (row: T, at: number) => string | number,
    weight: number,
  ): number[] => {
    const groups = new Map<string | number, T[]>()
    rows.forEach((row, at) => {
      const group = groupOf(row, at)
      groups.set(group, [...(groups.get(group) ?? []), row])
    })
    const said = new Map<T, number>()
    for (const own of groups.values()) {
      add(sums, own, -weight)
      const others = fit(sums, SIGNS, RIDGE, undefined, fitted)
      add(sums, own, weight)
      for (const row of own) said.set(row, predicted(others, row.terms))
    }
    return rows.map((row) => said.get(row)!)
  }
  return {
    fitted,
    leftOut: without(pairs, ({ of }) => `${of.kind} ${of.finishName}`, 1),
    byFolds: without(pairs, (_, at) => at % FOLDS, 1),
    sayingsLeftOut: without(says, ({ of }) => of.family, SAYINGS_COUNT),
  }
}

/**
 * The variance that another observer’s eye brings into the score of a pair, and the finish’s reading where it is not exact.
 *
 * @param source how the finish was read
 */
export function observersVariance(
  { wall, finish, kind }: AnyPair,
  fitted: Fitted,
  source: ReadingSource | null = null,
): number {
  const own = { varJ: OBSERVER_SPREAD ** 2, varLean: OBSERVER_SPREAD ** 2 }
  const terms = pairTerms(byDaylight(wall), byDaylight(finish), kind)
  return scoreVariance(terms, fitted.weights, [own, source ? unsureOf(source) : own])
}

/**
 * The step from a score to the chance that a pair works (the mean of both ratings is over 5), by maximum likelihood on scores
 * that were left out.
 */
export function fitStep(
  rows: readonly { readonly score: number; readonly variance: number; readonly works: boolean }[],
): Step {
  let best = { slope: 1, middle: 5, loss: Infinity }
  const loss = (slope: number, middle: number): number =>
    rows.reduce((sum, { score, variance, works }) => {
      const x = logOdds({ slope, middle }, score, variance)
      return sum + Math.log1p(Math.exp(works ? -x : x))
    }, 0)
  const search = (slopes: readonly number[], middles: readonly number[]): void => {
    for (const slope of slopes)
      for (const middle of middles) {
        const own = loss(slope, middle)
        if (own < best.loss) best = { slope, middle, loss: own }
      }
  }
  search(upTo(0.6, 3, 0.1), upTo(4, 6, 0.1))
  const { slope, middle } = best
  search(upTo(slope - 0.1, slope + 0.1, 0.01), upTo(middle - 0.1, middle + 0.1, 0.02))
  return { slope: Number(best.slope.toFixed(2)), middle: Number(best.middle.toFixed(2)) }
}

const upTo = (from: number, to: number, by: number): number[] =>
  Array.from({ length: Math.round((to - from) / by) + 1 }, (_, at) => from + at * by)
