import { between, finite, finiteAll } from '../check'
import { M16, multiply } from './cat16'
import type { Xyz } from './spectrum'

/** Appearance correlates of CAM16. */
export interface Cam16 {
  /** Lightness, brightness, chroma, colourfulness, saturation. */
  readonly J: number
  readonly Q: number
  readonly C: number
  readonly M: number
  readonly s: number
  /** Hue angle in degrees. */
  readonly h: number
}

/** CAM16-UCS coordinates: lightness J′ and the two opponent axes. */
export type Ucs = readonly [j: number, a: number, b: number]

/** Viewing conditions, prepared once. */
export interface Cam16Viewing {
  readonly gains: Xyz
  readonly fl: number
  readonly flRoot4: number
  readonly n: number
  /** (1.64 − 0.29ⁿ)^0.73 of the chroma formula. */
  readonly chromaFactor: number
  readonly nbb: number
  readonly z: number
  readonly whiteA: number
}

// Average surround: c, Nc.
const C_SURROUND = 0.69
const N_C = 1

/**
 * Prepares CAM16 for an average surround.
 *
 * @param white XYZ with Y = 100
 * @param adaptingLuminance L_A in cd/m²
 * @param degree degree of adaptation to that white, 0 to 1
 * @param backgroundY relative luminance of the background, 0 to 100
 */
export function cam16Viewing(
  white: Xyz,
  adaptingLuminance: number,
  degree: number,
  backgroundY = 20,
): Cam16Viewing {
  finiteAll(white, 'a white')
  between(adaptingLuminance, 0, 1e9, 'adapting luminance')
  between(degree, 0, 1, 'a degree of adaptation')
  between(backgroundY, 1e-6, 1e6, 'backgroundY')
  const k = 1 / (5 * adaptingLuminance + 1)
  const fl =
    0.2 * k ** 4 * 5 * adaptingLuminance +
    0.1 * (1 - k ** 4) ** 2 * Math.cbrt(5 * adaptingLuminance)
  const n = backgroundY / white[1]
  const nbb = 0.725 * n ** -0.2
  const rgbWhite = multiply(M16, white)
  const gains = rgbWhite.map((v) => degree * (white[1] / v) + 1 - degree) as [
    number,
    number,
    number,
  ]
  const adapted = rgbWhite.map((v, i) => compress(v * gains[i]!, fl)) as [number, number, number]
  return {
    gains,
    fl,
    flRoot4: fl ** 0.25,
    n,
    chromaFactor: (1.64 - 0.29 ** n) ** 0.73,
    nbb,
    z: 1.48 + Math.sqrt(n),
    whiteA: achromatic(adapted) * nbb,
  }
}

/** CAM16 (Li et al. 2017) of XYZ, Y 0 to 100, under prepared viewing conditions. */
export function cam16(xyz: Xyz, viewing: Cam16Viewing): Cam16 {
  const cone = multiply(M16, xyz)
  const r = compress(cone[0] * viewing.gains[0], viewing.fl)
  const g = compress(cone[1] * viewing.gains[1], viewing.fl)
  const b = compress(cone[2] * viewing.gains[2], viewing.fl)

  const a = r + (-12 * g + b) / 11
  const bb = (r + g - 2 * b) / 9
  const hue = Math.atan2(bb, a)
  const et = 0.25 * (Math.cos(hue + 2) + 3.8)
  const A = Math.max(0, achromatic([r, g, b])) * viewing.nbb
  const J = 100 * (A / viewing.whiteA) ** (C_SURROUND * viewing.z)
  const Q = (4 / C_SURROUND) * Math.sqrt(J / 100) * (viewing.whiteA + 4) * viewing.flRoot4
  const t =
    ((50_000 / 13) * N_C * viewing.nbb * et * Math.hypot(a, bb)) / (r + g + 1.05 * b + 0.305)
  const C = t ** 0.9 * Math.sqrt(J / 100) * viewing.chromaFactor
  const M = C * viewing.flRoot4
  const s = Q > 0 ? 100 * Math.sqrt(M / Q) : 0
  finite(J + Q + C + M + s + hue, 'a colour and its viewing')
  return { J, Q, C, M, s, h: ((hue * 180) / Math.PI + 360) % 360 }
}

/** CAM16-UCS (Li et al. 2017). */
export function ucsOf({ J, M, h }: Cam16): Ucs {
  const m = Math.log1p(0.0228 * M) / 0.0228
  finite(J + m + h, 'correlates')
  const hue = (h * Math.PI) / 180
  return [(1.7 * J) / (1 + 0.007 * J), m * Math.cos(hue), m * Math.sin(hue)]
}

/** Colour difference ΔE′ in CAM16-UCS. */
export function ucsDifference(p: Ucs, q: Ucs): number {
  return finite(Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]), 'a difference')
}

const achromatic = ([r, g, b]: Xyz): number => 2 * r + g + b / 20

// The model's own form carries +0.1 in every cone response; it cancels in everything but the
// denominator of t (0.305 above), so it is left out here.
/** CAM16's post-adaptation compression of one cone response. */
export function compress(value: number, fl: number): number {
  const x = ((fl * Math.abs(value)) / 100) ** 0.42
  return finite((Math.sign(value) * 400 * x) / (x + 27.13), 'a cone response')
}
