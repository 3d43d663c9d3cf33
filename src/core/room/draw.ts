import type { Xyz } from '../colour/spectrum'
import { windowTransmittance } from '../light/room'
import { EVEN_BANDS, xyzReflected } from './bands'
import { meanOnWalls, type RoomAtMoment } from './moment'
import { sunTest } from './sun-through'
import type { RoomModel } from './model'
import { LAMP, SEEN_OUTSIDE, skyPart, type PictureMap } from './view'

const STEPS = 4096
/** The screen's own curve (IEC 61966-2-1), as bytes. */
const ENCODED = Uint8ClampedArray.from({ length: STEPS + 1 }, (_, i) => {
  const linear = i / STEPS
  return 255 * (linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055)
})

/** A room in view as it is lit, and its finishes in 18 bands. */
export interface LitInView {
  readonly lit: RoomAtMoment
  readonly materials: readonly Float64Array[]
  /** By material: its parts, where it has several. */
  readonly parts: readonly (readonly Float64Array[] | null)[]
}

/** Red, green, blue and 255 of each pixel, row by row. */
export interface Picture {
  readonly width: number
  readonly height: number
  readonly pixels: Uint8ClampedArray<ArrayBuffer>
}

/**
 * Draws a view in its light, for an eye adapted to the first room. What is brighter than a screen's white is shown as bright
 * as that and keeps some of its colour.
 *
 * @param step takes every so many pixels of the view across and down
 */
export function drawView(map: PictureMap, rooms: readonly LitInView[], step = 1): Picture {
  const width = Math.ceil(map.width / step)
  const height = Math.ceil(map.height / step)
  const words = new Int32Array(width * height)
  const screen = rooms[0]!.lit.toScreen
  const drawn = rooms.map((room, r) => inkOf(map, map.rooms[r]!.model, room, screen))
  const [first] = drawn as [Ink]
  const { room } = map
  let at = 0
  for (let row = 0; row < height; row++) {
    let pixel = row * step * map.width
    for (let column = 0; column < width; column++, pixel += step) {
      const r = room[pixel]!
      words[at++] = r === 0 ? first(pixel) : drawn[r]!(pixel)
    }
  }
  return { width, height, pixels: new Uint8ClampedArray(words.buffer) }
}

type Ink = (pixel: number) => number
type Rgb = readonly [number, number, number]

const OPAQUE = 0xff000000 | 0

/** A colour as the screen's four bytes, the lowest first. */
function encoded(red: number, green: number, blue: number): number {
  const most = red > green ? (red > blue ? red : blue) : green > blue ? green : blue
  if (most <= 1) return inBytes(red, green, blue)
  // The fourth root: a quarter of what is over the screen's white, as the eye steps, goes into paleness.
  const pale = 1 - 1 / Math.sqrt(Math.sqrt(most))
  const share = (1 - pale) / most
  return inBytes(red * share + pale, green * share + pale, blue * share + pale)
}

const inBytes = (red: number, green: number, blue: number): number =>
  OPAQUE | (byte(blue) << 16) | (byte(green) << 8) | byte(red)

const byte = (linear: number): number => (linear <= 0 ? 0 : ENCODED[(linear * STEPS + 0.5) | 0]!)

/** What gives each pixel of a room its colour, all that is the same for many of them worked out once. */
function inkOf(
  map: PictureMap,
  model: RoomModel,
  { lit, materials, parts }: LitInView,
  m: readonly number[],
): Ink {
  const { surfaces } = model.scene
  const linear = ([x, y, z]: Xyz): Rgb => [
    m[0]! * x + m[1]! * y + m[2]! * z,
    m[3]! * x + m[4]! * y + m[5]! * z,
    m[6]! * x + m[7]! * y + m[8]! * z,
  ]
  const points = new Float32Array(lit.xyz.length)
  for (let p = 0; p < points.length; p += 3) {
    const x = lit.xyz[p]!
    const y = lit.xyz[p + 1]!
    const z = lit.xyz[p + 2]!
    points[p] = m[0]! * x + m[1]! * y + m[2]! * z
    points[p + 1] = m[3]! * x + m[4]! * y + m[5]! * z
    points[p + 2] = m[6]! * x + m[7]! * y + m[8]! * z
  }
  const rows = Int32Array.from(model.lattices, ({ nu }) => nu * 3)
  const materialOf = Int32Array.from(surfaces, ({ material }) => material)
  const tints = tintsOf(model, lit, parts, materials, linear)
  const suns = lit.through.map(({ opening, normalLux }) => ({
    test: sunTest(model.scene, opening, lit.sunward),
    normalLux,
  }))
  // How square the sun is on each surface, none on those it does not reach.
  const cosines = Float32Array.from(surfaces, ({ axis, facing }) =>
    suns.length > 0 ? Math.max(0, facing * lit.sunward[axis]) : 0,
  )
  const sunRgb = Float32Array.from(
    materials.flatMap((_, k) =>
      linear([lit.sunXyz[k * 3]!, lit.sunXyz[k * 3 + 1]!, lit.sunXyz[k * 3 + 2]!]),
    ),
  )
  const outside = outsideInk(map, model, lit, linear)
  const lamps = lit.lamps.map((xyz) => encoded(...linear(xyz)))
  const { surface, point, u: across, v: up, place, part } = map
  return (pixel) => {
    const s = surface[pixel]!
    if (s < 0) return s === LAMP ? lamps[point[pixel]!]! : outside(pixel)
    const u = across[pixel]!
    const v = up[pixel]!
    const p = point[pixel]! * 3
    const q = p + rows[s]!
    const w11 = u * v
    const w10 = u - w11
    const w01 = v - w11
    const w00 = 1 - u - w01
    let red = w00 * points[p]! + w10 * points[p + 3]! + w01 * points[q]! + w11 * points[q + 3]!
    let green =
      w00 * points[p + 1]! + w10 * points[p + 4]! + w01 * points[q + 1]! + w11 * points[q + 4]!
    let blue =
      w00 * points[p + 2]! + w10 * points[p + 5]! + w01 * points[q + 2]! + w11 * points[q + 5]!
    const material = materialOf[s]!
    const cosine = cosines[s]!
    if (cosine > 0) {
      const at = pixel * 3
      let lux = 0
      for (let n = 0; n < suns.length; n++) {
        const share = suns[n]!.test(place[at]!, place[at + 1]!, place[at + 2]!)
        if (share > 0) lux += suns[n]!.normalLux * cosine * share
      }
      if (lux > 0) {
        red += lux * sunRgb[material * 3]!
        green += lux * sunRgb[material * 3 + 1]!
        blue += lux * sunRgb[material * 3 + 2]!
      }
    }
    const tint = tints[material]
    if (tint) {
      const at = part[pixel]! * 3
      red *= tint[at]!
      green *= tint[at + 1]!
      blue *= tint[at + 2]!
    }
    return encoded(red, green, blue)
  }
}

/** How much more or less of red, green and blue each part sends back than the whole that it is of; three numbers a part. */
function tintsOf(
  model: RoomModel,
  { fallen }: RoomAtMoment,
  parts: LitInView['parts'],
  materials: readonly Float64Array[],
  linear: (xyz: Xyz) => Rgb,
): readonly (Float32Array | null)[] {
  const light = meanOnWalls(model, fallen)
  const weights = EVEN_BANDS.map((weight, k) => weight * light[Math.floor(k / 3)]!)
  return parts.map((of, k) => {
    if (!of) return null
    const whole = linear(xyzReflected(weights, materials[k]!))
    return Float32Array.from(
      of.flatMap((part) =>
        linear(xyzReflected(weights, part)).map(
          (value, c) => Math.max(0, value) / Math.max(1e-6, whole[c]!),
        ),
      ),
    )
  })
}

// What is seen of the sky from within: a part of it in the middle of a window.
const SEEN_SKY_DEG = 25
// Outside stays lighter than a white wall, and tells sky from ground.
const BRIGHTEST_OUTSIDE = 1.1

/** What gives a pixel of an opening its colour: as the glass lets it through, dimmed as one to what a screen can show. */
function outsideInk(
  map: PictureMap,
  { scene }: RoomModel,
  { outside }: RoomAtMoment,
  linear: (xyz: Xyz) => Rgb,
): Ink {
  const openings = scene.openings.map(({ window }, o) => {
    const glass = window ? windowTransmittance(window) : 0
    const seen = [
      ...outside.shown[o]!,
      ...(window ? [outside.sky(SEEN_SKY_DEG, window.bearingDeg)] : []),
    ]
    const brightest = Math.max(...seen.flatMap((xyz) => linear(xyz))) * glass
    const share = glass * Math.min(1, BRIGHTEST_OUTSIDE / Math.max(1e-9, brightest))
    const through = ([x, y, z]: Xyz): number =>
      encoded(...linear([x * share, y * share, z * share]))
    return { through, shown: outside.shown[o]!.map(through), sky: new Map<number, number>() }
  })
  const dark = encoded(0, 0, 0)
  return (pixel) => {
    const { through, shown, sky } = openings[map.point[pixel]!]!
    const seen = SEEN_OUTSIDE[map.part[pixel]!]!
    if (seen === 'nothing') return dark
    if (seen !== 'sky') return shown[map.part[pixel]!]!
    const part = map.place[pixel * 3]!
    const known = sky.get(part)
    if (known !== undefined) return known
    const { altitudeDeg, azimuthDeg } = skyPart(part)
    const ink = through(outside.sky(altitudeDeg, azimuthDeg))
    sky.set(part, ink)
    return ink
  }
}
