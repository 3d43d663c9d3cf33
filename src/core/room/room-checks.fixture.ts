import { flatReflectance, type Reflectance } from '../colour/spectrum'
import { PLAIN_LAMP, PLAIN_WINDOW, type LitRoom } from '../light/room'
import { luxOf, type DaylightSum } from '../light/sky-vault'
import { sunPosition } from '../light/sun-position'
import { windowTransmittance } from '../light/room'
import { groundReceives, outdoors } from '../light/window-light'
import { outsideReflectances, OUTSIDE } from '../light/surface-colours'
import { xyzOfSpectrum } from '../colour/observer'
import { daylightSpectrum } from '../colour/daylight'
import { seededRandom } from '../seeded-random'
import { EVEN_BANDS, ROOM_BANDS, xyzReflected } from './bands'
import { modelOf, type RoomModel } from './model'
import { lightRoom, painted, type RoomAtMoment } from './moment'
import { sceneOf, type Furnished, type Scene } from './scene'

// Rooms to be computed in more than one way.

export const BRITAIN = { latitudeDeg: 52.4, longitudeDeg: -1.6 }

const plain = (change: Partial<LitRoom> = {}): LitRoom => ({
  ...{ northSouthMm: 5000, eastWestMm: 4000, heightMm: 2600, windows: [], lamps: [PLAIN_LAMP] },
  ...change,
})
const window = (bearingDeg: number, change: object = {}) => ({
  ...PLAIN_WINDOW,
  bearingDeg,
  ...change,
})

/** A cabinet along the north wall and an island. */
const BODIES = [
  { name: 'cabinets', material: 3, lo: [-2000, 1900, 0], hi: [400, 2500, 900] },
  { name: 'island', material: 3, lo: [-600, -500, 0], hi: [800, 300, 920] },
] as const

export const bare: Furnished = {
  materials: { east: 0, west: 0, north: 0, south: 0, floor: 1, ceiling: 2 },
  ...{ bodies: [], zones: [], doorways: [] },
}
export const furnished: Furnished = { ...bare, bodies: BODIES }

export const GREYS: readonly Reflectance[] = [0.55, 0.25, 0.8, 0.4].map(flatReflectance)

/** Rooms of every kind that has to hold. */
export const ROOMS: Readonly<Record<string, readonly [LitRoom, Furnished]>> = {
  'a room without a window': [plain(), furnished],
  'a plain room': [plain({ windows: [window(180)] }), bare],
  'a furnished one': [plain({ windows: [window(180), window(270)] }), furnished],
  'one with five windows': [
    plain({ windows: [window(180), window(180), window(270), window(0), window(90)] }),
    furnished,
  ],
  'an attic with a roof window': [
    plain({ heightMm: 2200, windows: [window(180, { pitchDeg: 40, sillMm: 1200 })] }),
    bare,
  ],
  'one of 3 by 20 m': [
    plain({ northSouthMm: 20_000, eastWestMm: 3000, windows: [window(180), window(90)] }),
    bare,
  ],
}

export const buildRoom = (name: keyof typeof ROOMS, tiles?: number): RoomModel => {
  const [room, of] = ROOMS[name]!
  return modelOf(sceneOf(room, of), tiles)
}

export const lit = (
  model: RoomModel,
  finishes: readonly Reflectance[],
  moment: Parameters<typeof lightRoom>[2],
): RoomAtMoment => lightRoom(painted(model, finishes), BRITAIN, moment)

/** Lux on each tile. */
export const tileLux = (model: RoomModel, { fallen }: RoomAtMoment): number[] =>
  model.tiles.tiles.map(
    (_, i) => xyzReflected(EVEN_BANDS, fallen.subarray(i * ROOM_BANDS, (i + 1) * ROOM_BANDS))[1],
  )

// Rays are followed against plain rectangles, one after the other: nothing of the scene's own search is used.
interface Wall {
  readonly axis: number
  readonly at: number
  readonly lo: readonly [number, number, number]
  readonly hi: readonly [number, number, number]
  readonly share: number
  readonly window: number
}

function rectanglesOf({ size, openings, bodies }: Scene, shares: readonly number[]): Wall[] {
  const [x, y, z] = [size[0] / 2, size[1] / 2, size[2]]
  const walls: Wall[] = []
  const add = (axis: number, at: number, share: number, lo: Wall['lo'], hi: Wall['hi'], o = -1) =>
    walls.push({ axis, at, share, lo, hi, window: o })
  openings.forEach(({ face, lo, hi }, o) => {
    const at = { east: x, west: -x, north: y, south: -y, ceiling: z, floor: 0 }[face]
    if (face === 'ceiling') add(2, at, 0, [lo[0], lo[1], at], [hi[0], hi[1], at], o)
    else if (face === 'east' || face === 'west')
      add(0, at, 0, [at, lo[0], lo[1]], [at, hi[0], hi[1]], o)
    else add(1, at, 0, [lo[0], at, lo[1]], [hi[0], at, hi[1]], o)
  })
  for (const s of [-1, 1]) {
    add(0, s * x, shares[0]!, [s * x, -y, 0], [s * x, y, z])
    add(1, s * y, shares[0]!, [-x, s * y, 0], [x, s * y, z])
  }
  add(2, 0, shares[1]!, [-x, -y, 0], [x, y, 0])
  add(2, z, shares[2]!, [-x, -y, z], [x, y, z])
  for (const { lo, hi } of bodies)
    for (let axis = 0; axis < 3; axis++)
      for (const end of [lo, hi]) {
        const [from, to] = [[...lo], [...hi]] as [
          [number, number, number],
          [number, number, number],
        ]
        from[axis] = end[axis]!
        to[axis] = end[axis]!
        add(axis, end[axis]!, shares[3]!, from, to)
      }
  return walls
}

/** The wall that a ray meets first; of two at one place the first, which is the window. */
function firstMet(walls: readonly Wall[], from: readonly number[], to: readonly number[]) {
  let best: Wall | null = null
  let nearest = Infinity
  for (const wall of walls) {
    const t = (wall.at - from[wall.axis]!) / to[wall.axis]!
    if (!(t > 1e-4 && t < nearest - 1e-6)) continue
    const inside = [0, 1, 2].every((i) => {
      if (i === wall.axis) return true
      const v = from[i]! + t * to[i]!
      return v >= wall.lo[i]! && v <= wall.hi[i]!
    })
    if (!inside) continue
    best = wall
    nearest = t
  }
  return best && { wall: best, at: from.map((v, i) => v + nearest * to[i]!) }
}

/**
 * Lux on each tile by following paths at random (Kajiya 1986): no tiles, no view factors, no bands; under a sky without a sun.
 *
 * @param shares what walls, floor, ceiling and bodies send back
 */
export function luxByPaths(
  model: RoomModel,
  shares: readonly number[],
  moment: Parameters<typeof lightRoom>[2],
  paths: number,
): number[] {
  const { scene, tiles } = model
  const random = seededRandom(5)
  const walls = rectanglesOf(scene, shares)
  const out = outdoors(moment.sky, sunPosition(BRITAIN, moment.utcMs))
  const grey = (name: (typeof OUTSIDE)[number]): number => {
    const light = daylightSpectrum(6500)
    const back = light.map((power, i) => power * outsideReflectances()[OUTSIDE.indexOf(name)]![i]!)
    return xyzOfSpectrum(back)[1] / xyzOfSpectrum(light)[1]
  }
  const through = (o: number, [dx, dy, dz]: readonly [number, number, number]): number => {
    const window = scene.openings[o]!.window!
    if (dz <= 0) {
      const ground = groundReceives(out, window.bearingDeg)
      return windowTransmittance(window) * luxOf(ground.sky) * grey(window.ground)
    }
    const sum: DaylightSum = [0, 0, 0]
    const azimuth = ((Math.atan2(dx, dy) * 180) / Math.PI + 360) % 360
    out.vault.addFrom(sum, (Math.asin(dz) * 180) / Math.PI, azimuth, Math.PI)
    return windowTransmittance(window) * luxOf(sum)
  }
  const scatter = (axis: number, facing: number): [number, number, number] => {
    const [p, q] = [random(), random() * 2 * Math.PI]
    const flat = Math.sqrt(p)
    const d: [number, number, number] = [0, 0, 0]
    d[axis] = facing * Math.sqrt(1 - p)
    d[(axis + 1) % 3] = flat * Math.cos(q)
    d[(axis + 2) % 3] = flat * Math.sin(q)
    return d
  }
  /** What comes straight through the windows to a point: of each a place at random, unless something stands between. */
  const straight = (at: readonly number[], axis: number, facing: number): number =>
    walls.reduce((sum, window) => {
      if (window.window < 0) return sum
      const to = [0, 1, 2].map((i) =>
        i === window.axis ? window.at : window.lo[i]! + random() * (window.hi[i]! - window.lo[i]!),
      )
      const ray = to.map((v, i) => v - at[i]!) as [number, number, number]
      const distance = Math.hypot(...ray)
      const direction = ray.map((v) => v / distance) as [number, number, number]
      const cosine = facing * direction[axis]!
      const out = Math.abs(direction[window.axis]!)
      if (cosine <= 0 || firstMet(walls, at, direction)?.wall.window !== window.window) return sum
      const area = [0, 1, 2].reduce(
        (product, i) => (i === window.axis ? product : product * (window.hi[i]! - window.lo[i]!)),
        1,
      )
      const factor = (cosine * out * area) / (Math.PI * distance ** 2)
      return sum + factor * through(window.window, direction)
    }, 0)
  return tiles.tiles.map(({ surface, points }) => {
    const face = scene.surfaces[surface]!
    let sum = 0
    for (let n = 0; n < paths; n++) {
      let at: readonly number[] = points[Math.floor(random() * points.length)]!
      let axis: number = face.axis
      let facing: number = face.facing
      let weight = 1
      for (let bounce = 0; bounce < 40 && weight > 1e-3; bounce++) {
        sum += weight * straight(at, axis, facing)
        const direction = scatter(axis, facing)
        const met = firstMet(walls, at, direction)
        // What goes out of a window was counted above.
        if (!met || met.wall.window >= 0) break
        weight *= met.wall.share
        at = met.at
        axis = met.wall.axis
        facing = direction[axis]! > 0 ? -1 : 1
      }
    }
    return sum / paths
  })
}
