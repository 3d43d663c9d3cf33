import { step } from '../pairing/shapes'
import type { Seen } from '../pairing/score'
import type { RatedKind } from '../pairing/traits'
import fitted from './fitted.json' with { type: 'json' }

/** How much of a kind one sees in a room, as a rule (common practice). */
export const SHOWN: Readonly<Record<RatedKind, number>> = {
  cabinet: 0.3,
  floor: 0.25,
  carpet: 0.25,
  tile: 0.2,
  brick: 0.15,
  stone: 0.15,
  furniture: 0.15,
  counter: 0.12,
  rug: 0.12,
  trim: 0.1,
  textile: 0.1,
  door: 0.08,
  neighbour: 0.08,
  metal: 0.03,
}

/** What a room and its people ask of a wall, beside what stays: shares, 0 to 1. */
export interface RoomAsksFor {
  readonly drama: number
  readonly brighter: number
  readonly calmer: number
  readonly cosier: number
  readonly fresher: number
  readonly nothingCold: number
  readonly warmNoYellow: number
  /** Nothing of the kind. */
  readonly nothing: number
  /** How far it is used in the evening. */
  readonly evening: number
  /** A north room, or one without a window, that is to be warmed; −1 where it is to be kept cool. */
  readonly north: number
  /** Of its lamps, in steps of 800 K above 3,200. */
  readonly coolLamps: number
  /** How far something that stays is itself a plain grey, and asks for the like. */
  readonly grey: number
}

/** What the worth of a wall in a room is made of, beside its weights; 1: never speaks against it, −1: never for it. */
export const ROOM_TERMS = {
  'pairs together': 1,
  'chances together': 1,
  strength: -1,
  'a grey without a lean': -1,
  'drama: dark': 1,
  'drama: strong': 1,
  'brighter: light': 1,
  'calmer: light': 1,
  'calmer: quiet': 1,
  'cosier: not pale': 1,
  'cosier: warm': 1,
  'cosier: deep': 1,
  'fresher: light': 1,
  'nothing cold: warm': 1,
  'nothing cold: not grey': 1,
  'warm with no yellow: pink': 1,
  'used in the evening: pale': 1,
  'north or no window: warm': 1,
  'cool lamps: warm': 1,
  'no wish: light': 1,
} as const satisfies Record<string, 1 | -1>
export type RoomTerm = keyof typeof ROOM_TERMS
export const ROOM_TERM_NAMES = Object.keys(ROOM_TERMS) as RoomTerm[]

/** Points of ten for each unit of a term, in the order of `ROOM_TERM_NAMES`, as they were fitted (`npm run fit`). */
export const ROOM_WEIGHTS = Float64Array.from(
  ROOM_TERM_NAMES,
  (name) => (fitted.terms as Record<string, number>)[name] ?? 0,
)

/** A wall's pairs with all that stays, each by how much of it shows: the mean of their scores (0 to 10) and of their chances. */
export interface PairsTogether {
  readonly score: number
  readonly chance: number
}

// Warm is towards orange, yellow-red at 60°.
const [COS_WARM, SIN_WARM] = [0.5, Math.sqrt(0.75)]

/** How far a surface is a grey without a lean, neither white nor near black: on a wall it looks unpainted. */
export const plainGrey = ({ j, a, b }: Seen): number =>
  step(-Math.hypot(a, b), -1.6, 0.35) * step(-j, -92, 1.5) * step(j, 48, 3)

/**
 * How much of each term a wall has in a room, in the order of `ROOM_TERM_NAMES`.
 *
 * @param wall as it is seen by daylight
 * @param into as many places as there are terms
 */
export function fillRoomTerms(
  wall: Seen,
  pairs: PairsTogether,
  asks: RoomAsksFor,
  into: Float64Array,
): void {
  const { j, a, b } = wall
  const c = Math.hypot(a, b)
  const [light, deep] = [step(j, 82, 4), step(-j, -45, 6)]
  const warm = (COS_WARM * a + SIN_WARM * b) / (c + 3)
  let at = 0
  into[at++] = pairs.score
  into[at++] = pairs.chance
  into[at++] = c / 10
  into[at++] = asks.grey < 1 ? (1 - asks.grey) * plainGrey(wall) : 0
  into[at++] = (asks.drama * -j) / 20
  into[at++] = (asks.drama * c) / 10
  into[at++] = (asks.brighter * j) / 20
  into[at++] = (asks.calmer * j) / 20
  into[at++] = (asks.calmer * -c) / 10
  into[at++] = -asks.cosier * light
  into[at++] = asks.cosier * warm
  into[at++] = asks.cosier * deep
  into[at++] = (asks.fresher * j) / 20
  into[at++] = asks.nothingCold * warm
  into[at++] = asks.nothingCold * step(c, 5, 1.5)
  into[at++] = (asks.warmNoYellow * a) / (c + 3)
  into[at++] = asks.evening * light
  into[at++] = asks.north * warm
  into[at++] = asks.coolLamps * warm
  into[at++] = (asks.nothing * j) / 20
}

/** The mean over what stays of scores and of the chances that they stand for, by how much of each one sees. */
export function pairsTogether(
  scores: ArrayLike<number>,
  shares: ArrayLike<number>,
  chanceOf: (score: number) => number,
): PairsTogether {
  let [score, chance] = [0, 0]
  for (let k = 0; k < scores.length; k++) {
    score += shares[k]! * scores[k]!
    chance += shares[k]! * chanceOf(scores[k]!)
  }
  return { score, chance }
}
