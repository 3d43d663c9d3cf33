import { finite } from '../check'
import { checkedRoom, checkedWindow } from './checked'
import type { LitRoom, RoomWindow } from './room'

export const WALL_NAMES = ['north', 'east', 'south', 'west'] as const
/** A wall by the side of the house it is on: the room's own north, which need not be true north. */
export type WallName = (typeof WALL_NAMES)[number]

type Turned = Pick<LitRoom, 'northDeg'>

/**
 * The wall of a room that a bearing belongs to: the nearest of its four; halfway between two, the one clockwise.
 *
 * @param bearingDeg clockwise from true north
 * @throws RangeError for what is no angle
 */
export function wallFacing({ northDeg = 0 }: Turned, bearingDeg: number): WallName {
  const quarters = Math.floor(
    (finite(bearingDeg, 'a bearing') - finite(northDeg, "a room's northDeg")) / 90 + 0.5,
  )
  return WALL_NAMES[((quarters % 4) + 4) % 4]!
}

const turned = (wall: WallName, by: number): WallName =>
  WALL_NAMES[(WALL_NAMES.indexOf(wall) + by) % WALL_NAMES.length]!

/** The wall across the room. */
export const oppositeWall = (wall: WallName): WallName => turned(wall, 2)

/** The wall that meets one at its right end, seen from inside. */
export const asideWall = (wall: WallName): WallName => turned(wall, 1)

/** Where a wall stands in the room's own axes: degrees clockwise from its own north. */
export const turnOf = (wall: WallName): number => 90 * WALL_NAMES.indexOf(wall)

/** Where a wall faces, clockwise from true north, 0 to under 360. */
export const bearingOf = ({ northDeg = 0 }: Turned, wall: WallName): number =>
  (turnOf(wall) + finite(northDeg, "a room's northDeg") + 360) % 360

/** Width of a wall, millimetres. */
export const wallWidthMm = (
  { northSouthMm, eastWestMm }: Pick<LitRoom, 'northSouthMm' | 'eastWestMm'>,
  wall: WallName,
): number =>
  finite(wall === 'north' || wall === 'south' ? eastWestMm : northSouthMm, 'the width of a wall')

/** Distance from the middle of the room to a wall, millimetres. */
export const toWallMm = (
  { northSouthMm, eastWestMm }: Pick<LitRoom, 'northSouthMm' | 'eastWestMm'>,
  wall: WallName,
): number =>
  finite(wall === 'north' || wall === 'south' ? northSouthMm : eastWestMm, 'the depth of a room') /
  2

/**
 * Where the middle of an upright window stands along its wall: millimetres to the right of the wall's middle, seen from
 * inside. By its own place where that is known, else spread evenly with the others of the wall; never past a corner.
 */
export function alongWallMm(room: LitRoom, window: RoomWindow): number {
  checkedRoom(room)
  checkedWindow(window)
  const wall = wallFacing(room, window.bearingDeg)
  const width = wallWidthMm(room, wall)
  const inWall = room.windows.filter(
    (each) =>
      each.pitchDeg === 90 &&
      each.alongPercent == null &&
      wallFacing(room, each.bearingDeg) === wall,
  )
  const place = Math.max(0, inWall.indexOf(window))
  const share =
    window.alongPercent == null
      ? (place + 0.5) / Math.max(1, inWall.length)
      : window.alongPercent / 100
  const most = Math.max(0, (width - window.widthMm) / 2)
  return Math.min(most, Math.max(-most, width * (share - 0.5)))
}

export const isWallName = (name: string): name is WallName =>
  (WALL_NAMES as readonly string[]).includes(name)
