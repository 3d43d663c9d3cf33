import { appearanceOf, prepareLight } from '../colour/appearance'
import { ucsDifference } from '../colour/cam16'
import { fourWalls } from '../colour/four-walls'
import { flatReflectance } from '../colour/spectrum'
import { wallShare } from '../light/room'
import { roomLight } from '../light/room-light'
import { reflectancesOf } from '../light/room-reflectance'
import { reflectanceOfReading } from '../paint/reading'
import { ROOM_BANDS } from './bands'
import { sunTest } from './sun-through'
import {
  BRITAIN,
  buildRoom,
  furnished,
  GREYS,
  lit,
  luxByPaths,
  ROOMS,
  tileLux,
} from './room-checks.fixture'
import type { RoomModel } from './model'
import { pointOn, roomFace, sceneOf, type Face } from './scene'
import { wallsSeen } from './seen-table'
import { pointFactor, tilesOf } from './tiles'
import { settled, transportOf } from './transport'

// What the room's light is checked by, against what others have published and against paths at random.

// 18 June 2026, 12:00 UTC.
const NOON = 1_781_784_000_000
const overcast = { utcMs: NOON, sky: 'overcast', lampsOn: false } as const
const lamps = { utcMs: NOON, sky: 'overcast', lampsOn: true, lampsAlone: true } as const

/** Mean of the factor over the first rectangle. */
function factorBetween(from: Face, to: Face, across = 24): number {
  let sum = 0
  for (let n = 0; n < across ** 2; n++) {
    const [u, v] = [(n % across) + 0.5, Math.floor(n / across) + 0.5].map((k) => k / across)
    const a = from.lo[0] + u! * (from.hi[0] - from.lo[0])
    const b = from.lo[1] + v! * (from.hi[1] - from.lo[1])
    sum += pointFactor(pointOn(from, a, b), from.axis, from.facing, to)
  }
  return sum / across ** 2
}

/** Howell, A Catalog of Radiation Heat Transfer Configuration Factors, C-11: identical, parallel, directly opposed rectangles. */
function opposed(width: number, depth: number, apart: number): number {
  const [x, y] = [width / apart, depth / apart]
  const [x2, y2] = [1 + x * x, 1 + y * y]
  return (
    (2 / (Math.PI * x * y)) *
    (Math.log(Math.sqrt((x2 * y2) / (1 + x * x + y * y))) +
      x * Math.sqrt(y2) * Math.atan(x / Math.sqrt(y2)) +
      y * Math.sqrt(x2) * Math.atan(y / Math.sqrt(x2)) -
      x * Math.atan(x) -
      y * Math.atan(y))
  )
}

/** The same catalogue, C-14: two rectangles with a common edge at right angles; `h` of the seen one, `w` of the other, by the edge. */
function atRightAngles(height: number, width: number, edge: number): number {
  const [h, w] = [height / edge, width / edge]
  const [h2, w2] = [h * h, w * w]
  const log =
    Math.log(((1 + w2) * (1 + h2)) / (1 + w2 + h2)) +
    w2 * Math.log((w2 * (1 + w2 + h2)) / ((1 + w2) * (w2 + h2))) +
    h2 * Math.log((h2 * (1 + h2 + w2)) / ((1 + h2) * (h2 + w2)))
  return (
    (w * Math.atan(1 / w) +
      h * Math.atan(1 / h) -
      Math.sqrt(h2 + w2) * Math.atan(1 / Math.sqrt(h2 + w2)) +
      log / 4) /
    (Math.PI * w)
  )
}

/** Ours over the published one: by points over a rectangle, and of the tiles of a room. */
function factorFigures([x, y, z]: readonly [number, number, number]) {
  const face = (name: Parameters<typeof roomFace>[1]) => roomFace([x, y, z], name)
  const [room] = ROOMS['a room without a window']!
  const scene = sceneOf(
    { ...room, eastWestMm: x, northSouthMm: y, heightMm: z },
    { ...furnished, bodies: [] },
  )
  const { tiles, factors, count } = tilesOf(scene)
  const ofTiles = (from: number, to: number): number => {
    const area = tiles.reduce((sum, each) => sum + (each.surface === from ? each.areaM2 : 0), 0)
    let sum = 0
    tiles.forEach(({ surface, areaM2 }, i) => {
      if (surface !== from) return
      tiles.forEach((each, j) => {
        if (each.surface === to) sum += (areaM2 / area) * factors[i * count + j]!
      })
    })
    return sum
  }
  return {
    points: [
      factorBetween(face('floor'), face('ceiling')) / opposed(x, y, z),
      factorBetween(face('east'), face('west')) / opposed(y, z, x),
      factorBetween(face('floor'), face('east')) / atRightAngles(z, x, y),
      factorBetween(face('north'), face('floor')) / atRightAngles(y, z, x),
    ],
    tiles: [ofTiles(4, 5) / opposed(x, y, z), ofTiles(4, 0) / atRightAngles(z, x, y)],
  }
}

const areasOf = ({ tiles }: RoomModel): number[] => tiles.tiles.map(({ areaM2 }) => areaM2)
const weighted = (values: readonly number[], weights: readonly number[]): number =>
  values.reduce((sum, value, i) => sum + value * weights[i]!, 0) /
  weights.reduce((sum, weight) => sum + weight, 0)

/** How far rows are from 1, and exchanges from each other. */
function rowFigures({ tiles: { tiles, factors, count } }: RoomModel) {
  let worst = 0
  let unequal = 0
  for (let i = 0; i < count; i++) {
    let sum = 0
    for (let j = 0; j < count; j++) sum += factors[i * count + j]!
    worst = Math.max(worst, Math.abs(sum - 1))
  }
  for (let i = 0; i < tiles.length; i++)
    for (let j = 0; j < i; j++) {
      const there = tiles[i]!.areaM2 * factors[i * count + j]!
      const back = tiles[j]!.areaM2 * factors[j * count + i]!
      unequal = Math.max(unequal, Math.abs(there - back) / Math.max(1e-6, there))
    }
  return { worst, unequal }
}

/** Evenly lit all over, each tile has 1 / (1 − ρ) of it: the furthest from that. */
function furnace({ tiles }: RoomModel, share: number): number {
  const even = GREYS.map(() => new Float64Array(ROOM_BANDS).fill(share))
  const { fallen } = settled(
    transportOf(tiles, even),
    new Float64Array(tiles.count * ROOM_BANDS).fill(1),
  )
  return Math.max(
    ...fallen
      .subarray(0, tiles.tiles.length * ROOM_BANDS)
      .map((value) => Math.abs(value * (1 - share) - 1)),
  )
}

/** Of a box of one reflectance under a lamp: its mean over Φ / (A (1 − ρ)), the integrating sphere's formula. */
function sphere(model: RoomModel, share: number): number {
  const areas = areasOf(model)
  const at = lit(
    model,
    GREYS.map(() => flatReflectance(share)),
    lamps,
  )
  const area = areas.reduce((sum, each) => sum + each, 0)
  return (
    (weighted(tileLux(model, at), areas) * area * (1 - share)) / model.scene.room.lamps[0]!.lumens
  )
}

function pathFigures(name: string, model: RoomModel, paths: number) {
  const ours = tileLux(model, lit(model, GREYS, overcast))
  const theirs = luxByPaths(model, [0.55, 0.25, 0.8, 0.4], overcast, paths)
  const off = ours.map((lux, i) => Math.abs(lux / theirs[i]! - 1)).sort((p, q) => p - q)
  const areas = areasOf(model)
  return {
    name,
    mean: weighted(ours, areas) / weighted(theirs, areas),
    within: off[Math.floor(0.95 * off.length)]!,
  }
}

/** The mean over all surfaces of a room over what the light core says of it, under a covered sky. */
function againstCore(name: string, model: RoomModel): number {
  const surfaces = { walls: GREYS[0]!, floor: GREYS[1]!, ceiling: GREYS[2]! }
  const core = roomLight({ ...ROOMS[name]![0], surfaces }, BRITAIN, overcast)!
  return weighted(tileLux(model, lit(model, GREYS, overcast)), areasOf(model)) / core.illuminanceLux
}

/** What the sun's patches catch of what each opening lets through. */
function sunPatches(name: string): number[] {
  const scene = sceneOf(ROOMS[name]![0], { ...furnished, bodies: [] })
  return scene.openings.map((opening, o) => {
    const inwards = scene.surfaces.find((each) => each.of === 'room' && each.name === opening.face)!
    const sunward: [number, number, number] = [0.3, 0.25, 0.57]
    sunward[inwards.axis] = -inwards.facing * 0.7
    const length = Math.hypot(...sunward)
    const to = sunward.map((v) => v / length) as [number, number, number]
    const test = sunTest(scene, o, to)
    const across = 220
    let caught = 0
    for (const surface of scene.surfaces.slice(0, 6)) {
      const cosine = Math.max(0, surface.facing * to[surface.axis])
      const [w, h] = [surface.hi[0] - surface.lo[0], surface.hi[1] - surface.lo[1]]
      for (let n = 0; cosine > 0 && n < across ** 2; n++) {
        const a = surface.lo[0] + (w * ((n % across) + 0.5)) / across
        const b = surface.lo[1] + (h * (Math.floor(n / across) + 0.5)) / across
        caught += (cosine * w * h * test(...pointOn(surface, a, b))) / across ** 2
      }
    }
    const [w, h] = [opening.hi[0] - opening.lo[0], opening.hi[1] - opening.lo[1]]
    return caught / (w * h * Math.abs(to[inwards.axis]))
  })
}

/** The largest step of any point from one minute to the next, of the walls' white. */
function largestStep(model: RoomModel): number {
  let before: Float32Array | null = null
  let worst = 0
  for (let minute = 0; minute < 40; minute++) {
    const at = lit(model, GREYS, { utcMs: NOON + minute * 60_000, sky: 'clear', lampsOn: false })
    const lux = at.xyz.filter((_, k) => k % 3 === 1)
    for (const [p, value] of lux.entries())
      if (before) worst = Math.max(worst, Math.abs(value - before[p]!) / at.white[1])
    before = lux
  }
  return worst
}

const PAINTS = {
  'a green-leaning tan': [77.5, -1.7, 10.9],
  'a deep blue': [35, -4, -22],
  'a pale pink': [86, 6, 7],
} as const

/** CAM16-UCS between the walls on the whole and the four-walls swatch, under a covered sky and under the lamps. */
function againstSwatch(model: RoomModel, lab: readonly [number, number, number]) {
  const paint = reflectanceOfReading({ kind: 'lab', lab: [...lab] })
  const room = {
    ...model.scene.room,
    surfaces: { walls: GREYS[0]!, floor: GREYS[1]!, ceiling: GREYS[2]! },
  }
  return [overcast, lamps].map((moment) => {
    const seen = wallsSeen(model, lit(model, [paint, ...GREYS.slice(1)], moment))
    const now = roomLight(room, BRITAIN, moment)!
    const { spectrum, illuminanceLux } = fourWalls(
      now.spectrum,
      now.illuminanceLux,
      paint,
      wallShare(room),
      reflectancesOf(room),
    )
    return ucsDifference(seen.ucs, appearanceOf(prepareLight(spectrum, illuminanceLux), paint).ucs)
  })
}

/** All of it; `paths` a tile. */
export function roomFigures(paths: number) {
  const built = Object.fromEntries(Object.keys(ROOMS).map((name) => [name, buildRoom(name)]))
  const dark = built['a room without a window']!
  const windowed = Object.entries(built).filter(([, { scene }]) => scene.room.windows.length > 0)
  const leak = lit(dark, GREYS, { ...overcast, sky: 'clear' })
  return {
    cube: [opposed(1, 1, 1), atRightAngles(1, 1, 1)],
    factors: (
      [
        [4000, 5000, 2600],
        [3000, 20_000, 2200],
        [2500, 2500, 4000],
      ] as const
    ).map(factorFigures),
    rows: Object.entries(built).map(([name, model]) => ({ name, ...rowFigures(model) })),
    furnace: furnace(dark, 0.7),
    sphere: [0.2, 0.5, 0.8].map((share) => sphere(dark, share)),
    paths: ['a plain room', 'a furnished one'].map((name) =>
      pathFigures(name, built[name]!, paths),
    ),
    core: windowed.map(([name, model]) => ({ name, share: againstCore(name, model) })),
    // Into few tiles, as many as it is cut into elsewhere, and many.
    finer: [60, null, 220].map((tiles) => {
      const model = tiles ? buildRoom('a furnished one', tiles) : built['a furnished one']!
      return lit(model, GREYS, overcast).white[1]
    }),
    leak: Math.max(...leak.xyz, ...leak.fallen),
    sun: Object.keys(ROOMS).flatMap(sunPatches),
    step: largestStep(built['a furnished one']!),
    swatch: Object.values(PAINTS).flatMap((lab) =>
      againstSwatch(built['one with five windows']!, lab),
    ),
  }
}
