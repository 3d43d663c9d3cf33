import { finite } from '../check'
import { D65_WHITE } from './illuminant'
import type { Xyz } from './spectrum'

/** Linear-light sRGB, 0 to 1 inside the gamut. */
export type LinearRgb = readonly [r: number, g: number, b: number]

// IEC 61966-2-1, matrices at full precision from its primaries and white x 0.3127, y 0.3290.
const SRGB_WHITE: Xyz = [95.0455927, 100, 108.9057751]
const TO_XYZ = [
  [0.4123907993, 0.3575843394, 0.1804807884],
  [0.2126390059, 0.7151686788, 0.072192315],
  [0.0193308187, 0.1191947798, 0.9505321522],
] as const
const FROM_XYZ = [
  [3.2409699419, -1.5373831776, -0.4986107603],
  [-0.9692436363, 1.8759675015, 0.0415550574],
  [0.0556300797, -0.2039769589, 1.0569715142],
] as const

// sRGB's white and D65 summed from the table differ in the fourth digit; scaled so that
// #ffffff is the perfect white of every other computation here.
const SCALE = D65_WHITE.map((value, i) => value / SRGB_WHITE[i]!) as [number, number, number]

/**
 * Reads `#rgb` or `#rrggbb`, with or without the sign.
 *
 * @throws RangeError naming what came
 */
export function linearRgbFromHex(hex: string): LinearRgb {
  const digits = hex.trim().replace(/^#/, '')
  if (!/^([0-9a-f]{3}|[0-9a-f]{6})$/i.test(digits))
    throw new RangeError(`a hex colour has 3 or 6 digits 0–9 a–f, got “${hex}”`)
  const full = digits.length === 3 ? [...digits].map((d) => d + d).join('') : digits
  return [0, 2, 4].map((i) => decode(parseInt(full.slice(i, i + 2), 16) / 255)) as [
    number,
    number,
    number,
  ]
}

/** Hex of a colour whose channels are clipped to 0–1 first. */
export function hexFromLinearRgb(rgb: LinearRgb): string {
  return (
    '#' +
    rgb
      .map((channel) => Math.round(encodedByte(channel)))
      .map((byte) => byte.toString(16).padStart(2, '0'))
      .join('')
  )
}

/** XYZ under D65 with Y 0 to 100. */
export function xyzFromLinearRgb(rgb: LinearRgb): Xyz {
  return TO_XYZ.map((row, i) => 100 * SCALE[i]! * dot(row, rgb)) as [number, number, number]
}

/** Linear sRGB of an XYZ under D65; outside 0–1 when the screen cannot show it. */
export function linearRgbFromXyz(xyz: Xyz): LinearRgb {
  const scaled = xyz.map((value, i) => value / (100 * SCALE[i]!)) as [number, number, number]
  return FROM_XYZ.map((row) => dot(row, scaled)) as [number, number, number]
}

// SMPTE EG 432-1 primaries with the D65 white: linear sRGB to linear Display P3, both of one white.
const P3_FROM_SRGB = [
  [0.8224619688, 0.1775380312, 0],
  [0.0331941989, 0.9668058011, 0],
  [0.0170826307, 0.0723974407, 0.9105199286],
] as const

/** Linear Display P3 of a linear sRGB; inside 0–1 where a wide-gamut screen can show it. */
export function linearP3FromLinearRgb(rgb: LinearRgb): LinearRgb {
  return P3_FROM_SRGB.map((row) => dot(row, rgb)) as [number, number, number]
}

/** The bytes of a linear Display P3 colour, its channels clipped to 0–1 first. */
export const p3BytesOf = (linearP3: LinearRgb): readonly number[] =>
  linearP3.map((channel) => Math.round(encodedByte(channel)))

/** A linear Display P3 colour as CSS writes it. */
export function p3Css(linearP3: LinearRgb): string {
  const [r, g, b] = linearP3.map((channel) => (encodedByte(channel) / 255).toFixed(4))
  return `color(display-p3 ${r} ${g} ${b})`
}

/** The matrix of {@link linearRgbFromXyz}, row by row, for XYZ with Y 0 to 1. */
export const linearRgbFromXyzMatrix = (): readonly number[] =>
  FROM_XYZ.flatMap((row) => row.map((value, k) => value / SCALE[k]!))

/** A linear channel as a byte, not yet rounded. */
export const encodedByte = (linear: number): number =>
  255 * encode(Math.min(1, Math.max(0, finite(linear, 'a linear channel'))))

/** Linear light of an encoded channel, both 0 to 1, and back. */
export const decode = (v: number): number =>
  finite(v, 'an encoded channel') <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4
export const encode = (v: number): number =>
  finite(v, 'a linear channel') <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055

const dot = (row: readonly number[], v: readonly number[]): number =>
  finite(row[0]! * v[0]! + row[1]! * v[1]! + row[2]! * v[2]!, 'a colour')

/** The three bytes of a colour as `#rrggbb`. */
export const bytesOfHex = (hex: string): number[] =>
  [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16))
