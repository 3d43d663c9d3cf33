import { compress } from '../colour/cam16'
import { invert, M16, M16_INVERSE, multiplied, multiply } from '../colour/cat16'
import { UCS_VIEWING, WHITE_CARD, type PreparedLight } from '../colour/appearance'
import { xyzUnder } from '../colour/observer'
import { at, octaveTable } from '../colour/octave-table'
import { BANDS } from '../colour/spectrum'

/** Undertones of many surfaces in one light, one number a surface and column. */
export interface FlatUndertones {
  readonly j: Float64Array
  readonly a: Float64Array
  readonly b: Float64Array
  readonly c: Float64Array
  /** Direction of the lean, a unit vector; towards a where there is none. */
  readonly u: Float64Array
  readonly v: Float64Array
}

export const emptyUndertones = (count: number): FlatUndertones => ({
  j: new Float64Array(count),
  a: new Float64Array(count),
  b: new Float64Array(count),
  c: new Float64Array(count),
  u: new Float64Array(count),
  v: new Float64Array(count),
})

// Tabled once for the viewing conditions that all undertones are compared under.
const { gains, fl, flRoot4, chromaFactor, nbb, z, whiteA } = UCS_VIEWING
const compressed = octaveTable((x) => compress(x, fl), -12, 10)
const lightnessOf = octaveTable((share) => share ** (0.69 * z), -14, 2)
const chromaOf = octaveTable((t) => t ** 0.9, -14, 14)
const colourfulnessOf = octaveTable(
  (chroma) => Math.log1p(0.0228 * chroma * flRoot4) / 0.0228,
  -14,
  8,
)

// Written by seen() and read at once: the hot path hands nothing out that has to be collected.
const out = new Float64Array(3)

/**
 * The undertones of `undertoneOf` for many surfaces, without an object a surface: light, adaptation and
 * cone responses are folded into one set of 36 × 3 weights.
 *
 * @param rows reflectances, 36 numbers a surface, one surface after another
 * @param into as many places as there are surfaces
 */
export function flatUndertones(
  light: PreparedLight,
  rows: Float64Array,
  into: FlatUndertones,
): void {
  const weights = coneWeights(light)
  const cardXyz = xyzUnder(light.weights, WHITE_CARD)
  const card = multiply(M16, multiply(light.toD65, cardXyz))
  // Luminance in the room's own light, from the cone responses under D65.
  const [yl, ym, ys] = luminanceFromCones(light)
  const { j, a, b, c, u, v } = into
  const count = rows.length / BANDS
  for (let i = 0, row = 0; i < count; i++, row += BANDS) {
    let l = 0
    let m = 0
    let s = 0
    for (let band = 0, w = 0; band < BANDS; band++, w += 3) {
      const r = rows[row + band]!
      l += r * weights[w]!
      m += r * weights[w + 1]!
      s += r * weights[w + 2]!
    }
    const share = (yl * l + ym * m + ys * s) / cardXyz[1]
    seen(card[0] * share, card[1] * share, card[2] * share)
    const greyA = out[1]!
    const greyB = out[2]!
    seen(l, m, s)
    const leanA = out[1]! - greyA
    const leanB = out[2]! - greyB
    const lean = Math.sqrt(leanA * leanA + leanB * leanB)
    j[i] = out[0]!
    a[i] = leanA
    b[i] = leanB
    c[i] = lean
    u[i] = lean > 0 ? leanA / lean : 1
    v[i] = lean > 0 ? leanB / lean : 0
  }
}

function luminanceFromCones(light: PreparedLight): readonly [number, number, number] {
  const back = multiplied(invert(light.toD65), M16_INVERSE)
  return [back[3]!, back[4]!, back[5]!]
}

/** From reflectance to CAM16 cone responses under D65, band by band. */
function coneWeights(light: PreparedLight): Float64Array {
  const weights = new Float64Array(BANDS * 3)
  for (let w = 0; w < weights.length; w += 3) {
    const xyz = [light.weights[w]!, light.weights[w + 1]!, light.weights[w + 2]!] as const
    weights.set(multiply(M16, multiply(light.toD65, xyz)), w)
  }
  return weights
}

const COS_2 = Math.cos(2)
const SIN_2 = Math.sin(2)

/** CAM16-UCS of cone responses, into `out`: the formulas of cam16 and ucsOf without the angle. */
function seen(l: number, m: number, s: number): void {
  const r = coneResponse(l * gains[0])
  const g = coneResponse(m * gains[1])
  const b = coneResponse(s * gains[2])
  const a = r + (-12 * g + b) / 11
  const bb = (r + g - 2 * b) / 9
  const radius = Math.sqrt(a * a + bb * bb)
  const cos = radius > 0 ? a / radius : 1
  const sin = radius > 0 ? bb / radius : 0
  const et = 0.25 * (cos * COS_2 - sin * SIN_2 + 3.8)
  const achromatic = Math.max(0, 2 * r + g + b / 20) * nbb
  const lightness = at(lightnessOf, achromatic / whiteA)
  const t = ((50_000 / 13) * nbb * et * radius) / (r + g + 1.05 * b + 0.305)
  const chroma = at(chromaOf, t) * Math.sqrt(lightness) * chromaFactor
  const colourfulness = at(colourfulnessOf, chroma)
  out[0] = (170 * lightness) / (1 + 0.7 * lightness)
  out[1] = colourfulness * cos
  out[2] = colourfulness * sin
}

// Cone responses of a very strong colour may fall below zero.
const coneResponse = (x: number): number => (x < 0 ? -at(compressed, -x) : at(compressed, x))
