import type { Vector } from '../light/spot'
import {
  across,
  isCovered,
  pointOn,
  ROOM_FACES,
  surfaceAt,
  type Face,
  type Opening,
  type Scene,
} from './scene'
import { sees } from './rays'
import type { Row } from './sparse'

/** A coarse piece of a room's surface, which sends back evenly what falls on it. */
export interface Tile {
  readonly surface: number
  readonly face: Face
  /** How much of its rectangle is seen, 0 to 1. */
  readonly whole: number
  /** What of it is seen: neither covered by what stands there nor an opening, square metres. */
  readonly areaM2: number
  /** Points spread over what is seen of it. */
  readonly points: readonly Vector[]
  /** How much of it each material is, by its number; together 1. */
  readonly shares: ReadonlyMap<number, number>
}

/** About how many tiles a room is cut into. */
const USUAL_TILES = 130

/** A room cut into tiles, and how they see each other. */
export interface Tiles {
  readonly tiles: readonly Tile[]
  /**
   * View factors, row by row: what share of what tile i sends out reaches tile j; after the tiles come the openings, which
   * send nothing back. Reciprocal (areaᵢ Fᵢⱼ = areaⱼ Fⱼᵢ), and every row sums to 1.
   */
  readonly factors: Float64Array
  /** Tiles and openings. */
  readonly count: number
  /** The furthest that a row was from 1 before it was made so. */
  readonly worstRow: number
}

const MM2_PER_M2 = 1e6
/** Points of a tile, across and down. */
export const POINTS_ACROSS = 8

/** Cuts a room into tiles, about so many, and finds their view factors. */
export function tilesOf(scene: Scene, wanted = USUAL_TILES): Tiles {
  const solid = scene.surfaces.filter(({ of }) => of !== 'zone')
  const area = solid.reduce((sum, face) => sum + areaOf(face), 0)
  const sideMm = Math.sqrt(area / wanted)
  const tiles: Tile[] = []
  scene.surfaces.forEach((surface, index) => {
    if (surface.of === 'zone') return
    const [nu, nv] = [0, 1].map((k) =>
      Math.max(1, Math.round((surface.hi[k]! - surface.lo[k]!) / sideMm)),
    ) as [number, number]
    for (let v = 0; v < nv; v++)
      for (let u = 0; u < nu; u++) {
        const tile = tileOf(scene, index, [u / nu, v / nv], [(u + 1) / nu, (v + 1) / nv])
        if (tile) tiles.push(tile)
      }
  })
  return { tiles, ...factorsOf(scene, tiles) }
}

const areaOf = ({ lo, hi }: Face): number => (hi[0] - lo[0]) * (hi[1] - lo[1])

// The recurrence of Martin Roberts in two dimensions: evenly spread, and no edge of a shadow meets a row of points at once.
const SPREAD = [0.7548776662466927, 0.5698402909980532] as const

function tileOf(
  scene: Scene,
  index: number,
  from: readonly [number, number],
  to: readonly [number, number],
): Tile | null {
  const face = scene.surfaces[index]!
  const [width, height] = [face.hi[0] - face.lo[0], face.hi[1] - face.lo[1]]
  const points: Vector[] = []
  const shares = new Map<number, number>()
  for (let n = 0; n < POINTS_ACROSS ** 2; n++) {
    const [u, v] = SPREAD.map((step) => (0.5 + n * step) % 1) as [number, number]
    const a = face.lo[0] + width * (from[0] + u * (to[0] - from[0]))
    const b = face.lo[1] + height * (from[1] + v * (to[1] - from[1]))
    if (face.of === 'room' && (isCovered(scene, face, a, b) || openingAt(scene, index, a, b) >= 0))
      continue
    points.push(pointOn(face, a, b))
    const { material } = scene.surfaces[face.of === 'room' ? surfaceAt(scene, index, a, b) : index]!
    shares.set(material, (shares.get(material) ?? 0) + 1)
  }
  if (points.length === 0) return null
  for (const [material, times] of shares) shares.set(material, times / points.length)
  const rectangle: Face = {
    ...{ axis: face.axis, facing: face.facing, at: face.at },
    lo: [face.lo[0] + width * from[0], face.lo[1] + height * from[1]],
    hi: [face.lo[0] + width * to[0], face.lo[1] + height * to[1]],
  }
  return {
    ...{ surface: index, face: rectangle, points, shares },
    whole: points.length / POINTS_ACROSS ** 2,
    areaM2: (areaOf(rectangle) * points.length) / POINTS_ACROSS ** 2 / MM2_PER_M2,
  }
}

/** The opening at a place of a face of the room, or −1. */
const openingAt = (scene: Scene, face: number, a: number, b: number): number =>
  scene.openingsOn[face]!.find((i) => {
    const { lo, hi } = scene.openings[i]!
    return a >= lo[0] && a <= hi[0] && b >= lo[1] && b <= hi[1]
  }) ?? -1

const POINTS_A_FACTOR = 9
const ROUNDS = 60

function factorsOf(
  scene: Scene,
  tiles: readonly Tile[],
): Pick<Tiles, 'factors' | 'count' | 'worstRow'> {
  const openings = scene.openings.map((opening) => openingFace(scene, opening))
  const count = tiles.length + openings.length
  const factors = new Float64Array(count * count)
  tiles.forEach(({ face: { axis, facing }, points }, i) => {
    const some = Math.min(POINTS_A_FACTOR, points.length)
    // The first of them are spread as evenly as all.
    for (const at of points.slice(0, some))
      for (const [j, factor] of factorsAt(scene, tiles, at, axis, facing))
        factors[i * count + j]! += factor / some
  })
  const areas = [
    ...tiles.map(({ areaM2 }) => areaM2),
    ...openings.map((face) => areaOf(face) / MM2_PER_M2),
  ]
  // What an opening gets from a tile is what the tile sends it; it sees no other opening of its own wall.
  for (let i = tiles.length; i < count; i++) {
    for (let j = 0; j < tiles.length; j++)
      factors[i * count + j] = (areas[j]! * factors[j * count + i]!) / areas[i]!
    for (let k = tiles.length; k < count; k++)
      if (k !== i)
        factors[i * count + k] = factorOnto(
          openings[i - tiles.length]!,
          openings[k - tiles.length]!,
        )
  }
  return { factors, count, worstRow: balance(factors, areas) }
}

/** Where an opening lies, as a face. */
const openingFace = (scene: Scene, { face, lo, hi }: Opening): Face => {
  const { axis, facing, at } = scene.surfaces[ROOM_FACES.indexOf(face)]!
  return { axis, facing, at, lo, hi }
}

const ACROSS = 6

/** Mean view factor from one rectangle to another with nothing between. */
function factorOnto(from: Face, to: Face): number {
  let sum = 0
  for (let n = 0; n < ACROSS ** 2; n++) {
    const a = from.lo[0] + ((from.hi[0] - from.lo[0]) * ((n % ACROSS) + 0.5)) / ACROSS
    const b = from.lo[1] + ((from.hi[1] - from.lo[1]) * (Math.floor(n / ACROSS) + 0.5)) / ACROSS
    sum += pointFactor(pointOn(from, a, b), from.axis, from.facing, to)
  }
  return sum / ACROSS ** 2
}

// So many lines to a tile say how much of it is hidden.
const LINES = [0.1, 0.37, 0.63, 0.9]

/** From where a point gets light: the view factor of each tile and, after them, each opening, as much of it as is seen. */
export function factorsAt(
  scene: Scene,
  tiles: readonly Tile[],
  at: Vector,
  axis: 0 | 1 | 2,
  facing: 1 | -1,
): Row {
  const row: Row = new Map()
  tiles.forEach(({ face, whole, points }, j) => {
    const factor = pointFactor(at, axis, facing, face) * whole
    if (factor === 0) return
    const seen = LINES.filter((share) =>
      sees(scene, at, points[Math.floor(share * points.length)]!),
    ).length
    if (seen > 0) row.set(j, (factor * seen) / LINES.length)
  })
  scene.openings.forEach((opening, o) => {
    const face = openingFace(scene, opening)
    const factor = pointFactor(at, axis, facing, face)
    if (factor === 0) return
    const corners = [0.2, 0.8].flatMap((u) => [0.2, 0.8].map((v) => [u, v] as const))
    const seen = corners.filter(([u, v]) =>
      sees(
        scene,
        at,
        pointOn(
          face,
          face.lo[0] + u * (face.hi[0] - face.lo[0]),
          face.lo[1] + v * (face.hi[1] - face.lo[1]),
        ),
      ),
    ).length
    if (seen > 0) row.set(tiles.length + o, (factor * seen) / corners.length)
  })
  return row
}

/**
 * View factor from a small piece of surface to a rectangle that it sees whole: Lambert's sum over the rectangle's edges, as
 * in Howell's catalogue (differential element to polygon). What lies behind the piece is cut off first.
 */
export function pointFactor(at: Vector, axis: 0 | 1 | 2, facing: 1 | -1, face: Face): number {
  // The rectangle has to look at the piece.
  if (face.facing * (at[face.axis] - face.at) <= 0) return 0
  const lo = [...face.lo] as [number, number]
  const hi = [...face.hi] as [number, number]
  if (axis === face.axis) {
    if (facing * (face.at - at[axis]) <= 0) return 0
  } else {
    const i = across(face.axis).indexOf(axis)
    if (facing === 1) lo[i] = Math.max(lo[i]!, at[axis])
    else hi[i] = Math.min(hi[i]!, at[axis])
    if (hi[i]! - lo[i]! <= 0) return 0
  }
  let sum = 0
  const corner = (n: number): [number, number, number] => {
    const [x, y, z] = pointOn(face, n === 0 || n === 3 ? lo[0] : hi[0], n < 2 ? lo[1] : hi[1])
    const d: [number, number, number] = [x - at[0], y - at[1], z - at[2]]
    const length = Math.hypot(...d)
    return [d[0] / length, d[1] / length, d[2] / length]
  }
  let [ax, ay, az] = corner(3)
  for (let n = 0; n < 4; n++) {
    const [bx, by, bz] = corner(n)
    const cross =
      axis === 0 ? ay * bz - az * by : axis === 1 ? az * bx - ax * bz : ax * by - ay * bx
    const sine = Math.hypot(ay * bz - az * by, az * bx - ax * bz, ax * by - ay * bx)
    const angle = Math.atan2(sine, ax * bx + ay * by + az * bz)
    if (sine > 1e-12) sum += (cross / sine) * angle
    ax = bx
    ay = by
    az = bz
  }
  return Math.abs(sum) / (2 * Math.PI)
}

/**
 * Makes view factors reciprocal, and their rows sum to 1, by factors on both sides of each exchange.
 *
 * @returns how far the worst row was from 1 once they were reciprocal
 */
function balance(factors: Float64Array, areas: readonly number[]): number {
  const count = areas.length
  for (let i = 0; i < count; i++)
    for (let j = 0; j <= i; j++) {
      const exchange =
        (areas[i]! * factors[i * count + j]! + areas[j]! * factors[j * count + i]!) / 2
      factors[i * count + j] = exchange
      factors[j * count + i] = exchange
    }
  let worst = 0
  for (let round = 0; round < ROUNDS; round++) {
    const scale = areas.map((area, i) => {
      let sum = 0
      for (let j = 0; j < count; j++) sum += factors[i * count + j]!
      if (round === 0) worst = Math.max(worst, Math.abs(sum / area - 1))
      return sum > 0 ? Math.sqrt(area / sum) : 1
    })
    for (let i = 0; i < count; i++)
      for (let j = 0; j < count; j++) factors[i * count + j]! *= scale[i]! * scale[j]!
  }
  for (let i = 0; i < count; i++)
    for (let j = 0; j < count; j++) factors[i * count + j]! /= areas[i]!
  return worst
}
