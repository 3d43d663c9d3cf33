import { DAYLIGHT } from '../undertone/daylight'
import type { PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import type { Firmness } from '../paint/reading'
import { undertoneOf, type Undertone } from '../undertone/undertone'
import type { Role } from './role'
import { chanceOver } from '../chance-over'

/** One colour of a keeper, as the judge needs it. */
export interface FinishColour {
  readonly part: string
  readonly sharePercent: number
  readonly reflectance: Reflectance
  /** How firmly it was read. */
  readonly source: Firmness
}

/**
 * A part shows by its size from about this share; a smaller one from about the second where it catches the eye, and on a
 * black ground, which quarrels with nothing itself. Common practice: black stone is judged by its flecks, pink veins by
 * themselves. The spread keeps one per cent of share under 0.06 of chance.
 */
const SHOWS = { percent: 13, catchingPercent: 8, spread: 7 } as const
// What catches the eye: a clear lean, well away from the ground.
const CATCHES = { lean: 6, fromGround: 18, spread: 2.5 } as const
// A ground this dark, of hardly any lean, is black: it quarrels with nothing itself.
export const BLACK_GROUND = { jBelow: 34, leanBelow: 5, spread: 1.2 } as const

/** How far a surface is black, 0 to 1. */
export const blackness = ({ j, c }: Pick<Undertone, 'j' | 'c'>): number =>
  chanceOver((BLACK_GROUND.jBelow - j) / BLACK_GROUND.spread) *
  chanceOver((BLACK_GROUND.leanBelow - c) / BLACK_GROUND.spread)

/** A part of a keeper in a light. */
export interface SeenPart extends FinishColour {
  readonly undertone: Undertone
  /** How far it shows, 0 to 1; the ground, which has the largest share, 1. */
  readonly shows: number
  /** A fleck on a black ground: judged, but never an opposite that sets the wall off. */
  readonly onBlack: number
}

/**
 * The parts of a keeper as a wall is held to them, the ground first. How far each shows is settled by daylight, so that no
 * screen and no light shows another keeper.
 *
 * @param light that they are seen in
 * @param colours at least one
 */
export function partsOf(light: PreparedLight, colours: readonly FinishColour[]): SeenPart[] {
  const byDay = [...colours]
    .sort((p, q) => q.sharePercent - p.sharePercent)
    .map((colour) => ({ colour, seen: undertoneOf(DAYLIGHT, colour.reflectance) }))
  const ground = byDay[0]?.seen
  if (!ground) throw new RangeError('a keeper needs at least one colour to be judged against')
  const black = blackness(ground)
  return byDay.map(({ colour, seen }, i) => ({
    ...colour,
    undertone: undertoneOf(light, colour.reflectance),
    shows: i === 0 ? 1 : showing(colour.sharePercent, seen, ground, black),
    onBlack: i === 0 ? 0 : black,
  }))
}

function showing(
  sharePercent: number,
  undertone: Undertone,
  ground: Undertone,
  black: number,
): number {
  const away = Math.hypot(undertone.j - ground.j, undertone.a - ground.a, undertone.b - ground.b)
  const catches =
    chanceOver((undertone.c - CATCHES.lean) / CATCHES.spread) *
    chanceOver((away - CATCHES.fromGround) / CATCHES.spread)
  const eye = 1 - (1 - catches) * (1 - black)
  const { percent, spread, catchingPercent } = SHOWS
  return (
    (1 - eye) * chanceOver((sharePercent - percent) / spread) +
    eye * chanceOver((sharePercent - catchingPercent) / spread)
  )
}

/** The role of one part within its keeper. */
export const roleOfPart = (role: Role, { onBlack }: Pick<SeenPart, 'onBlack'>): Role =>
  onBlack > 0 ? { ...role, onBlack } : role
