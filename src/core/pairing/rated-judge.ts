import type { HouseRules } from '../advice/house-rules'
import { NO_EYE, type EyeLimit, type WithEye } from '../eye/factors'
import { uncertaintyOf, type Firmness } from '../paint/reading'
import { RATED_AS, type RatedKind } from './traits'
import type { KeeperKind } from './keeper-kind'
import {
  directionOf,
  reasonOfPair,
  type Direction,
  type ReasonAgainst,
  type ReasonFor,
} from './said-of-pair'
import {
  chanceOfScore,
  OBSERVER_SPREAD,
  scoreOf,
  scoreVariance,
  termsOfPair,
  WEIGHTS,
  type Seen,
  type Unsure,
} from './score'
import { TERM_NAMES, type Term } from './terms'

/** What a thing is judged as: its kind, and the weights that hold beside it. */
export interface JudgedAs {
  readonly kind: RatedKind
  /** As they were fitted, but for what a house rule or an eye changes. */
  readonly weights: Float64Array
  /** What the house rule does here, in words, wherever it changes a score; null where it leaves the fit as it is. */
  readonly rule: string | null
}

// Opposites beside each other: what the two other schools differ on. The middle one is the fit.
const OPPOSITES: readonly Term[] = [
  'a colour set off by its opposite',
  'blue beside orange',
  'green by wood',
]
const RULES = {
  'shared-fixed': { words: null, times: {} },
  shared: {
    words: 'the house rule wants a shared undertone here, so opposites count for nothing',
    times: Object.fromEntries(OPPOSITES.map((term) => [term, 0])),
  },
  opposites: {
    words: 'the house rule lets opposites set each other off, however strong',
    times: { 'strong against its opposite': 0, 'both strong': 0 },
  },
} as const satisfies Record<
  HouseRules['pairs'],
  { readonly words: string | null; readonly times: Partial<Record<Term, number>> }
>

// What an eye was found to differ in, as the terms that looks can tell.
const OF_LIMIT: Readonly<Record<EyeLimit, readonly Term[]>> = {
  clashes: [
    'neutrals quarrel',
    'quarrel with stone or tile',
    'quarrel with paintwork',
    'quarrel with carpet',
    'quarrel with a wood floor',
  ],
  dirties: [
    'ages creamed paintwork',
    'ages creamed stone, tile or carpet',
    'cream beside a grey',
    'icy white by a warm deep finish',
  ],
  'near miss': ['near miss', 'near miss with paintwork'],
}

/** What a keeper of a kind is judged as, by the house rule on what pairs and the eye that it is held to. */
export const judgedAs = (kind: KeeperKind, rules: Pick<HouseRules, 'pairs'> & WithEye): JudgedAs =>
  ratedAs(RATED_AS[kind], rules)

/** The same of a kind that was rated; `neighbour` is the wall of the room beyond an open door. */
export function ratedAs(
  kind: RatedKind,
  { pairs, eye = NO_EYE }: Pick<HouseRules, 'pairs'> & WithEye,
): JudgedAs {
  const { words, times } = RULES[pairs]
  const weights = WEIGHTS.slice()
  for (const [i, name] of TERM_NAMES.entries()) {
    weights[i]! *= (times as Partial<Record<Term, number>>)[name] ?? 1
    for (const limit of Object.keys(OF_LIMIT) as EyeLimit[])
      // Who lets more pass minds it less.
      if (OF_LIMIT[limit].includes(name)) weights[i]! /= eye.factors[limit]
  }
  return { kind, weights, rule: words }
}

/** A surface as it is seen in a light, and how it was read. */
export interface ReadSurface extends Seen {
  readonly source: Firmness
  readonly varies?: boolean
}

/** How a wall sits with one colour of what stays. */
export interface RatedJudgement {
  /** Of ten good consultants, how many would say that it works. */
  readonly score: number
  /** That it works, 0 to 1, with what readings and eyes differ by. */
  readonly chance: number
  /** The same if both readings were exact. */
  readonly chanceIfExact: number
  readonly reason: ReasonFor | ReasonAgainst
  /** Which way the wall is wrong, where it is. */
  readonly direction: Direction | null
  /** Points that the house rule gave or took, and its words where they are worth saying; null where they are not. */
  readonly rule: { readonly points: number; readonly words: string } | null
}

// A rule that moves less than this is not worth a word.
const RULE_SAID_FROM = 0.5
const OWN = OBSERVER_SPREAD ** 2

/** Variances of a place, from its expanded uncertainty (twice the standard one) and another observer's eye. */
function unsure({ source, varies = false }: ReadSurface): Unsure {
  const { lean, lightness } = uncertaintyOf(source, varies)
  return { varJ: OWN + (lightness / 2) ** 2, varLean: OWN + (lean / 2) ** 2 }
}

/** The one judgement of a wall beside a surface that stays. */
export function judgeRated(wall: ReadSurface, stays: ReadSurface, as: JudgedAs): RatedJudgement {
  const terms = new Float64Array(TERM_NAMES.length)
  const scoreAt = (w: Seen, f: Seen): number => {
    termsOfPair(w, f, as.kind, terms)
    return scoreOf(terms, as.weights)
  }
  const exact = { varJ: OWN, varLean: OWN }
  const of = (sides: Parameters<typeof scoreVariance>[2]): number =>
    scoreVariance(wall, stays, sides, scoreAt)
  const variances = [
    of({ wall: unsure(wall), stays: unsure(stays) }),
    of({ wall: exact, stays: exact }),
  ]
  const score = scoreAt(wall, stays)
  const [chance, chanceIfExact] = variances.map((variance) => chanceOfScore(score, variance))
  const points = score - scoreOf(terms)
  const works = chance! >= 0.5
  return {
    score,
    chance: chance!,
    chanceIfExact: chanceIfExact!,
    reason: reasonOfPair(terms, score, wall, stays, works),
    direction: works ? null : directionOf(wall, stays),
    rule:
      as.rule !== null && Math.abs(points) >= RULE_SAID_FROM ? { points, words: as.rule } : null,
  }
}
