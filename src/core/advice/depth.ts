import { chanceOver } from '../chance-over'
import { BRIGHT_ABOVE_PERCENT, DIM_BELOW_PERCENT } from '../light/daylight-factor'
import type { Want } from './brief'
import type { RoomCharacter } from './room-character'

/** LRV from and to which a room's walls are at home, and why. */
export interface DepthBand {
  readonly fromLrv: number
  readonly toLrv: number
  readonly why: string
}

// Common practice: hallways and morning rooms lighter, evening rooms deeper, bedrooms calm; whites go dingy in a dim room and
// wash out in a very bright one. LRV 37 is a deep mid-tone, 74 and up off-white.
const BY_WISH: Record<Want, DepthBand> = {
  brighter: { fromLrv: 52, toLrv: 84, why: 'light, as wished' },
  cosier: { fromLrv: 22, toLrv: 60, why: 'deep enough to be cosy' },
  calmer: { fromLrv: 44, toLrv: 78, why: 'of a calm depth' },
  'more drama': { fromLrv: 3, toLrv: 28, why: 'deep, for drama' },
}

/** The depths that suit a room by its light, its hours and its climate, where nothing is wished for. */
function ownBand(room: RoomCharacter): DepthBand {
  const { daylightFactorPercent: factor, useHours, climate } = room
  if (factor === 0) return { fromLrv: 22, toLrv: 66, why: 'of a depth that lamps carry' }
  const lift = climate === 'grey' ? 6 : 0
  const lower = climate === 'sunny' ? 4 : 0
  if (useHours === 'evening')
    return { fromLrv: 24 + lift, toLrv: 70 - lower, why: 'of a depth for evenings' }
  if (factor > BRIGHT_ABOVE_PERCENT)
    return { fromLrv: 34 + lift, toLrv: 76 - lower, why: 'of a depth that strong light leaves' }
  if (factor < DIM_BELOW_PERCENT)
    return { fromLrv: 40 + lift, toLrv: 78, why: 'light enough for a dim room, and no white' }
  if (useHours === 'breakfast') return { fromLrv: 48, toLrv: 84, why: 'light, for mornings' }
  return { fromLrv: 40 + lift, toLrv: 82 - lower, why: 'of a depth that suits its light' }
}

/** The bands that a room asks for: one a wish, else its own. */
export const depthBands = (room: RoomCharacter): DepthBand[] =>
  room.wants.length > 0 ? room.wants.map((want) => BY_WISH[want]) : [ownBand(room)]

const LRV_SPREAD = 5

// So far outside a band a colour is not only less at home, it goes against what is asked.
const BESIDE_LRV = 8

const inBand = ({ fromLrv, toLrv }: DepthBand, lrvPercent: number, slack: number): number =>
  chanceOver((lrvPercent - fromLrv + slack) / LRV_SPREAD) *
  chanceOver((toLrv + slack - lrvPercent) / LRV_SPREAD)

/** How far a colour's depth suits a room, 0 to 1: over several wishes the mean. */
export function suitsDepth(bands: readonly DepthBand[], lrvPercent: number): number {
  let sum = 0
  for (const band of bands) sum += inBand(band, lrvPercent, 0)
  return sum / bands.length
}

/** How far a colour's depth goes against every band, 0 to 1. */
export function againstDepth(bands: readonly DepthBand[], lrvPercent: number): number {
  let most = 0
  for (const band of bands) most = Math.max(most, inBand(band, lrvPercent, BESIDE_LRV))
  return 1 - most
}
