import type { PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import type { ReadingSource } from '../paint/reading'
import { isBlackGround } from './pairing'
import { undertoneOf, type Undertone } from '../undertone/undertone'

/** One colour of a keeper, as the judge needs it. */
export interface FinishColour {
  readonly part: string
  readonly sharePercent: number
  readonly reflectance: Reflectance
  readonly source: ReadingSource
}

// A part of this share decides by its size.
const DECIDING_SHARE_PERCENT = 15
// A smaller one decides where it grabs the eye: a clear lean that stands out from the ground.
const GRABS = { sharePercent: 3, lean: 6, fromGround: 18 } as const
// On a black ground every fleck that leans does: the ground itself quarrels with nothing.
const FLECK = { sharePercent: 1, lean: 1.5 } as const

/** A part of a keeper in a light. */
export interface SeenPart extends FinishColour {
  readonly undertone: Undertone
}

/**
 * The parts of a keeper that a wall is judged against in a light: the large ones, and of the small ones those that
 * catch the eye (the vein that grabs, the flecks of a black stone).
 *
 * @param colours at least one
 * @returns never empty; the ground, which has the largest share, first
 */
export function decidingParts(light: PreparedLight, colours: readonly FinishColour[]): SeenPart[] {
  const parts = colours
    .map((colour) => ({ ...colour, undertone: undertoneOf(light, colour.reflectance) }))
    .sort((p, q) => q.sharePercent - p.sharePercent)
  const ground = parts[0]
  if (!ground) throw new RangeError('a keeper needs at least one colour to be judged against')
  const isBlack = isBlackGround(ground.undertone)
  return parts.filter(({ sharePercent, undertone }, i) => {
    if (i === 0 || sharePercent >= DECIDING_SHARE_PERCENT) return true
    if (isBlack) return sharePercent >= FLECK.sharePercent && undertone.c >= FLECK.lean
    return (
      sharePercent >= GRABS.sharePercent &&
      undertone.c >= GRABS.lean &&
      distance(undertone, ground.undertone) >= GRABS.fromGround
    )
  })
}

const distance = (p: Undertone, q: Undertone): number => Math.hypot(p.j - q.j, p.a - q.a, p.b - q.b)
