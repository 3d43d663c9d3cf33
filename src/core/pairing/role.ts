import type { HouseRules } from '../advice/house-rules'
import { NO_EYE, type EyeInForce, type EyeLimit, type WithEye } from '../eye/factors'
import type { KeeperKind } from './keeper-kind'
import { WEIGHTS } from './score'
import { TERM_NAMES, type Term } from './terms'
import { RATED_AS, type RatedKind } from './traits'

/** What a thing is to the wall beside it: its kind, and everything that moves a judgement away from the ratings. Cloneable. */
export interface Role {
  readonly kind: RatedKind
  /** As it was said; null where its kind is all that is known. */
  readonly texture: Texture | null
  /** How far it is a fleck on a black ground, 0 to 1: judged, but never an opposite that sets the wall off. */
  readonly onBlack: number
  /** The house rule on what pairs. */
  readonly pairs: HouseRules['pairs']
  /** Whose eye it is held to. */
  readonly eye: EyeInForce
}

export const TEXTURES = ['smooth', 'woven', 'pile', 'hewn'] as const
/** How rough a keeper is. */
export type Texture = (typeof TEXTURES)[number]

// Common practice: polish and paint are smooth; a weave, a grain, a pile and a hewn face are not.
const SMOOTH_KINDS: readonly RatedKind[] = [
  'trim',
  'door',
  'cabinet',
  'neighbour',
  'tile',
  'counter',
  'metal',
]

/** Whether nothing rough keeps it apart from a tone that comes close to its own. */
export const isSmooth = ({ kind, texture }: Role): boolean =>
  texture === null ? SMOOTH_KINDS.includes(kind) : texture === 'smooth'

/**
 * What a keeper of a kind is to the walls beside it.
 *
 * @param texture as it was said; left out or null, as its kind was rated
 */
export const roleOf = (
  kind: KeeperKind,
  rules: Pick<HouseRules, 'pairs'> & WithEye,
  texture: Texture | null = null,
): Role => ({
  ...ratedRole(RATED_AS[kind], rules),
  texture,
})

/** The same of a kind that was rated; `neighbour` is the wall of the room beyond an open door. */
export const ratedRole = (
  kind: RatedKind,
  { pairs, eye = NO_EYE }: Pick<HouseRules, 'pairs'> & WithEye,
): Role => ({ kind, texture: null, onBlack: 0, pairs, eye })

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

/** The school that the ratings themselves are of. */
export const AS_RATED: HouseRules['pairs'] = 'shared-fixed'

/** What the house rule does, in words, wherever it moves a score; null where it leaves the ratings as they are. */
export const ruleWords = ({ pairs }: Role): string | null => RULES[pairs].words

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

// By term, what changes its weight: looked up once, for learning an eye asks a hundred thousand times.
const CHANGED_BY = TERM_NAMES.map((name) =>
  OPPOSITES.includes(name)
    ? 'opposites'
    : ((Object.keys(OF_LIMIT) as EyeLimit[]).find((limit) => OF_LIMIT[limit].includes(name)) ??
      null),
)
const timesOf = (times: Partial<Record<Term, number>>): readonly number[] =>
  TERM_NAMES.map((name) => times[name] ?? 1)
const TIMES: Readonly<Record<HouseRules['pairs'], readonly number[]>> = {
  'shared-fixed': timesOf(RULES['shared-fixed'].times),
  shared: timesOf(RULES.shared.times),
  opposites: timesOf(RULES.opposites.times),
}

/** The points of ten for each unit of a term beside such a thing, in the order of `TERM_NAMES`. */
export function weightsOf({ texture, onBlack, pairs, eye }: Role): Float64Array {
  const times = TIMES[pairs]
  // A roughness that was said keeps close tones apart.
  const mayMiss = texture === null || texture === 'smooth' ? 1 : 0
  const weights = new Float64Array(WEIGHTS.length)
  for (let i = 0; i < weights.length; i++) {
    const own = WEIGHTS[i]! * times[i]!
    const by = CHANGED_BY[i]!
    // Who lets more pass minds it less.
    weights[i] =
      by === null
        ? own
        : by === 'opposites'
          ? (1 - onBlack) * own
          : (by === 'near miss' ? mayMiss * own : own) / eye.factors[by]
  }
  return weights
}
