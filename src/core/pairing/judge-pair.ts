import { uncertaintyOf, type Firmness } from '../paint/reading'
import type { Reason } from '../record/verdict'
import type { Undertone } from '../undertone/undertone'
import { isGood } from './chance'
import { looksDirtyOf, reasonOf } from './reason'
import { AS_RATED, ruleWords, weightsOf, type Role } from './role'
import { directionOf, reasonOfPair, type Direction, type Pairing } from './said-of-pair'
import {
  chanceOfScore,
  OBSERVER_SPREAD,
  pairTerms,
  scoreOf,
  scoreVariance,
  type PairTerms,
  type Unsure,
} from './score'
import { wallOnFinish, type WallOnFinish } from './wall-on-finish'

/** How one wall sits with one colour of a finish. */
export interface PairJudgement {
  /** Of ten good consultants, how many would say that it works. */
  readonly score: number
  /** That it works, 0 to 1, with what readings and eyes differ by. */
  readonly chance: number
  /** The same if both readings were exact. */
  readonly chanceIfExact: number
  /** The reason that raters would give, of those that speak as the chance does. */
  readonly pairing: Pairing
  /** The reason that they would give on the other side. */
  readonly otherwise: Pairing
  /** Which way the wall is wrong, if it is. */
  readonly direction: Direction
  /** The same as it is kept with a look. */
  readonly reason: Reason
  /** Who looks dirty where one does. */
  readonly looksDirty: 'wall' | 'finish'
  /** What the house rule moved, where that is worth saying: points given or taken, its words, and the chance without it. */
  readonly rule: RuleSaid | null
  readonly wall: Undertone
  readonly finish: Undertone
  /** What the wall does to the finish. */
  readonly back: WallOnFinish
}

/** A house rule that moved a judgement. */
export interface RuleSaid {
  readonly points: number
  readonly words: string
  readonly chanceWithout: number
}

/** The judgement of a keeper: that of the part of it that decides. */
export interface PartJudgement extends PairJudgement {
  readonly part: string
  /** A part that the wall is wrong for by itself, and that shows too little to spoil the keeper. */
  readonly hardlyShows: { readonly part: string; readonly reason: Reason } | null
}

/** A surface as it is seen in a light, and how it was read. */
export interface SeenReading {
  readonly undertone: Undertone
  readonly source: Firmness
  readonly varies?: boolean
}

const OWN = OBSERVER_SPREAD ** 2
const EXACT: Unsure = { varJ: OWN, varLean: OWN }

/** How sure a reading is to another observer: each is an expanded uncertainty, twice the standard one. */
export function unsureOf(source: Firmness, varies = false): Unsure {
  const { lean, lightness } = uncertaintyOf(source, varies)
  return { varJ: OWN + (lightness / 2) ** 2, varLean: OWN + (lean / 2) ** 2 }
}

/** A pair with all of its terms, whoever judges it. */
export const termsOfReadings = (wall: SeenReading, finish: SeenReading, role: Role): PairTerms =>
  pairTerms(wall.undertone, finish.undertone, role.kind)

/** The chance that a pair works, to the eye and by the house rule of a role. */
export const chanceOfTerms = (
  of: PairTerms,
  wall: SeenReading,
  finish: SeenReading,
  weights: Float64Array,
): number =>
  chanceOfScore(
    scoreOf(of.terms, weights),
    scoreVariance(of, weights, [
      unsureOf(wall.source, wall.varies),
      unsureOf(finish.source, finish.varies),
    ]),
  )

/** The chance alone, for who asks of thousands of pairs. */
export const chanceOfPair = (wall: SeenReading, finish: SeenReading, role: Role): number =>
  chanceOfTerms(termsOfReadings(wall, finish, role), wall, finish, weightsOf(role))

// A rule that moves less than this is not worth a word.
const RULE_SAID_FROM = 0.5

/** The one judgement of a pair, which every screen shows. */
export function judgePair(wall: SeenReading, finish: SeenReading, role: Role): PairJudgement {
  const { undertone: w } = wall
  const { undertone: f } = finish
  const of = termsOfReadings(wall, finish, role)
  const weights = weightsOf(role)
  const score = scoreOf(of.terms, weights)
  const chance = chanceOfTerms(of, wall, finish, weights)
  const works = chance >= 0.5
  const pairing = reasonOfPair(of.terms, score, w, f, works)
  const direction = directionOf(w, f)
  const looksDirty = looksDirtyOf(w, f)
  const words = ruleWords(role)
  const points =
    words === null ? 0 : score - scoreOf(of.terms, weightsOf({ ...role, pairs: AS_RATED }))
  return {
    ...{ score, chance, pairing, direction, looksDirty },
    chanceIfExact: chanceOfScore(score, scoreVariance(of, weights, [EXACT, EXACT])),
    otherwise: reasonOfPair(of.terms, score, w, f, !works),
    reason: reasonOf(pairing, direction),
    rule:
      words !== null && Math.abs(points) >= RULE_SAID_FROM
        ? {
            points,
            words,
            chanceWithout: chanceOfTerms(of, wall, finish, weightsOf({ ...role, pairs: AS_RATED })),
          }
        : null,
    ...{ wall: w, finish: f },
    // Nothing is said against a pair that is said to work.
    back: wallOnFinish(
      w,
      f,
      !isGood(chance) && pairing === 'one looks dirty' && looksDirty === 'finish',
    ),
  }
}
