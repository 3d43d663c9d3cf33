import { CURTAINS } from '../light/fittings'
import { windowTransmittance } from '../light/room'
import type { Vector } from '../light/spot'
import type { SunPosition } from '../light/sun-position'
import { cosineOn, windowLight, type Outdoors } from '../light/window-light'
import { tilted } from './openings-light'
import { addBands, ROOM_BANDS } from './bands'
import type { RoomModel } from './model'
import { sees } from './rays'
import type { Scene } from './scene'
import { POINTS_ACROSS } from './tiles'

const RAD = Math.PI / 180

/** The sun as it comes through one opening. */
export interface SunThrough {
  readonly opening: number
  /** On a plane that faces it, behind the glass, lux. */
  readonly normalLux: number
}

/** Where the sun stands, as a unit vector of the room's own axes. */
export const sunwardOf = ({ altitudeDeg, azimuthDeg }: SunPosition, northDeg: number): Vector => {
  const turn = (azimuthDeg - northDeg) * RAD
  const flat = Math.cos(altitudeDeg * RAD)
  return [flat * Math.sin(turn), flat * Math.cos(turn), Math.sin(altitudeDeg * RAD)]
}

/** The sun through each opening that it comes through. */
export function sunThrough(scene: Scene, out: Outdoors): SunThrough[] {
  return scene.openings.flatMap(({ window }, opening) => {
    if (!window || CURTAINS[window.curtain].diffuses) return []
    const { sunLux } = windowLight(out, window)
    const cosine = cosineOn(out.sun, window.bearingDeg, window.pitchDeg)
    if (sunLux <= 0 || cosine <= 0.001) return []
    const sunward = sunwardOf(out.sun, scene.room.northDeg ?? 0)
    const turned = window.pitchDeg < 90 ? tilted(scene.room, window, sunward, 1) : 1
    // The flatter it comes, the more of it the reveal takes.
    const past = Math.min(1, cosine / REVEAL_COSINE)
    return [{ opening, normalLux: (sunLux / cosine) * past * windowTransmittance(window) * turned }]
  })
}

// Flatter than 80° the sun meets the reveal, not the room.
const REVEAL_COSINE = Math.cos(80 * RAD)
const SUN_HALF_WIDTH = Math.tan(0.2665 * RAD)

/** How much of the sun a point sees through an opening, 0 to 1: its edge is as soft as the sun is wide, or softer. */
export function sunTest(
  scene: Scene,
  opening: number,
  [sx, sy, sz]: Vector,
  leastSoftMm = 4,
): (x: number, y: number, z: number) => number {
  const { face, lo, hi } = scene.openings[opening]!
  const [width, depth, height] = scene.size
  const isSide = face === 'east' || face === 'west'
  const isRoof = face === 'ceiling'
  const plane = isRoof
    ? height
    : ((isSide ? width : depth) / 2) * (face === 'east' || face === 'north' ? 1 : -1)
  const towards = isRoof ? sz : isSide ? sx : sy
  const [lo0, lo1] = lo
  const [hi0, hi1] = hi
  const hasBodies = scene.boxes.length > 0
  return (x, y, z) => {
    const t = (plane - (isRoof ? z : isSide ? x : y)) / towards
    if (!(t > 0 && t < 1e6)) return 0
    const a = isSide ? y + t * sy : x + t * sx
    const b = isRoof ? y + t * sy : z + t * sz
    const soft = Math.max(leastSoftMm, 2 * t * SUN_HALF_WIDTH)
    if (a < lo0 - soft || a > hi0 + soft || b < lo1 - soft || b > hi1 + soft) return 0
    const share =
      clamp((a - lo0) / soft + 0.5) *
      clamp((hi0 - a) / soft + 0.5) *
      clamp((b - lo1) / soft + 0.5) *
      clamp((hi1 - b) / soft + 0.5)
    if (share === 0 || !hasBodies) return share
    return sees(scene, [x, y, z], [x + t * sx, y + t * sy, z + t * sz]) ? share : 0
  }
}

const clamp = (v: number): number => (v < 0 ? 0 : v > 1 ? 1 : v)

const tilePointsApartMm = ({ tiles }: RoomModel['tiles']): number =>
  Math.max(
    ...tiles.map(({ face: { lo, hi } }) => Math.max(hi[0] - lo[0], hi[1] - lo[1]) / POINTS_ACROSS),
  )

/** The sun's patch: as much of each tile as it covers. */
export function sunPatch(
  { scene, tiles }: RoomModel,
  sun: {
    readonly sunward: Vector
    readonly through: readonly SunThrough[]
    readonly bands: Float64Array
  },
): Float64Array {
  const patch = new Float64Array(tiles.count * ROOM_BANDS)
  for (const { opening, normalLux } of sun.through) {
    // An edge as soft as the points lie apart: it goes over a tile without a step.
    const test = sunTest(scene, opening, sun.sunward, tilePointsApartMm(tiles))
    tiles.tiles.forEach(({ surface, points }, i) => {
      const { axis, facing } = scene.surfaces[surface]!
      const cosine = facing * sun.sunward[axis]
      if (cosine <= 0) return
      let share = 0
      for (const [x, y, z] of points) share += test(x, y, z)
      if (share > 0) addBands(patch, i, sun.bands, (normalLux * cosine * share) / points.length)
    })
  }
  return patch
}
