import { finite } from '../check'
import { shadedBearingDeg } from './light-choice'
import type { LitRoom } from './room'
import type { Place } from './sun-position'

const POINTS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const
export type CompassPoint = (typeof POINTS)[number]

const WORDS: Record<CompassPoint, string> = {
  N: 'north',
  NE: 'north-east',
  E: 'east',
  SE: 'south-east',
  S: 'south',
  SW: 'south-west',
  W: 'west',
  NW: 'north-west',
}

/** Nearest of the eight compass points; any angle in degrees clockwise from north. */
export function compassPoint(bearingDeg: number): CompassPoint {
  return POINTS[Math.round((((finite(bearingDeg, 'a bearing') % 360) + 360) % 360) / 45) % 8]!
}

export const compassWord = (bearingDeg: number): string => WORDS[compassPoint(bearingDeg)]

/** The directions a room's windows face, largest window first, each once. */
export function aspectOf(room: LitRoom): CompassPoint[] {
  const bySize = [...room.windows].sort((p, q) => q.widthMm * q.heightMm - p.widthMm * p.heightMm)
  return [...new Set(bySize.map((window) => compassPoint(window.bearingDeg)))]
}

/** Whether every window turns away from the sun, so that the room is cool and even all day; false without a window. */
export function isCoolAndEven({ windows }: LitRoom, place: Place): boolean {
  const shaded = shadedBearingDeg(place)
  return (
    windows.length > 0 &&
    windows.every(({ bearingDeg }) => Math.cos(((bearingDeg - shaded) * Math.PI) / 180) > 0.7)
  )
}
