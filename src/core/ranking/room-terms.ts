import { step } from '../pairing/shapes'
import type { Seen } from '../pairing/score'
import type { RatedKind } from '../pairing/traits'

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
  /** A north room, or one without a window. */
  readonly north: number
  /** Of its lamps, in steps of 800 K above 3,200. */
  readonly coolLamps: number
}

/** What the worth of a wall in a room is made of, beside its weights; 1: never speaks against it, −1: never for it. */
export const ROOM_TERMS = {
  'pairs together': 1,
  'chances together': 1,
  strength: -1,
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

/** A wall's pairs with all that stays, each by how much of it shows: the mean of their scores (0 to 10) and of their chances. */
export interface PairsTogether {
  readonly score: number
  readonly chance: number
}

// Warm is towards orange, yellow-red at 60°.
const [COS_WARM, SIN_WARM] = [0.5, Math.sqrt(0.75)]

/**
 * How much of each term a wall has in a room, in the order of `ROOM_TERM_NAMES`.
 *
 * @param wall as it is seen by daylight
 */
export function roomTerms(
  { j, a, b }: Seen,
  pairs: PairsTogether,
  asks: RoomAsksFor,
): Record<RoomTerm, number> {
  const c = Math.hypot(a, b)
  const [light, deep] = [step(j, 82, 4), step(-j, -45, 6)]
  const warm = (COS_WARM * a + SIN_WARM * b) / (c + 3)
  return {
    'pairs together': pairs.score,
    'chances together': pairs.chance,
    strength: c / 10,
    'drama: dark': (asks.drama * -j) / 20,
    'drama: strong': (asks.drama * c) / 10,
    'brighter: light': (asks.brighter * j) / 20,
    'calmer: light': (asks.calmer * j) / 20,
    'calmer: quiet': (asks.calmer * -c) / 10,
    'cosier: not pale': -asks.cosier * light,
    'cosier: warm': asks.cosier * warm,
    'cosier: deep': asks.cosier * deep,
    'fresher: light': (asks.fresher * j) / 20,
    'nothing cold: warm': asks.nothingCold * warm,
    'nothing cold: not grey': asks.nothingCold * step(c, 5, 1.5),
    'warm with no yellow: pink': (asks.warmNoYellow * a) / (c + 3),
    'used in the evening: pale': asks.evening * light,
    'north or no window: warm': asks.north * warm,
    'cool lamps: warm': asks.coolLamps * warm,
    'no wish: light': (asks.nothing * j) / 20,
  }
}
