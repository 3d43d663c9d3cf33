import type { LitRoom } from '../light/room'
import { WALL_NAMES, wallWidthMm, type WallName } from '../light/walls'
import type { Opening } from './scene'

/** The wall with the fewest openings, then the widest; the next one for another thing. */
export function freeWall(room: LitRoom, windows: readonly Opening[], nth = 0): WallName {
  const openIn = (wall: WallName): number => windows.filter(({ face }) => face === wall).length
  return [...WALL_NAMES].sort(
    (p, q) => openIn(p) - openIn(q) || wallWidthMm(room, q) - wallWidthMm(room, p),
  )[nth % WALL_NAMES.length]!
}

/** The longest part of a wall that nothing blocks, from its middle; null where all of it is taken. Millimetres. */
export function longestRun(
  width: number,
  blocked: readonly [number, number][],
): [number, number] | null {
  const half = width / 2
  const sorted = [...blocked].sort((p, q) => p[0] - q[0])
  let best: [number, number] | null = null
  let from = -half
  for (const [start, end] of [...sorted, [half, half] as [number, number]]) {
    if (start > from && (!best || start - from > best[1] - best[0])) best = [from, start]
    from = Math.max(from, end)
  }
  return best
}
