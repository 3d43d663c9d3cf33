import type { Reflectance, Spectrum, Xyz } from '../colour/spectrum'
import { eyeAdaptedTo } from '../colour/appearance'
import { multiply } from '../colour/cat16'
import { linearRgbFromXyz } from '../colour/srgb'
import { bulbSpectrum } from '../light/lamp-light'
import type { LightMoment } from '../light/room-light'
import type { DaylightSum } from '../light/sky-vault'
import type { Vector } from '../light/spot'
import { sunPosition, type Place, type SunPosition } from '../light/sun-position'
import { outdoors, type Outdoors } from '../light/window-light'
import {
  addBands,
  bandsOfReflectance,
  bandsOfSpectrum,
  bandXyz,
  EVEN_BANDS,
  ROOM_BANDS,
  xyzReflected,
} from './bands'
import type { RoomModel, StillLight } from './model'
import {
  BLACK,
  DAYLIGHT,
  DAYLIGHT_XYZ,
  ONES,
  shownThrough,
  skySeen,
  type OutsideSeen,
} from './outside'
import type { Scene } from './scene'
import { addThree, type SparseRows } from './sparse'
import { sunPatch, sunThrough, sunwardOf, type SunThrough } from './sun-through'
import { settled, transportOf, type Transport } from './transport'

/** A room with its finishes on: ready for any hour. */
export interface PaintedModel {
  readonly model: RoomModel
  readonly transport: Transport
  /** Each material's reflectance in 18 bands. */
  readonly materials: readonly Float64Array[]
}

/** Puts finishes on a room; the geometry stays as it was solved. */
export function painted(model: RoomModel, finishes: readonly Reflectance[]): PaintedModel {
  const materials = finishes.map(bandsOfReflectance)
  return { model, materials, transport: transportOf(model.tiles, materials) }
}

/** The light of a room at a moment. */
export interface RoomAtMoment {
  /** X, Y, Z in lux of what each point sends back, point by point: the sun's own patch left out. */
  readonly xyz: Float32Array
  /** What falls on each tile in each band, and what it sends back. */
  readonly fallen: Float64Array
  readonly sent: Float64Array
  /** The walls' mean, as a perfect white sends it back: its Y is their illuminance in lux. */
  readonly white: Xyz
  /** From X, Y, Z in lux to the screen's linear red, green and blue: nine numbers, row by row. */
  readonly toScreen: readonly number[]
  readonly sun: SunPosition
  /** Where the sun stands, as a unit vector of the room's own axes. */
  readonly sunward: Vector
  readonly through: readonly SunThrough[]
  /** X, Y, Z of one lux of the sun sent back by each material, three numbers each. */
  readonly sunXyz: Float64Array
  /** X, Y, Z, as of a white that sends it back, of each direction of the sky that is asked for and of what openings show. */
  readonly outside: OutsideSeen
  /** X, Y, Z of each lamp as it looks, in the same measure. */
  readonly lamps: readonly Xyz[]
}

const DAYLIGHT_BANDS = DAYLIGHT.map(bandsOfSpectrum)

/**
 * Lights a painted room: what comes in at this moment, and what goes from wall to wall to the end.
 *
 * @param beyond for each opening that is a doorway, what the room beyond sends through it in each band; else null
 */
export function lightRoom(
  { model, transport, materials }: PaintedModel,
  place: Place,
  moment: LightMoment,
  beyond: readonly (Float64Array | null)[] = [],
): RoomAtMoment {
  const { scene, tiles, directions } = model
  const sun = sunPosition(place, moment.utcMs)
  const out =
    moment.lampsAlone || scene.room.windows.length === 0 ? null : outdoors(moment.sky, sun)
  const sky = skyOf(out, directions)
  const shown = scene.openings.map(({ window }) => shownThrough(out, window))
  const lit = lampsLit(scene, moment.lampsOn)
  const sunward = sunwardOf(sun, scene.room.northDeg ?? 0)
  const through = out ? sunThrough(scene, out) : []
  const sources: Sources = {
    ...{ sky, shown, lit },
    lampSpectra: scene.lamps.map(({ lamp }) => bulbSpectrum(lamp)),
  }

  const first = tileLight(model.tileLight, tiles.count, tiles.tiles.length, sources)
  addBeyond(model, first, beyond)
  const patch = out
    ? sunPatch(model, { sunward, through, bands: bandsOfSpectrum(out.sunlight) })
    : new Float64Array(first.length)
  for (let k = 0; k < first.length; k++) first[k]! += patch[k]!
  const { fallen, sent } = settled(transport, first)
  beyond.forEach((bands, o) => {
    if (bands) sent.set(bands, (tiles.tiles.length + o) * ROOM_BANDS)
  })
  // Nobody's eye is set by the sun's own patch.
  const white = xyzReflected(
    EVEN_BANDS,
    meanOnWalls(
      model,
      fallen.map((power, k) => power - patch[k]!),
    ),
  )
  return {
    ...{ fallen, sent, white, sun, sunward, through },
    xyz: pointLight(model, materials, sources, sent),
    toScreen: screenMatrix(white),
    sunXyz: Float64Array.from(
      materials.flatMap((shares) => [...xyzReflected(bandXyz(out?.sunlight ?? BLACK), shares)]),
    ),
    lamps: sources.lampSpectra.map((spectrum, l) => lampSeen(spectrum, lit[l]!, white)),
    outside: {
      sky: (altitudeDeg, azimuthDeg) => skySeen(out, altitudeDeg, azimuthDeg),
      shown: shown.map((each) => each.map((spectrum) => xyzReflected(bandXyz(spectrum), ONES))),
    },
  }
}

// A lit shade is some times as bright as the walls' white; one that is out, a pale thing among others.
const LIT_SHADE = 4
const PALE_SHADE = 0.7

/** A lamp's shade: its light as it is told from what it lights, or the room's on it. */
function lampSeen(spectrum: Spectrum, isLit: boolean, white: Xyz): Xyz {
  const [x, y, z] = isLit ? xyzReflected(bandXyz(spectrum), ONES) : white
  const share = y > 0 ? ((isLit ? LIT_SHADE : PALE_SHADE) * white[1]) / y : 0
  return [x * share, y * share, z * share]
}

interface Sources {
  /** Three numbers of daylight for each direction of the sky. */
  readonly sky: Float64Array
  /** Of each opening what it shows, as SHOWN; 81 values. */
  readonly shown: readonly (readonly Spectrum[])[]
  readonly lit: readonly boolean[]
  readonly lampSpectra: readonly Spectrum[]
}

function skyOf(out: Outdoors | null, directions: RoomModel['directions']): Float64Array {
  const sky = new Float64Array(directions.length * 3)
  if (!out) return sky
  directions.forEach(({ altitudeDeg, azimuthDeg }, i) => {
    const sum: DaylightSum = [0, 0, 0]
    out.vault.addFrom(sum, altitudeDeg, azimuthDeg, 1)
    sky.set(sum, i * 3)
  })
  return sky
}

/** Which lamps are lit: those of the evening, else all. */
function lampsLit({ lamps }: Scene, isOn: boolean): boolean[] {
  const some = lamps.some(({ lamp }) => lamp.evening)
  return lamps.map(({ lamp }) => isOn && (lamp.evening || !some))
}

/** Lux-like power that first falls on each tile in each band. */
function tileLight(
  { sky, shown, lamps }: StillLight,
  count: number,
  tiles: number,
  sources: Sources,
): Float64Array {
  const first = new Float64Array(count * ROOM_BANDS)
  const shownBands = sources.shown.flat().map(bandsOfSpectrum)
  const lampBands = sources.lampSpectra.map((spectrum, l) =>
    bandsOfSpectrum(sources.lit[l] ? spectrum : BLACK),
  )
  const day = new Float64Array(3)
  const addRow = (rows: SparseRows, i: number, of: readonly Float64Array[]): void => {
    for (let k = rows.starts[i]!; k < rows.starts[i + 1]!; k++)
      addBands(first, i, of[rows.places[k]!]!, rows.values[k]!)
  }
  for (let i = 0; i < tiles; i++) {
    day.fill(0)
    addThree(sky, i, sources.sky, day)
    for (let c = 0; c < 3; c++) addBands(first, i, DAYLIGHT_BANDS[c]!, day[c]!)
    addRow(shown, i, shownBands)
    addRow(lamps, i, lampBands)
  }
  return first
}

/** Adds what comes through doorways. */
function addBeyond(
  { tiles }: RoomModel,
  first: Float64Array,
  beyond: readonly (Float64Array | null)[],
): void {
  beyond.forEach((bands, o) => {
    if (!bands) return
    const j = tiles.tiles.length + o
    for (let i = 0; i < tiles.tiles.length; i++) {
      const share = tiles.factors[i * tiles.count + j]!
      for (let b = 0; b < ROOM_BANDS; b++) first[i * ROOM_BANDS + b]! += share * bands[b]!
    }
  })
}

/** What falls on the walls on the whole, band by band. */
export function meanOnWalls({ scene, tiles }: RoomModel, fallen: Float64Array): Float64Array {
  const mean = new Float64Array(ROOM_BANDS)
  let area = 0
  tiles.tiles.forEach(({ surface, areaM2 }, i) => {
    const { of, axis } = scene.surfaces[surface]!
    if (of === 'body' || axis === 2) return
    area += areaM2
    for (let b = 0; b < ROOM_BANDS; b++) mean[b]! += areaM2 * fallen[i * ROOM_BANDS + b]!
  })
  return mean.map((sum) => (area > 0 ? sum / area : 0))
}

// Where there is no light, nothing is seen; the eye is left at what a candle gives.
const LEAST_LUX = 0.1

function screenMatrix([x, y, z]: Xyz): number[] {
  const lux = Math.max(LEAST_LUX, y)
  const white: Xyz = y > 0 ? [(100 * x) / y, 100, (100 * z) / y] : [95.047, 100, 108.883]
  const { toD65, exposure } = eyeAdaptedTo(white, lux)
  const scale = (100 * exposure) / lux
  const columns = [0, 1, 2].map((c) =>
    linearRgbFromXyz(multiply(toD65, [0, 1, 2].map((k) => (k === c ? scale : 0)) as never)),
  )
  return [0, 1, 2].flatMap((row) => columns.map((column) => column[row]!))
}

/** What each point sends back, X, Y, Z in lux. */
function pointLight(
  { scene, tiles, lattices, points, pointLight: still, gathered }: RoomModel,
  materials: readonly Float64Array[],
  sources: Sources,
  sent: Float64Array,
): Float32Array {
  const xyz = new Float32Array(points.length * 3)
  const shownWeights = sources.shown.flat().map(bandXyz)
  const lampWeights = sources.lampSpectra.map((spectrum, l) =>
    bandXyz(sources.lit[l] ? spectrum : BLACK),
  )
  const columns = (weights: readonly Float64Array[], shares: Float64Array): Float64Array =>
    Float64Array.from(weights.flatMap((each) => [...xyzReflected(each, shares)]))
  const ofMaterial = materials.map((shares) => ({
    day: columns(DAYLIGHT_XYZ, shares),
    shown: columns(shownWeights, shares),
    lamps: columns(lampWeights, shares),
    tiles: tilesSeen(sent, tiles.count, shares),
  }))
  const [day, sum] = [new Float64Array(3), new Float64Array(3)]
  scene.surfaces.forEach(({ material }, s) => {
    const from = ofMaterial[material]!
    const { nu, nv, first } = lattices[s]!
    for (let p = first; p < first + nu * nv; p++) {
      day.fill(0)
      addThree(still.sky, p, sources.sky, day)
      for (let c = 0; c < 3; c++)
        sum[c] = day[0]! * from.day[c]! + day[1]! * from.day[3 + c]! + day[2]! * from.day[6 + c]!
      addThree(still.shown, p, from.shown, sum)
      addThree(still.lamps, p, from.lamps, sum)
      addThree(gathered, p, from.tiles, sum)
      xyz.set(sum, p * 3)
    }
  })
  return xyz
}

/** What each tile sends, once a surface has sent its share of it on: X, Y, Z. */
function tilesSeen(sent: Float64Array, count: number, shares: Float64Array): Float64Array {
  const weights = EVEN_BANDS.map((weight, k) => weight * shares[Math.floor(k / 3)]!)
  const seen = new Float64Array(count * 3)
  for (let j = 0; j < count; j++)
    for (let b = 0; b < ROOM_BANDS; b++) {
      const power = sent[j * ROOM_BANDS + b]!
      seen[j * 3]! += power * weights[b * 3]!
      seen[j * 3 + 1]! += power * weights[b * 3 + 1]!
      seen[j * 3 + 2]! += power * weights[b * 3 + 2]!
    }
  return seen
}
