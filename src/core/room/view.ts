import { CURTAINS, OPPOSITES } from '../light/fittings'
import { profileDeg } from '../light/sky-vault'
import type { Vector } from '../light/spot'
import { viewOf } from '../light/window-light'
import { SHOWN } from './openings-light'
import type { RoomModel } from './model'
import { cast, newHit, newRay } from './rays'
import type { Scene } from './scene'
import { frameOf, type Viewpoint } from './viewpoints'

/** A room in view: the one that is looked at from within, or one beyond a doorway. */
export interface RoomInView {
  readonly model: RoomModel
  /** Where its middle lies, from the middle of the first. */
  readonly offset: Vector
  /** By opening that is a doorway: the room in view beyond it, by its number; null where none is known. */
  readonly beyond: readonly (number | null)[]
  /** By material: its parts, where it has several. */
  readonly patterns: readonly (Pattern | null)[]
}

/** Colours that lie beside each other on one finish. */
export interface Pattern {
  /** How much of it each part is; together 1. */
  readonly shares: readonly number[]
  /** In flecks, as stone is; board by board; or in stripes. */
  readonly lie: 'flecks' | 'boards' | 'stripes'
}

/** What each pixel of a view shows, before any light: found once a view. */
export interface PictureMap {
  readonly width: number
  readonly height: number
  readonly rooms: readonly RoomInView[]
  /** Number of the room in view. */
  readonly room: Uint8Array
  /** Its surface; OUTSIDE where it is an opening, LAMP where it is a lamp. */
  readonly surface: Int16Array
  /** Of its surface the first of the four points around it, and its shares between them; of an opening or a lamp its number. */
  readonly point: Int32Array
  readonly u: Float32Array
  readonly v: Float32Array
  /** Which part of its finish; of an opening what it shows there, as SEEN_OUTSIDE. */
  readonly part: Uint8Array
  /** Where it lies in its room, three numbers; of the sky, the number of its part of the sky. */
  readonly place: Float32Array
}

export const OUTSIDE = -1
export const LAMP = -2

/** What an opening shows: the ground, what stands opposite, a curtain, nothing, or the sky. */
export const SEEN_OUTSIDE = [...SHOWN, 'nothing', 'sky'] as const

// The sky is drawn in parts of so many degrees.
const SKY_DEG = 3
const SKY_ACROSS = 360 / SKY_DEG

/** The middle of a part of the sky. */
export const skyPart = (
  part: number,
): { readonly altitudeDeg: number; readonly azimuthDeg: number } => ({
  altitudeDeg: (Math.floor(part / SKY_ACROSS) + 0.5) * SKY_DEG,
  azimuthDeg: ((part % SKY_ACROSS) + 0.5) * SKY_DEG,
})

const RAD = Math.PI / 180
const MOST_ROOMS = 3

/** Follows a line of sight through every pixel of a picture. */
export function mapOf(
  rooms: readonly RoomInView[],
  viewpoint: Viewpoint,
  width: number,
  height: number,
): PictureMap {
  const pixels = width * height
  const map = {
    ...{ width, height, rooms },
    room: new Uint8Array(pixels),
    surface: new Int16Array(pixels),
    point: new Int32Array(pixels),
    u: new Float32Array(pixels),
    v: new Float32Array(pixels),
    part: new Uint8Array(pixels),
    place: new Float32Array(pixels * 3),
  }
  const { ahead, right, up, wide } = frameOf(viewpoint)
  const [ray, hit] = [newRay(), newHit()]
  const [ex, ey, ez] = viewpoint.at
  for (let row = 0; row < height; row++) {
    const y = ((1 - ((row + 0.5) / height) * 2) * wide * height) / width
    for (let column = 0; column < width; column++) {
      const x = (((column + 0.5) / width) * 2 - 1) * wide
      const dx = ahead[0] + x * right[0] + y * up[0]
      const dy = ahead[1] + x * right[1] + y * up[1]
      const dz = ahead[2] + x * right[2] + y * up[2]
      const length = Math.sqrt(dx * dx + dy * dy + dz * dz)
      ray.ox = ex
      ray.oy = ey
      ray.oz = ez
      ray.dx = dx / length
      ray.dy = dy / length
      ray.dz = dz / length
      follow(map, row * width + column, ray, hit)
    }
  }
  return map
}

/** Follows one line of sight, through doorways into the rooms beyond. */
function follow(
  map: PictureMap,
  pixel: number,
  ray: ReturnType<typeof newRay>,
  hit: ReturnType<typeof newHit>,
): void {
  let at = 0
  for (let passed = 0; ; passed++) {
    const { model, offset, beyond } = map.rooms[at]!
    cast(model.scene, ray, hit)
    const next = hit.opening >= 0 && passed < MOST_ROOMS ? (beyond[hit.opening] ?? null) : null
    if (next === null) break
    const to = map.rooms[next]!.offset
    // A hair beyond the door, in the axes of the next room.
    ray.ox += (hit.t + 1) * ray.dx + offset[0] - to[0]
    ray.oy += (hit.t + 1) * ray.dy + offset[1] - to[1]
    ray.oz += (hit.t + 1) * ray.dz + offset[2] - to[2]
    at = next
  }
  map.room[pixel] = at
  map.surface[pixel] = hit.surface
  const { model, patterns } = map.rooms[at]!
  const lamp = lampBefore(model.scene, ray, hit.t)
  if (lamp >= 0) {
    map.surface[pixel] = LAMP
    map.point[pixel] = lamp
    return
  }
  if (hit.opening >= 0) {
    map.point[pixel] = hit.opening
    const [seen, part] = seenThrough(model.scene, hit.opening, [ray.dx, ray.dy, ray.dz])
    map.part[pixel] = SEEN_OUTSIDE.indexOf(seen)
    map.place[pixel * 3] = part
    return
  }
  const x = ray.ox + hit.t * ray.dx
  const y = ray.oy + hit.t * ray.dy
  const z = ray.oz + hit.t * ray.dz
  map.place[pixel * 3] = x
  map.place[pixel * 3 + 1] = y
  map.place[pixel * 3 + 2] = z
  const { axis, lo, hi, material } = model.scene.surfaces[hit.surface]!
  const { nu, nv, first } = model.lattices[hit.surface]!
  const a = axis === 0 ? y : x
  const b = axis === 2 ? y : z
  const u = shareOf(a, lo[0], hi[0]) * (nu - 1)
  const v = shareOf(b, lo[1], hi[1]) * (nv - 1)
  const cu = Math.min(nu - 2, Math.floor(u))
  const cv = Math.min(nv - 2, Math.floor(v))
  map.point[pixel] = first + cv * nu + cu
  map.u[pixel] = u - cu
  map.v[pixel] = v - cv
  const pattern = patterns[material]
  if (pattern) map.part[pixel] = partAt(pattern, a, b)
}

const shareOf = (value: number, lo: number, hi: number): number =>
  Math.min(1, Math.max(0, (value - lo) / (hi - lo)))

/** What an opening shows in a direction, and which part of the sky. */
function seenThrough(
  { room, openings }: Scene,
  opening: number,
  [dx, dy, dz]: Vector,
): [seen: (typeof SEEN_OUTSIDE)[number], part: number] {
  const { window } = openings[opening]!
  if (!window) return ['nothing', 0]
  if (CURTAINS[window.curtain].diffuses) return ['glow', 0]
  if (dz <= 0) return ['ground', 0]
  const altitudeDeg = Math.asin(dz) / RAD
  const azimuthDeg = (Math.atan2(dx, dy) / RAD + (room.northDeg ?? 0) + 360) % 360
  const { hiddenBelowDeg, hiddenAboveDeg } = viewOf(window)
  const profile = profileDeg(altitudeDeg, azimuthDeg, window.bearingDeg)
  if (hiddenBelowDeg > 0 && OPPOSITES[window.opposite].lab && profile < hiddenBelowDeg)
    return ['opposite', 0]
  if (window.pitchDeg === 90 && profile > hiddenAboveDeg) return ['nothing', 0]
  const row = Math.min(90 / SKY_DEG - 1, Math.floor(altitudeDeg / SKY_DEG))
  return ['sky', row * SKY_ACROSS + (Math.floor(azimuthDeg / SKY_DEG) % SKY_ACROSS)]
}

const LAMP_MM: Readonly<Record<string, number>> = { pendant: 130, table: 140 }
const SMALL_LAMP_MM = 60

/** The lamp that a line of sight meets before anything else, or −1. */
function lampBefore(
  { lamps }: Scene,
  { ox, oy, oz, dx, dy, dz }: ReturnType<typeof newRay>,
  before: number,
): number {
  return lamps.findIndex(({ at, lamp }) => {
    const [x, y, z] = at
    const along = (x - ox) * dx + (y - oy) * dy + (z - oz) * dz
    if (along <= 0 || along > before) return false
    const square = (x - ox) ** 2 + (y - oy) ** 2 + (z - oz) ** 2 - along ** 2
    return square < (LAMP_MM[lamp.place] ?? SMALL_LAMP_MM) ** 2
  })
}

const FLECK_MM = 55
const STRIPE_MM = 420
const BOARD_MM = [140, 1400] as const

function partAt({ shares, lie }: Pattern, a: number, b: number): number {
  let at =
    lie === 'flecks'
      ? fleck(a, b)
      : lie === 'boards'
        ? board(a, b)
        : (((a % STRIPE_MM) + STRIPE_MM) % STRIPE_MM) / STRIPE_MM
  for (let part = 0; part < shares.length; part++) {
    at -= shares[part]!
    if (at < 0) return part
  }
  return shares.length - 1
}

/** A number from 0 to 1 that is the same all over a fleck. */
function fleck(a: number, b: number): number {
  // Rows are set off against each other, and edges wander: no chequerboard.
  const y = Math.floor((b + 14 * Math.sin(a / 90)) / FLECK_MM)
  const x = Math.floor((a + 14 * Math.sin(b / 70) + (y % 2) * 27) / FLECK_MM)
  return hashed(x, y)
}

/** The same of a floor board; every other row is set off by half a board. */
function board(a: number, b: number): number {
  const row = Math.floor(b / BOARD_MM[0])
  return hashed(Math.floor((a + (row % 2) * (BOARD_MM[1] / 2)) / BOARD_MM[1]), row)
}

function hashed(x: number, y: number): number {
  let hash = Math.imul(x, 374_761_393) ^ Math.imul(y, 668_265_263)
  hash = Math.imul(hash ^ (hash >>> 13), 1_274_126_177)
  return ((hash ^ (hash >>> 16)) >>> 0) / 2 ** 32
}
