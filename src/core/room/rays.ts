import type { Vector } from '../light/spot'
import { surfaceAt, type Scene } from './scene'

/** Where a ray ends. */
export interface Hit {
  /** How far it went, millimetres where the direction is a unit vector. */
  t: number
  /** The surface it met; −1 where it left through an opening. */
  surface: number
  /** The opening it left through, else −1. */
  opening: number
}

/** From where, and in which direction; written anew for every ray. */
export interface Ray {
  ox: number
  oy: number
  oz: number
  dx: number
  dy: number
  dz: number
}

export const newRay = (): Ray => ({ ox: 0, oy: 0, oz: 0, dx: 0, dy: 0, dz: 1 })
export const newHit = (): Hit => ({ t: 0, surface: -1, opening: -1 })

/** Follows a ray from a point of the room to what it meets first. Writes into `hit`. */
export function cast(scene: Scene, ray: Readonly<Ray>, hit: Hit): void {
  const { boxes, boxSurfaces, size } = scene
  const { ox, oy, oz, dx, dy, dz } = ray
  // The wall, floor or ceiling ahead.
  const tx = dx > 0 ? (size[0] / 2 - ox) / dx : dx < 0 ? (-size[0] / 2 - ox) / dx : Infinity
  const ty = dy > 0 ? (size[1] / 2 - oy) / dy : dy < 0 ? (-size[1] / 2 - oy) / dy : Infinity
  const tz = dz > 0 ? (size[2] - oz) / dz : dz < 0 ? -oz / dz : Infinity
  let t = Math.min(tx, ty, tz)
  const face = t === tx ? (dx > 0 ? 0 : 1) : t === ty ? (dy > 0 ? 2 : 3) : dz > 0 ? 5 : 4
  let box = -1
  let boxFace = 0
  for (let b = 0, at = 0; at < boxes.length; b++, at += 6) {
    // Kay and Kajiya's slabs.
    const x1 = (boxes[at]! - ox) / dx
    const x2 = (boxes[at + 3]! - ox) / dx
    const y1 = (boxes[at + 1]! - oy) / dy
    const y2 = (boxes[at + 4]! - oy) / dy
    const z1 = (boxes[at + 2]! - oz) / dz
    const z2 = (boxes[at + 5]! - oz) / dz
    const nearX = dx === 0 ? outsideSlab(ox, boxes[at]!, boxes[at + 3]!) : Math.min(x1, x2)
    const nearY = dy === 0 ? outsideSlab(oy, boxes[at + 1]!, boxes[at + 4]!) : Math.min(y1, y2)
    const nearZ = dz === 0 ? outsideSlab(oz, boxes[at + 2]!, boxes[at + 5]!) : Math.min(z1, z2)
    const near = Math.max(nearX, nearY, nearZ)
    const far = Math.min(
      dx === 0 ? Infinity : Math.max(x1, x2),
      dy === 0 ? Infinity : Math.max(y1, y2),
      dz === 0 ? Infinity : Math.max(z1, z2),
    )
    if (near > 1e-6 && near < far && near < t) {
      t = near
      box = b
      boxFace =
        near === nearX ? (dx > 0 ? 1 : 0) : near === nearY ? (dy > 0 ? 3 : 2) : dz > 0 ? 5 : 4
    }
  }
  hit.t = t
  hit.opening = -1
  if (box >= 0) {
    const surface = boxSurfaces[box * 6 + boxFace]!
    // A ray that grazes a hidden face came along the wall that hides it.
    hit.surface = surface < 0 ? face : surface
    return
  }
  const x = ox + t * dx
  const y = oy + t * dy
  const z = oz + t * dz
  const a = face < 2 ? y : x
  const b = face < 4 ? z : y
  for (const i of scene.openingsOn[face]!) {
    const { lo, hi } = scene.openings[i]!
    if (a >= lo[0] && a <= hi[0] && b >= lo[1] && b <= hi[1]) {
      hit.surface = -1
      hit.opening = i
      return
    }
  }
  hit.surface = surfaceAt(scene, face, a, b)
}

const outsideSlab = (at: number, lo: number, hi: number): number =>
  at >= lo && at <= hi ? -Infinity : Infinity

/** Whether nothing stands between two points of the room. */
export function sees(
  { boxes }: Pick<Scene, 'boxes'>,
  [ox, oy, oz]: Vector,
  [px, py, pz]: Vector,
): boolean {
  const [dx, dy, dz] = [px - ox, py - oy, pz - oz]
  for (let at = 0; at < boxes.length; at += 6) {
    let near = 1e-6
    let far = 1 - 1e-6
    for (let axis = 0; axis < 3; axis++) {
      const o = axis === 0 ? ox : axis === 1 ? oy : oz
      const d = axis === 0 ? dx : axis === 1 ? dy : dz
      const lo = boxes[at + axis]!
      const hi = boxes[at + 3 + axis]!
      if (d === 0) {
        if (o <= lo || o >= hi) far = -1
        continue
      }
      const p = (lo - o) / d
      const q = (hi - o) / d
      near = Math.max(near, Math.min(p, q))
      far = Math.min(far, Math.max(p, q))
    }
    if (near < far) return false
  }
  return true
}
