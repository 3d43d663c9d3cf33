import { finite } from '../check'
import { windowAreaM2, type LitRoom } from '../light/room'
import { wallFacing, WALL_NAMES, wallWidthMm, type WallName } from '../light/walls'
import type { Surface } from '../record/proposal'

/** What of a room decides how much of it is painted. */
export interface PaintedRoom extends LitRoom {
  readonly doors: readonly {
    readonly bearingDeg: number
    readonly widthMm: number
    readonly heightMm: number
  }[]
}

/** What is not known from the size of a room; null where nobody has said. */
export interface RoomJoinery {
  readonly skirtingMm: number
  /** Width of the trim round windows and doors. */
  readonly casingMm: number
  readonly featureWall: WallName | null
  /** How high a half wall reaches. */
  readonly halfHeightMm: number
  readonly cabinetsM2: number | null
  readonly islandM2: number | null
  readonly otherM2: number | null
}

/** As most houses have it (common practice). */
export const USUAL_JOINERY: RoomJoinery = {
  skirtingMm: 120,
  casingMm: 70,
  featureWall: null,
  halfHeightMm: 1000,
  cabinetsM2: null,
  islandM2: null,
  otherM2: null,
}

const MM2_PER_M2 = 1e6

/** An upright opening as far as it takes wall away. */
interface Opening {
  readonly wall: WallName
  readonly widthMm: number
  readonly fromMm: number
  readonly toMm: number
}

function openingsOf(room: PaintedRoom): Opening[] {
  const open = (
    { bearingDeg, widthMm }: { readonly bearingDeg: number; readonly widthMm: number },
    fromMm: number,
    toMm: number,
  ): Opening => ({
    wall: wallFacing(room, bearingDeg),
    widthMm,
    fromMm: Math.max(0, fromMm),
    toMm: Math.min(room.heightMm, toMm),
  })
  return [
    ...room.windows
      .filter(({ pitchDeg }) => pitchDeg === 90)
      .map((window) => open(window, window.sillMm, window.sillMm + window.heightMm)),
    ...room.doors.map((door) => open(door, 0, door.heightMm)),
  ]
}

/** Wall between two heights less what stands open in it, square metres. */
function bandM2(
  room: PaintedRoom,
  walls: readonly WallName[],
  fromMm: number,
  toMm: number,
): number {
  const openings = openingsOf(room)
  const mm2 = walls.reduce((sum, wall) => {
    const open = openings
      .filter((opening) => opening.wall === wall)
      .reduce(
        (taken, { widthMm, fromMm: sill, toMm: head }) =>
          taken + widthMm * Math.max(0, Math.min(head, toMm) - Math.max(sill, fromMm)),
        0,
      )
    return sum + Math.max(0, wallWidthMm(room, wall) * (toMm - fromMm) - open)
  }, 0)
  return finite(mm2, "a room's size") / MM2_PER_M2
}

/**
 * What of a room a surface is, square metres: walls, halves and ceiling less their openings, doors by their leaves, trim by
 * its length round floor and openings.
 *
 * @param painted every surface of the room that is painted: the feature wall and halves are no part of its other walls
 * @returns null where the room does not tell it and nobody has said
 */
export function surfaceM2(
  room: PaintedRoom,
  joinery: RoomJoinery,
  surface: Surface,
  painted: readonly Surface[],
): number | null {
  const { heightMm } = room
  const feature = painted.includes('one wall') ? joinery.featureWall : null
  const others = WALL_NAMES.filter((wall) => wall !== feature)
  const half = Math.min(joinery.halfHeightMm, heightMm)
  switch (surface) {
    case 'walls': {
      const from = painted.includes('lower half') ? half : 0
      const to = painted.includes('upper half') ? half : heightMm
      return to > from ? bandM2(room, others, from, to) : 0
    }
    case 'one wall':
      return joinery.featureWall ? bandM2(room, [joinery.featureWall], 0, heightMm) : null
    case 'lower half':
      return bandM2(room, others, 0, half)
    case 'upper half':
      return bandM2(room, others, half, heightMm)
    case 'ceiling': {
      const glass = room.windows
        .filter(({ pitchDeg }) => pitchDeg < 90)
        .reduce((sum, window) => sum + windowAreaM2(window), 0)
      return Math.max(0, (room.northSouthMm * room.eastWestMm) / MM2_PER_M2 - glass)
    }
    case 'trim':
      return trimM2(room, joinery)
    case 'door inside':
    case 'door outside':
      return room.doors.length === 0
        ? null
        : room.doors.reduce((sum, { widthMm, heightMm: high }) => sum + widthMm * high, 0) /
            MM2_PER_M2
    case 'cabinets':
      return joinery.cabinetsM2
    case 'island':
      return joinery.islandM2
    case 'other':
      return joinery.otherM2
  }
}

/** Skirting round the floor less the doors, and casings round windows and doors. */
function trimM2(room: PaintedRoom, { skirtingMm, casingMm }: RoomJoinery): number {
  const round = 2 * (room.northSouthMm + room.eastWestMm)
  const doorways = room.doors.reduce((sum, { widthMm }) => sum + widthMm, 0)
  const casings = openingsOf(room).reduce((sum, { widthMm, fromMm, toMm }) => {
    const sides = fromMm > 0 ? 2 * widthMm : widthMm
    return sum + 2 * (toMm - fromMm) + sides
  }, 0)
  return (Math.max(0, round - doorways) * skirtingMm + casings * casingMm) / MM2_PER_M2
}
