import type { RoomWindow } from '../light/room'
import { wallFacing, WALL_NAMES, wallWidthMm, type WallName } from '../light/walls'
import { paintedWalls } from './placings'

/** A strip of wall that is painted up to the woodwork on both sides, to judge a colour on it. */
export interface WallPatch {
  readonly wall: WallName
  readonly beside: 'the door' | 'the window' | 'the corner'
  readonly widthMm: number
  readonly heightMm: number
}

// Wide enough to fill the eye from across a room (common practice).
const STRIP_MM = 600

/**
 * Where a colour is sampled on the wall itself: a strip from skirting to ceiling that begins at the trim of a door, else of a
 * window, else in a corner; never an island in the old colour. On the wall with the most room beside it.
 *
 * @returns null for a room without wall
 */
export function wallPatchOf(
  room: Parameters<typeof paintedWalls>[0],
  skirtingMm: number,
): WallPatch | null {
  const opening = (
    of: readonly Pick<RoomWindow, 'bearingDeg' | 'widthMm'>[],
    wall: WallName,
  ): number =>
    of
      .filter(({ bearingDeg }) => wallFacing(room, bearingDeg) === wall)
      .reduce((sum, { widthMm }) => sum + widthMm, 0)
  const windows = room.windows.filter(({ pitchDeg }) => pitchDeg === 90)
  const best = paintedWalls(room)
    .map((wall) => {
      const [doors, glass] = [opening(room.doors ?? [], wall), opening(windows, wall)]
      return {
        wall,
        rank: doors > 0 ? 0 : glass > 0 ? 1 : 2,
        freeMm: wallWidthMm(room, wall) - doors - glass,
      }
    })
    .sort(
      (p, q) =>
        Number(q.freeMm >= STRIP_MM) - Number(p.freeMm >= STRIP_MM) ||
        p.rank - q.rank ||
        q.freeMm - p.freeMm ||
        WALL_NAMES.indexOf(p.wall) - WALL_NAMES.indexOf(q.wall),
    )[0]
  if (!best) return null
  return {
    wall: best.wall,
    beside: (['the door', 'the window', 'the corner'] as const)[best.rank]!,
    widthMm: Math.min(STRIP_MM, best.freeMm),
    heightMm: room.heightMm - skirtingMm,
  }
}
