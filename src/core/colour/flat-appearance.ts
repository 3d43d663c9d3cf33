import { compress, type Cam16Viewing } from './cam16'
import { M16, multiplied, multiply, type Matrix3 } from './cat16'
import type { PreparedLight } from './appearance'
import { lookUp, octaveTable, type OctaveTable } from './octave-table'
import { BANDS } from './spectrum'

/** Surfaces one after another, 36 numbers each; a deck is kept in single precision. */
export type FlatRows = Float64Array | Float32Array

/** Surfaces are taken in blocks whose numbers stay in the fastest memory. */
export const BLOCK = 256
const column = (): Float64Array => new Float64Array(BLOCK)
/** The columns of the block at hand. */
export const scratch = {
  l: column(),
  m: column(),
  s: column(),
  share: column(),
  shadeA: column(),
  shadeB: column(),
  lightness: column(),
  chroma: column(),
}

// CAM16's powers, the same under any viewing.
const lightnessOf = new Map<number, OctaveTable>()
const chromaOf = octaveTable((t) => t ** 0.9, -14, 14)

/** Viewing conditions with their powers tabled, made once each. */
export interface FlatViewing {
  readonly viewing: Cam16Viewing
  readonly compressed: OctaveTable
  readonly lightnessOf: OctaveTable
}

const viewings = new WeakMap<Cam16Viewing, FlatViewing>()

export function flatViewing(viewing: Cam16Viewing): FlatViewing {
  const known = viewings.get(viewing)
  if (known) return known
  const { fl, z } = viewing
  let lightness = lightnessOf.get(z)
  if (!lightness) {
    lightness = octaveTable((share) => share ** (0.69 * z), -14, 2)
    lightnessOf.set(z, lightness)
  }
  const made = {
    viewing,
    compressed: octaveTable((x) => compress(x, fl), -12, 10),
    lightnessOf: lightness,
  }
  viewings.set(viewing, made)
  return made
}

/** From XYZ in a light to CAM16's cone responses under D65, each with the gain of its full adaptation. */
export const conesOf = ({ toD65 }: PreparedLight, { gains }: Cam16Viewing): Matrix3 =>
  multiplied(
    M16.map((value, i) => value * gains[Math.floor(i / 3)]!),
    toD65,
  )

/** From reflectance to cone responses, band by band: three numbers a band. */
export function foldedWeights(light: PreparedLight, toCones: Matrix3): Float64Array {
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
export function coneResponses(
  rows: FlatRows,
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

const COS_2 = Math.cos(2)
const SIN_2 = Math.sin(2)

/**
 * CAM16 of the block's gained cone responses: J / 100 into `lightness`, chroma C into `chroma`, and the hue's unit
 * vector into `m` and `s`. The formulas of `cam16` without the angle.
 */
export function correlate(
  { viewing: { nbb, whiteA, chromaFactor }, compressed, lightnessOf }: FlatViewing,
  count: number,
): void {
  const { l, m, s, lightness, chroma } = scratch
  const tGain = (50_000 / 13) * nbb * 0.25
  const shareOfWhite = nbb / whiteA
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
    lightness[i] = achromatic > 0 ? achromatic * shareOfWhite : 0
    chroma[i] = (tGain * et) / (r + g + 1.05 * b + 0.305)
    m[i] = a * inverse
    s[i] = bb * inverse
  }
  lookUp(lightnessOf, lightness, lightness, count)
  lookUp(chromaOf, chroma, chroma, count)
  for (let i = 0; i < count; i++) chroma[i]! *= Math.sqrt(lightness[i]!) * chromaFactor
}
