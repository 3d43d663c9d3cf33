import { between, finite, finiteAll } from '../check'
import { checkedRoom, checkedWindow } from './checked'
import {
  surfaceAreaM2,
  windowAreaM2,
  windowTransmittance,
  type LitRoom,
  type RoomWindow,
} from './room'
import { meanReflectance } from './room-reflectance'

const RAD = Math.PI / 180

/**
 * Average daylight factor, per cent: T · A_w · θ / (A · (1 − R²)).
 *
 * Source: BS 8206-2, CIBSE LG10.
 *
 * @param skyAngleDeg vertical angle of sky seen from the window, 90 with nothing opposite
 */
export function averageDaylightFactorPercent(
  transmittance: number,
  windowAreaM2: number,
  skyAngleDeg: number,
  surfaceAreaM2: number,
  meanReflectance: number,
): number {
  finiteAll(
    [transmittance, windowAreaM2, skyAngleDeg, surfaceAreaM2],
    'figures of a daylight factor',
  )
  if (!(surfaceAreaM2 > 0))
    throw new RangeError(`surfaceAreaM2 must be above 0, got ${surfaceAreaM2}`)
  between(meanReflectance, 0, 0.999, 'meanReflectance')
  return (transmittance * windowAreaM2 * skyAngleDeg) / (surfaceAreaM2 * (1 - meanReflectance ** 2))
}

/**
 * Vertical angle of sky that a window sees, degrees: between what stands opposite and the overhang's edge. A roof
 * window sees past the zenith: 90 more for lying flat, in proportion to its pitch.
 */
export function skyAngleDeg(window: RoomWindow): number {
  const { opposite, oppositeDeg, overhangMm, heightMm, pitchDeg } = checkedWindow(window)
  const below = opposite === 'sky' ? 0 : oppositeDeg
  const above = overhangMm > 0 ? 90 - Math.atan2(heightMm / 2, overhangMm) / RAD : 0
  return Math.max(0, 180 - pitchDeg - below - above)
}

/** Average daylight factor of a room as it stands, its own floor in it and curtains as they hang, per cent. */
export function daylightFactorPercent(room: LitRoom): number {
  const reflectance = meanReflectance(checkedRoom(room))
  return room.windows.reduce(
    (sum, window) =>
      sum +
      averageDaylightFactorPercent(
        windowTransmittance(window),
        windowAreaM2(window),
        skyAngleDeg(window),
        surfaceAreaM2(room),
        reflectance,
      ),
    0,
  )
}

/** Average daylight factors under which a room is dim, and over which it is bright (BS 8206-2, CIBSE LG10). */
export const DIM_BELOW_PERCENT = 2
export const BRIGHT_ABOVE_PERCENT = 5

/** dim, moderate or bright by its daylight factor; dark without a window. */
export function dimness(factorPercent: number): 'dark' | 'dim' | 'moderate' | 'bright' {
  finite(factorPercent, 'a daylight factor')
  if (factorPercent === 0) return 'dark'
  if (factorPercent < DIM_BELOW_PERCENT) return 'dim'
  return factorPercent <= BRIGHT_ABOVE_PERCENT ? 'moderate' : 'bright'
}
