import type { Undertone } from '../../src/core/undertone/undertone'
import type { TermedPair } from './pairs'
import { byDaylight, type RatedPair } from './ratings'
import { fitSoftmax, likeliest, type Labelled, type Softmax } from './softmax'

/** Reasons that were given seldom are not told apart. */
const LEAST_GIVEN = 9
const FOLDS = 10
const REASONS_RIDGE = 24
const DIRECTIONS_RIDGE = 1
const DIRECTION_FEATURES = 16

/** Reasons for which a pair is said to work. */
const FOR = ['sets off', 'quiet relative', 'shares the undertone', 'bridges', 'carried through']

/** What a reason is told from: every term in units of its spread, the score, and how the two lie to each other. */
const reasonFeatures = (
  { terms, of }: TermedPair<RatedPair>,
  score: number,
  spread: Float64Array,
): Float64Array => {
  const [w, f] = [byDaylight(of.wall), byDaylight(of.finish)]
  return Float64Array.from([
    ...terms.map((each, i) => each / spread[i]!),
    (score - 5) / 2,
    Math.tanh(score - 5),
    (w.j - f.j) / 20,
    Math.abs(w.j - f.j) / 20,
    Math.hypot(w.a - f.a, w.b - f.b) / 8,
    w.c / 8,
    f.c / 8,
  ])
}

/** What a direction is told from: how the two lie to each other. */
export const directionFeatures = (w: Undertone, f: Undertone): Float64Array => {
  const [da, db, dj, dc] = [w.a - f.a, w.b - f.b, w.j - f.j, w.c - f.c]
  const far = Math.hypot(da, db) + 1.5
  const own = w.c + 3
  return Float64Array.from([
    // Which way the wall lies from the finish, and which way it leans by itself: each with its second harmonic, so that a name can have
    // a middle.
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
    w.c / 8,
    f.c / 8,
    (w.j - 60) / 20,
    Math.exp(-((dj / 9) ** 2)),
  ])
}

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
  const features = pairs.map((pair, i) => reasonFeatures(pair, scores[i]!, spread))
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
    reasonsSaid: pairs.map((pair, i) => likeliest(byFold[foldOf(pair)]!.reasons, features[i]!)),
    directed,
    directionsSaid: directed.map((pair) =>
      likeliest(byFold[foldOf(pair)]!.directions, place(pair)),
    ),
  }
}

const finishOf = ({ of }: TermedPair<RatedPair>): string => `${of.kind} ${of.finishName}`

/** Whether a reason speaks for a pair. */
export const speaksFor = (reason: string): boolean => FOR.includes(reason)
