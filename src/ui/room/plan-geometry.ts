import type { CSSProperties } from 'react'
import type { LitRoom, RoomWindow } from '@/core/light/room'
import { alongWallMm, wallFacing, wallWidthMm, type WallName } from '@/core/light/walls'

// The longer side of the room on a drawing 200 units across.
const LONGEST = 120
// Half of what a thumb needs across a wall, as a share of the drawing.
const THUMB = 0.09

/** Half sizes of the room as shares of the drawing. */
interface Share {
  readonly x: number
  readonly y: number
}

export interface Wall {
  readonly letter: string
  readonly name: WallName
  /** In the room's own axes. */
  readonly turnDeg: number
  /** Where its touch target lies. */
  readonly box: (share: Share) => CSSProperties
}

const percent = (share: number): string => `${(100 * share).toFixed(2)}%`

const across = (share: Share, top: number): CSSProperties => ({
  left: percent(0.5 - share.x),
  width: percent(2 * share.x),
  top: percent(top - THUMB),
  height: percent(2 * THUMB),
})
const along = (share: Share, left: number): CSSProperties => ({
  top: percent(0.5 - share.y),
  height: percent(2 * share.y),
  left: percent(left - THUMB),
  width: percent(2 * THUMB),
})

export const WALLS: readonly Wall[] = [
  { letter: 'N', name: 'north', turnDeg: 0, box: (share) => across(share, 0.5 - share.y) },
  { letter: 'E', name: 'east', turnDeg: 90, box: (share) => along(share, 0.5 + share.x) },
  { letter: 'S', name: 'south', turnDeg: 180, box: (share) => across(share, 0.5 + share.y) },
  { letter: 'W', name: 'west', turnDeg: 270, box: (share) => along(share, 0.5 - share.x) },
]

/** Units of the drawing a millimetre: the longer side has the same length whatever the room. */
export const planScale = (room: Pick<LitRoom, 'northSouthMm' | 'eastWestMm'>): number =>
  LONGEST / Math.max(room.northSouthMm, room.eastWestMm)

/**
 * A room drawn to scale about the centre of a drawing from −100 to 100, its own north up.
 *
 * @param scale of another size of it, while a side is dragged
 */
export function planGeometry(
  room: LitRoom,
  windows: readonly RoomWindow[],
  scale: number = planScale(room),
) {
  const width = room.eastWestMm * scale
  const height = room.northSouthMm * scale
  return {
    /** Units of the drawing a millimetre. */
    scale,
    room: { x: -width / 2, y: -height / 2, width, height },
    share: { x: width / 400, y: height / 400 },
    openings: windows
      .filter(({ pitchDeg }) => pitchDeg === 90)
      .map((window) => {
        const wall = wallFacing(room, window.bearingDeg)
        const middle = alongWallMm({ ...room, windows }, window) * scale * rightwards(wall)
        const half = (window.widthMm * scale) / 2
        const [from, to] = [middle - half, middle + half]
        if (wall === 'north') return lineAt(from, to, -height / 2, 'across')
        if (wall === 'south') return lineAt(from, to, height / 2, 'across')
        return lineAt(from, to, ((wall === 'east' ? 1 : -1) * width) / 2, 'along')
      }),
  }
}

// A side moves by so much, and a room of a house is no smaller and no larger.
const SIDE_STEP_MM = 50
const [LEAST_MM, MOST_MM] = [1000, 20_000]

/** A side of a room in millimetres, in whole steps. */
export const sideMm = (mm: number): number =>
  Math.min(MOST_MM, Math.max(LEAST_MM, SIDE_STEP_MM * Math.round(mm / SIDE_STEP_MM)))

/** Which size of a room a wall moves when it is dragged. */
export const sideOf = (wall: WallName): 'northSouthMm' | 'eastWestMm' =>
  wall === 'north' || wall === 'south' ? 'northSouthMm' : 'eastWestMm'

/**
 * How long a side is once one of its walls was dragged to a point of the drawing; the wall opposite mirrors it.
 *
 * @param scale as the drag began
 */
export const draggedSideMm = (
  wall: WallName,
  { x, y }: { readonly x: number; readonly y: number },
  scale: number,
): number => {
  const out = { north: -y, south: y, east: x, west: -x }[wall]
  return sideMm((2 * Math.max(0, out)) / scale)
}

// Nearer to the middle than this, as a share of the way to the walls, a lamp hangs there.
const HANGS_WITHIN = 0.45

/** What sort of lamp is meant by a tap on the floor: one that hangs in the middle, or one that stands at the side. */
export function lampAt(
  room: LitRoom,
  { x, y }: { readonly x: number; readonly y: number },
): 'pendant' | 'table' {
  const { width, height } = planGeometry(room, []).room
  const out = Math.max(Math.abs(x) / (width / 2), Math.abs(y) / (height / 2))
  return out < HANGS_WITHIN ? 'pendant' : 'table'
}

// To the right seen from inside is east along the north wall, and turns with the walls.
const rightwards = (wall: WallName): number => (wall === 'north' || wall === 'east' ? 1 : -1)

/** The touch target of an opening: its length, and a thumb across. */
export function openingBox({ x1, x2, y1, y2 }: ReturnType<typeof lineAt>): CSSProperties {
  const share = (from: number): number => 0.5 + from / 200
  return y1 === y2
    ? {
        left: percent(share(x1)),
        width: percent((x2 - x1) / 200),
        top: percent(share(y1) - THUMB),
        height: percent(2 * THUMB),
      }
    : {
        top: percent(share(y1)),
        height: percent((y2 - y1) / 200),
        left: percent(share(x1) - THUMB),
        width: percent(2 * THUMB),
      }
}

/**
 * Where along a wall a point of the drawing lies, in whole per cent from its left corner seen from inside, so that an
 * opening of a width stays between the corners.
 *
 * @param at the point, units of the drawing
 */
export function alongPercentAt(
  room: LitRoom,
  wall: WallName,
  at: { readonly x: number; readonly y: number },
  widthMm: number,
): number {
  const { scale } = planGeometry(room, [])
  const whole = wallWidthMm(room, wall)
  const fromMiddle =
    ((wall === 'north' || wall === 'south' ? at.x : at.y) * rightwards(wall)) / scale
  const most = Math.max(0, (whole - widthMm) / 2)
  const kept = Math.min(most, Math.max(-most, fromMiddle))
  return Math.round(100 * (kept / whole + 0.5))
}

function lineAt(from: number, to: number, at: number, direction: 'across' | 'along') {
  return direction === 'across'
    ? { x1: from, x2: to, y1: at, y2: at }
    : { x1: at, x2: at, y1: from, y2: to }
}
