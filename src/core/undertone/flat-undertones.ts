import { compress } from '../colour/cam16'
import { invert, M16, multiplied, multiply, type Matrix3 } from '../colour/cat16'
import { appearanceOfXyz, UCS_VIEWING, WHITE_CARD, type PreparedLight } from '../colour/appearance'
import { xyzUnder } from '../colour/observer'
import {
  lookUp,
  octaveNodes,
  octaveTable,
  tableThrough,
  type OctaveTable,
} from '../colour/octave-table'
import { BANDS, type Xyz } from '../colour/spectrum'
import { hueDegOf, type Undertone } from './undertone'

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

/** One surface of many as an object. */
export const undertoneAt = ({ j, a, b, c }: FlatUndertones, row: number): Undertone => ({
  j: j[row]!,
  a: a[row]!,
  b: b[row]!,
  c: c[row]!,
  hueDeg: hueDegOf(a[row]!, b[row]!),
})

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

// Constants of the viewing conditions, folded.
const T_GAIN = (50_000 / 13) * nbb * 0.25
const SHARE_OF_WHITE = nbb / whiteA
const COS_2 = Math.cos(2)
const SIN_2 = Math.sin(2)

// Surfaces are taken in blocks whose numbers stay in the fastest memory.
const BLOCK = 256
const column = (): Float64Array => new Float64Array(BLOCK)
const scratch = {
  l: column(),
  m: column(),
  s: column(),
  share: column(),
  shadeA: column(),
  shadeB: column(),
  lightness: column(),
  chroma: column(),
}

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
  const toCones = multiplied(GAINED_CONES, light.toD65)
  const weights = foldedWeights(light, toCones)
  const cardXyz = xyzUnder(light.weights, WHITE_CARD)
  const [greyA, greyB] = greyTables(light, cardXyz, multiply(toCones, cardXyz))
  // Luminance in the room's own light over the card's, from the cone responses.
  const back = invert(toCones)
  const [yl, ym, ys] = [back[3]! / cardXyz[1], back[4]! / cardXyz[1], back[5]! / cardXyz[1]]
  const { j, a, b, c, u, v } = into
  const { l, m, s, share, shadeA, shadeB } = scratch
  for (let first = 0; first < j.length; first += BLOCK) {
    const count = Math.min(BLOCK, j.length - first)
    coneResponses(rows, first, count, weights)
    for (let i = 0; i < count; i++) share[i] = yl * l[i]! + ym * m[i]! + ys * s[i]!
    lookUp(greyA, share, shadeA, count)
    lookUp(greyB, share, shadeB, count)
    appear(count)
    for (let i = 0, to = first; i < count; i++, to++) {
      const leanA = m[i]! - shadeA[i]!
      const leanB = s[i]! - shadeB[i]!
      const lean = Math.sqrt(leanA * leanA + leanB * leanB)
      const inverse = lean > 0 ? 1 / lean : 0
      j[to] = l[i]!
      a[to] = leanA
      b[to] = leanB
      c[to] = lean
      u[to] = lean > 0 ? leanA * inverse : 1
      v[to] = leanB * inverse
    }
  }
}

// The card at shares of its luminance, from off-black to twice itself; what is darker is computed.
const SHARE_BITS = 4
const SHARES = octaveNodes(-7, 1, SHARE_BITS)

/** The card darkened to any luminance has a slight lean of its own: a and b, tabled by the share. */
function greyTables(
  light: PreparedLight,
  cardXyz: Xyz,
  card: Xyz,
): readonly [OctaveTable, OctaveTable] {
  const valuesA = new Float64Array(SHARES.length)
  const valuesB = new Float64Array(SHARES.length)
  const { l, m, s } = scratch
  for (let first = 0; first < SHARES.length; first += BLOCK) {
    const count = Math.min(BLOCK, SHARES.length - first)
    for (let i = 0; i < count; i++) {
      const share = SHARES[first + i]!
      l[i] = card[0] * share
      m[i] = card[1] * share
      s[i] = card[2] * share
    }
    appear(count)
    valuesA.set(m.subarray(0, count), first)
    valuesB.set(s.subarray(0, count), first)
  }
  const exact =
    (axis: 1 | 2) =>
    (share: number): number =>
      appearanceOfXyz(light, [cardXyz[0] * share, cardXyz[1] * share, cardXyz[2] * share]).ucs[axis]
  return [
    tableThrough(SHARES, valuesA, SHARE_BITS, exact(1)),
    tableThrough(SHARES, valuesB, SHARE_BITS, exact(2)),
  ]
}

// CAM16's cone responses under D65, each with the gain of its full adaptation.
const GAINED_CONES = M16.map((value, i) => value * gains[Math.floor(i / 3)]!)

/** From reflectance to cone responses, band by band: three numbers a band. */
function foldedWeights(light: PreparedLight, toCones: Matrix3): Float64Array {
  const weights = new Float64Array(BANDS * 3)
  for (let w = 0; w < weights.length; w += 3)
    weights.set(
      multiply(toCones, [light.weights[w]!, light.weights[w + 1]!, light.weights[w + 2]!]),
      w,
    )
  return weights
}

/**
 * L, M and S of a block of surfaces, into the scratch columns. Four surfaces at a time: the weights are
 * loaded once for all of them, which halves the cost.
 */
function coneResponses(
  rows: Float64Array,
  first: number,
  count: number,
  weights: Float64Array,
): void {
  const { l, m, s } = scratch
  const last = count - 1
  for (let i = 0; i < count; i += 4) {
    // Past the end the last surface stands in; it is written again, the same.
    const i1 = Math.min(last, i + 1)
    const i2 = Math.min(last, i + 2)
    const i3 = Math.min(last, i + 3)
    const row0 = (first + i) * BANDS
    const row1 = (first + i1) * BANDS
    const row2 = (first + i2) * BANDS
    const row3 = (first + i3) * BANDS
    let l0 = 0
    let m0 = 0
    let s0 = 0
    let l1 = 0
    let m1 = 0
    let s1 = 0
    let l2 = 0
    let m2 = 0
    let s2 = 0
    let l3 = 0
    let m3 = 0
    let s3 = 0
    for (let band = 0, w = 0; band < BANDS; band++, w += 3) {
      const x = weights[w]!
      const y = weights[w + 1]!
      const z = weights[w + 2]!
      const r0 = rows[row0 + band]!
      const r1 = rows[row1 + band]!
      const r2 = rows[row2 + band]!
      const r3 = rows[row3 + band]!
      l0 += r0 * x
      m0 += r0 * y
      s0 += r0 * z
      l1 += r1 * x
      m1 += r1 * y
      s1 += r1 * z
      l2 += r2 * x
      m2 += r2 * y
      s2 += r2 * z
      l3 += r3 * x
      m3 += r3 * y
      s3 += r3 * z
    }
    l[i] = l0
    m[i] = m0
    s[i] = s0
    l[i1] = l1
    m[i1] = m1
    s[i1] = s1
    l[i2] = l2
    m[i2] = m2
    s[i2] = s2
    l[i3] = l3
    m[i3] = m3
    s[i3] = s3
  }
}

/**
 * CAM16-UCS of the block's gained cone responses, in place: J′ for L, a′ for M, b′ for S. The formulas of cam16
 * and ucsOf without the angle.
 */
function appear(count: number): void {
  const { l, m, s, lightness, chroma } = scratch
  lookUp(compressed, l, l, count)
  lookUp(compressed, m, m, count)
  lookUp(compressed, s, s, count)
  for (let i = 0; i < count; i++) {
    const r = l[i]!
    const g = m[i]!
    const b = s[i]!
    const a = r + (-12 * g + b) / 11
    const bb = (r + g - 2 * b) / 9
    const radius = Math.sqrt(a * a + bb * bb)
    const inverse = radius > 0 ? 1 / radius : 0
    const et = a * COS_2 - bb * SIN_2 + 3.8 * radius
    const achromatic = 2 * r + g + b / 20
    lightness[i] = achromatic > 0 ? achromatic * SHARE_OF_WHITE : 0
    chroma[i] = (T_GAIN * et) / (r + g + 1.05 * b + 0.305)
    m[i] = a * inverse
    s[i] = bb * inverse
  }
  lookUp(lightnessOf, lightness, lightness, count)
  lookUp(chromaOf, chroma, chroma, count)
  for (let i = 0; i < count; i++) chroma[i]! *= Math.sqrt(lightness[i]!) * chromaFactor
  lookUp(colourfulnessOf, chroma, chroma, count)
  for (let i = 0; i < count; i++) {
    l[i] = (170 * lightness[i]!) / (1 + 0.7 * lightness[i]!)
    m[i]! *= chroma[i]!
    s[i]! *= chroma[i]!
  }
}
