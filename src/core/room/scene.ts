import { finiteAll } from '../check'
import { checkedRoom } from '../light/checked'
import type { LitRoom, RoomLamp, RoomWindow } from '../light/room'
import { lampAt, windowFrame, type Vector } from '../light/spot'
import { wallFacing, wallWidthMm } from '../light/walls'

/** A direction of the room: 0 east, 1 north, 2 up. */
export type Axis = 0 | 1 | 2

/** A rectangle square to the room, seen from one side. Millimetres from the middle of the floor. */
export interface Face {
  /** Which way it looks: along an axis, up it (1) or down it (−1). */
  readonly axis: Axis
  readonly facing: 1 | -1
  /** Where it lies on that axis. */
  readonly at: number
  /** Its corners on the two other axes, in their order. */
  readonly lo: readonly [number, number]
  readonly hi: readonly [number, number]
}

/** A face with one finish. */
export interface Surface extends Face {
  readonly name: string
  /** What it is made of: a number into the materials. */
  readonly material: number
  readonly of: 'room' | 'zone' | 'body'
}

/** A plain box that stands in the room. */
export interface Body {
  readonly name: string
  readonly material: number
  readonly lo: Vector
  readonly hi: Vector
}

/** A part of a wall, the floor or the ceiling with a finish of its own. */
export interface Zone {
  readonly name: string
  readonly material: number
  readonly on: RoomFace
  readonly lo: readonly [number, number]
  readonly hi: readonly [number, number]
}

/** A window, or a doorway that stands open. */
export interface Opening {
  readonly face: RoomFace
  readonly lo: readonly [number, number]
  readonly hi: readonly [number, number]
  /** Null for a doorway. */
  readonly window: RoomWindow | null
}

export interface HungLamp {
  readonly lamp: RoomLamp
  readonly at: Vector
}

export const ROOM_FACES = ['east', 'west', 'north', 'south', 'floor', 'ceiling'] as const
export type RoomFace = (typeof ROOM_FACES)[number]

/** What each face of the room is made of, by its number; what stands and hangs in it. */
export interface Furnished {
  readonly materials: Readonly<Record<RoomFace, number>>
  readonly bodies: readonly Body[]
  readonly zones: readonly Zone[]
  readonly doorways: readonly Omit<Opening, 'window'>[]
  /** Where lamps hang that somebody has placed; others as their kind does. */
  readonly lampsAt?: readonly (Vector | null)[]
}

/** A room and what stands in it, as rectangles. */
export interface Scene {
  readonly room: LitRoom
  /** Width east to west, depth north to south, height. */
  readonly size: Vector
  /** First the six of the room, as ROOM_FACES; then zones; then what shows of bodies. */
  readonly surfaces: readonly Surface[]
  readonly openings: readonly Opening[]
  readonly bodies: readonly Body[]
  readonly lamps: readonly HungLamp[]
  /** For rays: of each body lo and hi, six numbers. */
  readonly boxes: Float64Array
  /** For rays: the surface of each body's six faces (east, west, north, south, top, bottom), −1 where it is hidden. */
  readonly boxSurfaces: Int32Array
  /** By face of the room: the zones and openings on it. */
  readonly zonesOn: readonly (readonly number[])[]
  readonly openingsOn: readonly (readonly number[])[]
}

/** The two axes across a face. */
export const across = (axis: Axis): readonly [Axis, Axis] =>
  axis === 0 ? [1, 2] : axis === 1 ? [0, 2] : [0, 1]

// Nearer than this to a wall a thing stands at it: nothing is seen in between.
const FLUSH_MM = 30

/** The face of a room by its name. */
export function roomFace([width, depth, height]: Vector, name: RoomFace): Face {
  finiteAll([width, depth, height], "a room's size")
  const [x, y] = [width / 2, depth / 2]
  switch (name) {
    case 'east':
    case 'west':
      return {
        ...(name === 'east' ? { facing: -1, at: x } : { facing: 1, at: -x }),
        ...{ axis: 0, lo: [-y, 0], hi: [y, height] },
      } as Face
    case 'north':
    case 'south':
      return {
        ...(name === 'north' ? { facing: -1, at: y } : { facing: 1, at: -y }),
        ...{ axis: 1, lo: [-x, 0], hi: [x, height] },
      } as Face
    case 'floor':
      return { axis: 2, facing: 1, at: 0, lo: [-x, -y], hi: [x, y] }
    case 'ceiling':
      return { axis: 2, facing: -1, at: height, lo: [-x, -y], hi: [x, y] }
  }
}

/** The opening that a window is in its wall; a roof window lies in the ceiling. */
export function openingOf(room: LitRoom, window: RoomWindow): Opening {
  const size: Vector = [room.eastWestMm, room.northSouthMm, room.heightMm]
  if (window.pitchDeg < 90) {
    const wall = wallFacing(room, window.bearingDeg)
    const alongEast = wall === 'north' || wall === 'south'
    const half = [window.widthMm / 2, window.heightMm / 2] as const
    const [x, y] = alongEast ? half : ([half[1], half[0]] as const)
    const most = [size[0] / 2 - FLUSH_MM, size[1] / 2 - FLUSH_MM] as const
    const roof = room.windows.filter(({ pitchDeg }) => pitchDeg < 90)
    // Several lie in a row, each in a part of the ceiling of its own.
    const part = 1 / Math.max(1, roof.length)
    const aside = (roof.indexOf(window) + 0.5) * part - 0.5
    const [w, d] = alongEast
      ? [Math.min(x, most[0] * part), Math.min(y, most[1])]
      : [Math.min(x, most[0]), Math.min(y, most[1] * part)]
    const [east, north] = alongEast ? [aside * size[0], 0] : [0, aside * size[1]]
    return { face: 'ceiling', lo: [east - w, north - d], hi: [east + w, north + d], window }
  }
  const wall = wallFacing(room, window.bearingDeg)
  const { at } = windowFrame(room, window)
  const middle = wall === 'east' || wall === 'west' ? at[1] : at[0]
  const width = Math.min(window.widthMm, wallWidthMm(room, wall) - 2 * FLUSH_MM)
  const height = Math.min(window.heightMm, room.heightMm - 2)
  const low = Math.max(1, at[2] - height / 2)
  return {
    face: wall,
    lo: [middle - width / 2, low],
    hi: [middle + width / 2, Math.min(room.heightMm - 1, low + height)],
    window,
  }
}

/** Puts a room together. What stands is cut to the room, and what stands at a wall stands at it. */
export function sceneOf(room: LitRoom, furnished: Furnished): Scene {
  checkedRoom(room)
  const size: Vector = [room.eastWestMm, room.northSouthMm, room.heightMm]
  const bodies = furnished.bodies.flatMap((body) => cutToRoom(body, size) ?? [])
  const surfaces: Surface[] = ROOM_FACES.map((name) => ({
    ...roomFace(size, name),
    ...{ name, material: furnished.materials[name], of: 'room' },
  }))
  const zonesOn: number[][] = ROOM_FACES.map(() => [])
  for (const zone of furnished.zones) {
    const on = roomFace(size, zone.on)
    const lo = zone.lo.map((v, i) => Math.max(v, on.lo[i]!)) as [number, number]
    const hi = zone.hi.map((v, i) => Math.min(v, on.hi[i]!)) as [number, number]
    if (hi[0] - lo[0] < 1 || hi[1] - lo[1] < 1) continue
    zonesOn[ROOM_FACES.indexOf(zone.on)]!.push(surfaces.length)
    surfaces.push({ ...on, lo, hi, name: zone.name, material: zone.material, of: 'zone' })
  }
  const boxes = new Float64Array(bodies.length * 6)
  const boxSurfaces = new Int32Array(bodies.length * 6).fill(-1)
  bodies.forEach((body, b) => {
    boxes.set([...body.lo, ...body.hi], b * 6)
    facesOf(body, size).forEach((face, f) => {
      if (!face) return
      boxSurfaces[b * 6 + f] = surfaces.length
      surfaces.push({ ...face, name: body.name, material: body.material, of: 'body' })
    })
  })
  const openings: Opening[] = [
    ...room.windows.map((window) => openingOf(room, window)),
    ...furnished.doorways.map((doorway) => ({ ...doorway, window: null })),
  ]
  return {
    ...{ room, size, surfaces, openings, bodies, boxes, boxSurfaces, zonesOn },
    lamps: room.lamps.map((lamp, i) => ({
      lamp,
      at: furnished.lampsAt?.[i] ?? lampAt(room, lamp),
    })),
    openingsOn: ROOM_FACES.map((name) =>
      openings.flatMap(({ face }, i) => (face === name ? [i] : [])),
    ),
  }
}

function cutToRoom(body: Body, [width, depth, height]: Vector): Body | null {
  const half = [width / 2, depth / 2]
  const lo = [...body.lo] as [number, number, number]
  const hi = [...body.hi] as [number, number, number]
  for (const axis of [0, 1] as const) {
    lo[axis] = Math.max(-half[axis]!, lo[axis])
    hi[axis] = Math.min(half[axis]!, hi[axis])
    if (lo[axis] < -half[axis]! + FLUSH_MM) lo[axis] = -half[axis]!
    if (hi[axis] > half[axis]! - FLUSH_MM) hi[axis] = half[axis]!
  }
  lo[2] = Math.max(0, lo[2])
  hi[2] = Math.min(height, hi[2])
  return lo.every((v, i) => hi[i]! - v >= 1) ? { ...body, lo, hi } : null
}

/** The faces of a body that show: not the one it stands on, nor those at a wall. */
function facesOf({ lo, hi }: Body, [width, depth, height]: Vector): (Face | null)[] {
  const face = (axis: Axis, facing: 1 | -1): Face => {
    const [a, b] = across(axis)
    return {
      ...{ axis, facing, at: facing === 1 ? hi[axis] : lo[axis] },
      ...{ lo: [lo[a], lo[b]], hi: [hi[a], hi[b]] },
    }
  }
  const isAt = (value: number, wall: number): boolean => Math.abs(value - wall) < 1
  return [
    isAt(hi[0], width / 2) ? null : face(0, 1),
    isAt(lo[0], -width / 2) ? null : face(0, -1),
    isAt(hi[1], depth / 2) ? null : face(1, 1),
    isAt(lo[1], -depth / 2) ? null : face(1, -1),
    isAt(hi[2], height) ? null : face(2, 1),
    isAt(lo[2], 0) ? null : face(2, -1),
  ]
}

/** The finish of a face of the room at a place on it: the last zone laid there, else its own. */
export function surfaceAt(
  { surfaces, zonesOn }: Scene,
  face: number,
  a: number,
  b: number,
): number {
  const zones = zonesOn[face]!
  for (let i = zones.length - 1; i >= 0; i--) {
    const { lo, hi } = surfaces[zones[i]!]!
    if (a >= lo[0] && a <= hi[0] && b >= lo[1] && b <= hi[1]) return zones[i]!
  }
  return face
}

/** A point of a face, by its place on it. */
export function pointOn({ axis, at }: Face, a: number, b: number): [number, number, number] {
  const [i, j] = across(axis)
  const point: [number, number, number] = [0, 0, 0]
  point[axis] = at
  point[i] = a
  point[j] = b
  return point
}

/** Whether a place on a face of the room lies behind or under a body that stands there. */
export function isCovered({ bodies }: Scene, face: Face, a: number, b: number): boolean {
  const [i, j] = across(face.axis)
  return bodies.some(
    ({ lo, hi }) =>
      Math.abs((face.facing === 1 ? lo : hi)[face.axis] - face.at) < 1 &&
      a > lo[i] &&
      a < hi[i] &&
      b > lo[j] &&
      b < hi[j],
  )
}
