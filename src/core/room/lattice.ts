import type { Vector } from '../light/spot'
import type { Receiver } from './openings-light'
import { across, isCovered, pointOn, type Scene, type Surface } from './scene'

/** A surface's points between which its light is drawn: rows of columns. */
export interface Lattice {
  /** Columns and rows of points; at least two each. */
  readonly nu: number
  readonly nv: number
  /** Number of its first point among all of the room's. */
  readonly first: number
}

const STEP_MM = 250
const MOST_POINTS = 2600
const INSET_MM = 4
const OFF_MM = 1

/** Lays points over every surface of a room. */
export function latticesOf(scene: Scene): { lattices: Lattice[]; receivers: Receiver[] } {
  const areaMm2 = scene.surfaces.reduce(
    (sum, { lo, hi }) => sum + (hi[0] - lo[0]) * (hi[1] - lo[1]),
    0,
  )
  const step = Math.max(STEP_MM, Math.sqrt(areaMm2 / MOST_POINTS))
  const receivers: Receiver[] = []
  const lattices = scene.surfaces.map((surface): Lattice => {
    const [nu, nv] = [0, 1].map(
      (i) => Math.max(1, Math.round((surface.hi[i]! - surface.lo[i]!) / step)) + 1,
    ) as [number, number]
    const first = receivers.length
    for (let v = 0; v < nv; v++)
      for (let u = 0; u < nu; u++)
        receivers.push(receiverAt(scene, surface, u / (nu - 1), v / (nv - 1)))
    return { nu, nv, first }
  })
  return { lattices, receivers }
}

/** A point of a surface by its shares of width and height: a hair before it, off its edges, out from under what stands there. */
function receiverAt(scene: Scene, surface: Surface, u: number, v: number): Receiver {
  const place = ([lo, hi]: readonly [number, number], share: number): number =>
    Math.min(hi - INSET_MM, Math.max(lo + INSET_MM, lo + share * (hi - lo)))
  let a = place([surface.lo[0], surface.hi[0]], u)
  let b = place([surface.lo[1], surface.hi[1]], v)
  if (surface.of !== 'body') [a, b] = uncovered(scene, surface, a, b)
  const at = pointOn(surface, a, b)
  at[surface.axis]! += surface.facing * OFF_MM
  const normal: [number, number, number] = [0, 0, 0]
  normal[surface.axis] = surface.facing
  return { at: at as Vector, normal: normal as Vector }
}

const BESIDE_MM = 15

/** The nearest place of a face of the room that no body covers; bodies may stand side by side. */
function uncovered(scene: Scene, face: Surface, a: number, b: number): [number, number] {
  const [i, j] = across(face.axis)
  let at: [number, number] = [a, b]
  for (let tries = 0; tries < scene.bodies.length && isCovered(scene, face, ...at); tries++) {
    const [p, q] = at
    const body = scene.bodies.find((each) => isCovered({ ...scene, bodies: [each] }, face, p, q))!
    const ways: [number, number][] = [
      [body.lo[i] - BESIDE_MM, q],
      [body.hi[i] + BESIDE_MM, q],
      [p, body.lo[j] - BESIDE_MM],
      [p, body.hi[j] + BESIDE_MM],
    ]
    const inside = ways.filter(
      ([x, y]) => x > face.lo[0] && x < face.hi[0] && y > face.lo[1] && y < face.hi[1],
    )
    const free = inside.filter(([x, y]) => !isCovered(scene, face, x, y))
    const apart = ([x, y]: [number, number]): number => Math.hypot(x - p, y - q)
    const nearest = (free.length > 0 ? free : inside).sort((m, n) => apart(m) - apart(n))[0]
    if (!nearest) break
    at = nearest
  }
  return at
}
