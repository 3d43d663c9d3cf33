import type { HouseRules } from '../advice/house-rules'
import { chanceOver } from '../chance-over'
import { NO_LEAN_BELOW } from './hue-name'
import type { Undertone } from './undertone'

// From pink over orange to yellow a lean is warm, from blue-green over blue to violet cool; what lies between is
// where schools differ. Degrees on the card, see hue-name.ts.
const WARM_UP_TO_DEG = 106
const COOL_FROM_DEG = 175
const WARM_AGAIN_FROM_DEG = 335

export function isWarmLean({ c, hueDeg }: Undertone): boolean {
  return c >= NO_LEAN_BELOW && (hueDeg <= WARM_UP_TO_DEG || hueDeg >= WARM_AGAIN_FROM_DEG)
}

export function isCoolLean({ c, hueDeg }: Undertone): boolean {
  return c >= NO_LEAN_BELOW && hueDeg > COOL_FROM_DEG && hueDeg < WARM_AGAIN_FROM_DEG
}

/** Where warm light pulls a colour, between orange and yellow: degrees of hue. */
export const GOLD_DEG = 75

const towards = (deg: number): readonly [x: number, y: number] => [
  Math.cos((deg * Math.PI) / 180),
  Math.sin((deg * Math.PI) / 180),
]
// Middles of the warm and the cool, and from which lean along them one counts.
const WARM = towards(50)
const COOL = towards(255)
const LEANS_FROM = 1.5

/** How clearly a colour leans warm, 0 to 1. */
export const warmLean = (undertone: Undertone): number => leanAlong(undertone, WARM)
/** How clearly a colour leans cool, 0 to 1. */
export const coolLean = (undertone: Undertone): number => leanAlong(undertone, COOL)

const leanAlong = ({ a, b }: Undertone, [x, y]: readonly [number, number]): number =>
  chanceOver((a * x + b * y - LEANS_FROM) / 1.2)

/** "warm" or "cool", for green leans too, where the house rule says either at all; null where it names the direction alone. */
export function warmthWord(undertone: Undertone, rules: HouseRules): 'warm' | 'cool' | null {
  const rule = rules['green-grey']
  if (rule === 'neither' || undertone.c < NO_LEAN_BELOW) return null
  if (isWarmLean(undertone)) return 'warm'
  return isCoolLean(undertone) ? 'cool' : rule
}
