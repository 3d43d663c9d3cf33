import { canBe, directionFeatures, reasonFeatures } from '../../src/core/pairing/said-of-pair'
import { likeliest, type Softmax } from '../../src/core/pairing/softmax'
import type { TermedPair } from './pairs'
import { byDaylight, type RatedPair } from './ratings'
import { fitSoftmax, type Labelled } from './softmax'

/** Reasons that were given seldom are not told apart. */
const LEAST_GIVEN = 9
const FOLDS = 10
const REASONS_RIDGE = 24
const DIRECTIONS_RIDGE = 1
const DIRECTION_FEATURES = 16

export interface ReasonsFitted {
  readonly reasons: Softmax
  readonly directions: Softmax
  readonly spread: Float64Array
  readonly reasonsSaid: readonly string[]
  /** Of pairs whose raters said a direction. */
  readonly directed: readonly TermedPair<RatedPair>[]
  readonly directionsSaid: readonly string[]
}

/** Fits which reason is given and which way a wall is wrong, and says what fits that did not see a finish say of it. */
export function fitReasons(
  pairs: readonly TermedPair<RatedPair>[],
  scores: readonly number[],
): ReasonsFitted {
  const count = pairs[0]!.terms.length
  const spread = Float64Array.from({ length: count }, (_, i) => {
    const mean = pairs.reduce((sum, { terms }) => sum + terms[i]!, 0) / pairs.length
    const variance = pairs.reduce((sum, { terms }) => sum + (terms[i]! - mean) ** 2, 0)
    return Math.max(0.1, Math.sqrt(variance / pairs.length))
  })
  const finishes = [...new Set(pairs.map(finishOf))].sort()
  const foldOf = (pair: TermedPair<RatedPair>): number => finishes.indexOf(finishOf(pair)) % FOLDS
  const given = new Map<string, number>()
  for (const { of } of pairs)
    for (const reason of of.reasons) given.set(reason, (given.get(reason) ?? 0) + 1)
  const classes = [...given]
    .filter(([, times]) => times >= LEAST_GIVEN)
    .map(([name]) => name)
    .sort()
  const features = pairs.map(({ terms, of }, i) =>
    reasonFeatures(terms, scores[i]!, byDaylight(of.wall), byDaylight(of.finish), spread),
  )
  const labelled = (isIn: (pair: TermedPair<RatedPair>) => boolean): Labelled[] =>
    pairs.flatMap((pair, i) =>
      isIn(pair)
        ? [
            {
              labels: pair.of.reasons.filter((label) => classes.includes(label)),
              features: features[i]!,
            },
          ]
        : [],
    )
  const fitOn = (isIn: (pair: TermedPair<RatedPair>) => boolean): Softmax =>
    fitSoftmax(labelled(isIn), classes, count + 7, REASONS_RIDGE)

  const directed = pairs.filter(({ of }) => of.directions?.some((each) => each !== null))
  const ways = [
    ...new Set(directed.flatMap(({ of }) => of.directions!.filter((each) => each !== null))),
  ].sort()
  const place = (pair: TermedPair<RatedPair>): Float64Array =>
    directionFeatures(byDaylight(pair.of.wall), byDaylight(pair.of.finish))
  const directionsOn = (isIn: (pair: TermedPair<RatedPair>) => boolean): Softmax =>
    fitSoftmax(
      directed.filter(isIn).map((pair) => ({
        labels: pair.of.directions!.filter((each) => each !== null),
        features: place(pair),
      })),
      ways,
      DIRECTION_FEATURES,
      DIRECTIONS_RIDGE,
    )
  const byFold = Array.from({ length: FOLDS }, (_, fold) => {
    const isIn = (pair: TermedPair<RatedPair>): boolean => foldOf(pair) !== fold
    return { reasons: fitOn(isIn), directions: directionsOn(isIn) }
  })
  return {
    reasons: fitOn(() => true),
    directions: directionsOn(() => true),
    spread,
    reasonsSaid: pairs.map((pair, i) => {
      const [wall, finish] = [byDaylight(pair.of.wall), byDaylight(pair.of.finish)]
      return likeliest(byFold[foldOf(pair)]!.reasons, features[i]!, (name) =>
        canBe(name, wall, finish),
      )
    }),
    directed,
    directionsSaid: directed.map((pair) =>
      likeliest(byFold[foldOf(pair)]!.directions, place(pair)),
    ),
  }
}

const finishOf = ({ of }: TermedPair<RatedPair>): string => `${of.kind} ${of.finishName}`
