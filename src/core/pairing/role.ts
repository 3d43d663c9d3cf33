import type { HouseRules } from '../advice/house-rules'
import { NO_EYE, type EyeInForce, type WithEye } from '../eye/factors'
import type { KeeperKind } from './keeper-kind'

/** What it changes that a finish is this and not that: all shares, 0 to 1. */
export interface Role {
  /** Free to be another hue than the wall: what can be carried out of the room. */
  readonly setOff: number
  /** Whether a strong hue opposite contrasts with it; a fleck on a black ground never does. */
  readonly opposes: number
  /** A painted line beside the wall: a deep one may be complementary. */
  readonly trim: number
  /** Wood takes the hues around its own. */
  readonly wood: number
  /** How far its being cleaner makes a wall look dirty. */
  readonly dirties: number
  /** How far a cleaner wall makes it look dirty: only what will not be replaced. */
  readonly ages: number
  /** How smooth: texture keeps close tones apart, so only smooth surfaces come too near. */
  readonly smooth: number
  /** Whether two clear opposites are wanted beside it, by the house rule. */
  readonly contrastWanted: boolean
  /** Whose limits it is held to. */
  readonly eye: EyeInForce
}

const FIXED = { setOff: 0, opposes: 1, trim: 0, wood: 0, dirties: 1, ages: 1, smooth: 0 } as const
const FURNISHING = { ...FIXED, setOff: 1, dirties: 0.25, ages: 0 } as const

// Common practice: fixed finishes share an undertone, what can be carried out may be set off; near-whites dirty each other
// as trim does; a weave, a grain and a pile keep close tones apart, polish and paint do not.
const ROLES: Record<KeeperKind, Omit<Role, 'contrastWanted' | 'eye'>> = {
  floor: { ...FIXED, wood: 1, dirties: 0.25, ages: 0.25 },
  fireplace: FIXED,
  stone: FIXED,
  counter: { ...FIXED, smooth: 0.6 },
  tile: { ...FIXED, smooth: 0.6 },
  cabinets: { ...FIXED, smooth: 0.8 },
  trim: { ...FIXED, trim: 1, smooth: 1 },
  panelling: { ...FIXED, wood: 1, dirties: 0.5, ages: 0.5, smooth: 0.5 },
  door: { ...FIXED, trim: 1, smooth: 0.8 },
  // Metal is no paint: nothing dirties it, and it ages nobody.
  metal: { ...FIXED, dirties: 0.25, ages: 0, smooth: 1 },
  carpet: { ...FIXED, dirties: 0.5 },
  appliance: { ...FURNISHING, dirties: 0.5, smooth: 1 },
  upholstery: FURNISHING,
  curtain: FURNISHING,
  rug: FURNISHING,
  cushion: FURNISHING,
  art: FURNISHING,
  // A frame beside the wall; its glass shows the wall itself.
  mirror: FURNISHING,
  other: FURNISHING,
}

export const TEXTURES = ['smooth', 'woven', 'pile', 'hewn'] as const
/** How rough a keeper is. */
export type Texture = (typeof TEXTURES)[number]

const SMOOTHNESS: Record<Texture, number> = { smooth: 1, woven: 0, pile: 0, hewn: 0 }

/**
 * What a keeper's kind changes in how a wall sits with it, by the house rule on what pairs and the eye that it is held to.
 *
 * @param texture as it was said; left out or null, as its kind is
 */
export function roleOf(
  kind: KeeperKind,
  { pairs, eye }: Pick<HouseRules, 'pairs'> & WithEye,
  texture: Texture | null = null,
): Role {
  const smooth = texture === null ? ROLES[kind].smooth : SMOOTHNESS[texture]
  const role = { ...ROLES[kind], smooth, eye: eye ?? NO_EYE }
  if (pairs === 'opposites') return { ...role, setOff: 1, contrastWanted: true }
  if (pairs === 'shared') return { ...role, setOff: 0, contrastWanted: false }
  return { ...role, contrastWanted: role.setOff > 0 || role.trim > 0 || role.wood > 0 }
}
