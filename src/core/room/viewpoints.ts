import type { Vector } from '../light/spot'
import { cast, newHit, newRay } from './rays'
import { pointOn, type Scene } from './scene'

/** From where a room is looked at, and to where. */
export interface Viewpoint {
  readonly name: string
  readonly at: Vector
  readonly to: Vector
}

const RAD = Math.PI / 180
const FIELD_DEG = 76

/** Where a look goes, what is right and up of it, and how wide it is: half of it, at one before the eye. */
export function frameOf({
  at,
  to,
}: Viewpoint): Record<'ahead' | 'right' | 'up', Vector> & { readonly wide: number } {
  const [x, y, z] = [to[0] - at[0], to[1] - at[1], to[2] - at[2]]
  const length = Math.hypot(x, y, z)
  const ahead: Vector = [x / length, y / length, z / length]
  const flat = Math.hypot(ahead[0], ahead[1])
  const right: Vector = [ahead[1] / flat, -ahead[0] / flat, 0]
  const up: Vector = [
    right[1] * ahead[2] - right[2] * ahead[1],
    right[2] * ahead[0] - right[0] * ahead[2],
    right[0] * ahead[1] - right[1] * ahead[0],
  ]
  return { ahead, right, up, wide: Math.tan((FIELD_DEG / 2) * RAD) }
}

const EYE_MM = 1600
const CORNER_MM = 450
const LOOKED_AT_MM = 1150

/** From where a room can be looked at: its corners, then its doorways; not from within what stands there. */
export function viewpointsOf(scene: Scene): Viewpoint[] {
  const [width, depth, height] = scene.size
  const eye = Math.min(EYE_MM, height * 0.7)
  const [x, y] = [
    Math.max(width / 2 - CORNER_MM, width / 4),
    Math.max(depth / 2 - CORNER_MM, depth / 4),
  ]
  const corners = (
    [
      ['south-west', -1, -1],
      ['south-east', 1, -1],
      ['north-east', 1, 1],
      ['north-west', -1, 1],
    ] as const
  ).map(([name, east, north]): Viewpoint => ({
    name: `from the ${name} corner`,
    at: [east * x, north * y, eye],
    to: [-east * width * 0.3, -north * depth * 0.3, Math.min(LOOKED_AT_MM, eye)],
  }))
  const doors = scene.openings.flatMap((opening): Viewpoint[] => {
    if (opening.window) return []
    const face = scene.surfaces.find(({ name, of }) => of === 'room' && name === opening.face)!
    const at = pointOn(face, (opening.lo[0] + opening.hi[0]) / 2, eye)
    at[face.axis]! += face.facing * CORNER_MM
    const to: Vector = [-at[0] * 0.4, -at[1] * 0.4, Math.min(LOOKED_AT_MM, eye)]
    return [{ name: `from the doorway in the ${opening.face} wall`, at, to }]
  })
  const free = [...corners, ...doors].filter(({ at }) =>
    scene.bodies.every(({ lo, hi }) => at.some((v, i) => v < lo[i]! - 50 || v > hi[i]! + 50)),
  )
  const some = free.length > 0 ? free : corners.slice(0, 1)
  const worth = new Map(some.map((each) => [each, worthSeeing(scene, each)]))
  return some.sort((p, q) => worth.get(q)! - worth.get(p)!)
}

const LOOK_ACROSS = 24
const LOOK_DOWN = 14

/** How much there is in view besides bare walls: what stands, what hangs, windows. */
function worthSeeing(scene: Scene, viewpoint: Viewpoint): number {
  const { ahead, right, up, wide } = frameOf(viewpoint)
  const [ray, hit] = [newRay(), newHit()]
  const seen = new Map<string, number>()
  for (let n = 0; n < LOOK_ACROSS * LOOK_DOWN; n++) {
    const x = (((n % LOOK_ACROSS) + 0.5) / LOOK_ACROSS - 0.5) * 2 * wide
    const y =
      ((0.5 - (Math.floor(n / LOOK_ACROSS) + 0.5) / LOOK_DOWN) * 2 * wide * LOOK_DOWN) / LOOK_ACROSS
    const [dx, dy, dz] = [0, 1, 2].map((i) => ahead[i]! + x * right[i]! + y * up[i]!) as [
      number,
      number,
      number,
    ]
    const length = Math.hypot(dx, dy, dz)
    const [ox, oy, oz] = viewpoint.at
    Object.assign(ray, { ox, oy, oz, dx: dx / length, dy: dy / length, dz: dz / length })
    cast(scene, ray, hit)
    const surface = scene.surfaces[hit.surface]
    const name =
      hit.opening >= 0 ? `opening ${hit.opening}` : surface?.of === 'room' ? '' : surface?.name
    if (name) seen.set(name, (seen.get(name) ?? 0) + 1)
  }
  // Many things count for more than one that fills the view.
  return [...seen.values()].reduce((sum, pixels) => sum + Math.sqrt(pixels), 0)
}
