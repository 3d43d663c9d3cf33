import { finite, finiteAll } from '../check'
import { checkedRoom, checkedWindow } from './checked'
import { CURTAINS, GLAZINGS } from './fittings'
import type { LitRoom, RoomLamp, RoomWindow } from './room'
import { alongWallMm, toWallMm, turnOf, wallFacing, wallWidthMm, type WallName } from './walls'

/** Where a sample is held: against a wall, lying flat, or tilted 45° towards the window. */
export const PLANES = ['north', 'east', 'south', 'west', 'flat', 'tilted'] as const
export type Plane = (typeof PLANES)[number]
export const DEPTHS = ['window', 'middle', 'back', 'lamp'] as const
/** How far into the room: by the window, in the middle, at the back, or under the lamp. */
export type Depth = (typeof DEPTHS)[number]

export interface Spot {
  readonly plane: Plane
  readonly depth: Depth
}

/** The walls together, without a place: what most of a day is judged by. */
export const ALL_WALLS = 'walls'
/** A spot by name, by place, or all walls at once. */
export type SpotChoice = Spot | PlacedSpot | typeof ALL_WALLS

/** How an address and a record call a spot: "walls", "east-back", "tilted-window". */
export type SpotName = typeof ALL_WALLS | `${Plane}-${Depth}`
export const SPOT_NAMES: readonly [SpotName, ...SpotName[]] = [
  ALL_WALLS,
  ...PLANES.flatMap((plane) => DEPTHS.map((depth): SpotName => `${plane}-${depth}`)),
]

/** The spot a name stands for. */
export function spotOf(name: SpotName): Spot | typeof ALL_WALLS {
  if (name === ALL_WALLS) return ALL_WALLS
  const [plane, depth] = name.split('-') as [Plane, Depth]
  return { plane, depth }
}

const DEPTH_WORDS: Record<Depth, string> = {
  window: 'by the window',
  middle: 'in the middle',
  back: 'at the back',
  lamp: 'under the lamp',
}

/** "all walls", "on the east wall, at the back", "tilted, by the window". */
export function spotWords(name: SpotName): string {
  const spot = spotOf(name)
  if (spot === ALL_WALLS) return 'all walls'
  const { plane, depth } = spot
  const held = plane === 'flat' ? 'flat' : plane === 'tilted' ? 'tilted' : `on the ${plane} wall`
  return `${held}, ${DEPTH_WORDS[depth]}`
}

/** The room's own east and north, and up, from the middle of the floor: millimetres or a direction. */
export type Vector = readonly [east: number, north: number, up: number]

export interface PlacedSpot {
  readonly at: Vector
  /** Where the sample faces. */
  readonly normal: Vector
}

const RAD = Math.PI / 180
const EYE_HEIGHT_MM = 1500
const TABLE_HEIGHT_MM = 750
const FROM_WALL_MM = 600
// A sample on a wall stands a hand off it.
const OFF_WALL_MM = 20

/** Direction on the plan, in the room's own axes. */
const towards = (turnDeg: number): Vector => [Math.sin(turnDeg * RAD), Math.cos(turnDeg * RAD), 0]

export const scaled = ([x, y, z]: Vector, by: number): Vector =>
  finiteAll([x * by, y * by, z * by] as const, 'a vector')
export const plus = (p: Vector, q: Vector): Vector =>
  finiteAll([p[0] + q[0], p[1] + q[1], p[2] + q[2]] as const, 'a vector')
export const minus = (p: Vector, q: Vector): Vector =>
  finiteAll([p[0] - q[0], p[1] - q[1], p[2] - q[2]] as const, 'a vector')
export const dot = (p: Vector, q: Vector): number =>
  finite(p[0] * q[0] + p[1] * q[1] + p[2] * q[2], 'a product of vectors')

/** The window that a room is lit by: its largest upright one, else its largest. */
export function mainWindow(room: LitRoom): RoomWindow | null {
  const { windows } = checkedRoom(room)
  const upright = windows.filter(({ pitchDeg }) => pitchDeg === 90)
  return (upright.length > 0 ? upright : windows).reduce<RoomWindow | null>(
    (p, q) => (p && p.widthMm * p.heightMm >= q.widthMm * q.heightMm ? p : q),
    null,
  )
}

/**
 * Where a spot lies in a room and which way the sample faces. Depth runs from the main window's wall to the one
 * opposite; without a window from the north.
 */
export function placeSpot(room: LitRoom, { plane, depth }: Spot): PlacedSpot {
  const facing = mainWall(checkedRoom(room))
  const reach = Math.max(0, toWallMm(room, facing) - FROM_WALL_MM)
  const along = { window: reach, middle: 0, back: -reach, lamp: 0 }[depth]
  const onFloor: Vector = depth === 'lamp' ? lampFoot(room) : scaled(towards(turnOf(facing)), along)
  if (plane === 'flat') return { at: atHeight(onFloor, TABLE_HEIGHT_MM), normal: [0, 0, 1] }
  if (plane === 'tilted') {
    const [east, north] = scaled(towards(turnOf(facing)), Math.SQRT1_2)
    return { at: atHeight(onFloor, TABLE_HEIGHT_MM), normal: [east, north, Math.SQRT1_2] }
  }
  const outwards = towards(turnOf(plane))
  // On the wall, as far along it as the spot is deep; beside the window on its own wall.
  const across = dot(onFloor, outwards)
  const base = plus(onFloor, scaled(outwards, toWallMm(room, plane) - OFF_WALL_MM - across))
  const aside = plane === facing ? besideWindow(room, facing) : ([0, 0, 0] as const)
  return {
    at: plus(atHeight(base, Math.min(EYE_HEIGHT_MM, room.heightMm / 2)), aside),
    normal: scaled(outwards, -1),
  }
}

const atHeight = ([east, north]: Vector, up: number): Vector => [east, north, up]

/** Halfway between the middle of the window's wall and its corner, where there is wall. */
function besideWindow(room: LitRoom, facing: WallName): Vector {
  return scaled(towards(turnOf(facing) + 90), (wallWidthMm(room, facing) / 2) * (3 / 4))
}

/** The wall of the window that a room is lit by; north without a window. */
const mainWall = (room: LitRoom): WallName =>
  wallFacing(room, mainWindow(room)?.bearingDeg ?? room.northDeg ?? 0)

/** Under the room's first lamp that has a place. */
function lampFoot(room: LitRoom): Vector {
  const lamp = room.lamps.find(({ place }) => place !== 'strip')
  return lamp ? lampAt(room, lamp) : [0, 0, 0]
}

/** Where a lamp hangs or stands; downlights count as one over the middle. */
export function lampAt(room: LitRoom, { place }: RoomLamp): Vector {
  checkedRoom(room)
  if (place === 'table') {
    const facing = mainWall(room)
    const back = scaled(towards(turnOf(facing) + 180), toWallMm(room, facing) * 0.6)
    const side = scaled(towards(turnOf(facing) + 90), (wallWidthMm(room, facing) / 2) * 0.6)
    return atHeight(plus(back, side), Math.min(1200, room.heightMm / 2))
  }
  const drop = { pendant: 600, downlights: 50, strip: 100 }[place]
  return [0, 0, room.heightMm - Math.min(drop, room.heightMm / 3)]
}

/** A patch of a window as a light source. */
export interface Pane {
  readonly at: Vector
  /** Inwards. */
  readonly normal: Vector
  readonly areaMm2: number
  readonly transmittance: number
  readonly diffuses: boolean
}

const PANES_ACROSS = 4
const PANES_UP = 4

/** A window cut into patches; several in one wall stand beside one another. */
export function panesOf(room: LitRoom, window: RoomWindow): Pane[] {
  const { at, right, up, normal } = windowFrame(room, window)
  const transmittance =
    GLAZINGS[window.glazing].transmittance * CURTAINS[window.curtain].transmittance
  const { diffuses } = CURTAINS[window.curtain]
  const areaMm2 = (window.widthMm * window.heightMm) / (PANES_ACROSS * PANES_UP)
  return Array.from({ length: PANES_ACROSS * PANES_UP }, (_, i) => {
    const x = ((i % PANES_ACROSS) + 0.5) / PANES_ACROSS - 0.5
    const y = (Math.floor(i / PANES_ACROSS) + 0.5) / PANES_UP - 0.5
    const offset = plus(scaled(right, x * window.widthMm), scaled(up, y * window.heightMm))
    return { at: plus(at, offset), normal, areaMm2, transmittance, diffuses }
  })
}

/** A window's middle, its directions across and up the glass, and inwards. */
export function windowFrame(
  room: LitRoom,
  window: RoomWindow,
): { readonly at: Vector; readonly right: Vector; readonly up: Vector; readonly normal: Vector } {
  checkedRoom(room)
  checkedWindow(window)
  const wall = wallFacing(room, window.bearingDeg)
  const outwards = towards(turnOf(wall))
  const right = towards(turnOf(wall) + 90)
  if (window.pitchDeg < 90) {
    const [sin, cos] = [Math.sin(window.pitchDeg * RAD), Math.cos(window.pitchDeg * RAD)]
    return {
      at: [0, 0, room.heightMm],
      right,
      up: plus(scaled(outwards, -cos), [0, 0, sin]),
      normal: plus(scaled(outwards, -sin), [0, 0, -cos]),
    }
  }
  const height = Math.min(window.sillMm + window.heightMm / 2, room.heightMm - window.heightMm / 2)
  return {
    at: plus(
      atHeight(scaled(outwards, toWallMm(room, wall)), height),
      scaled(right, alongWallMm(room, window)),
    ),
    right,
    up: [0, 0, 1],
    normal: scaled(outwards, -1),
  }
}
