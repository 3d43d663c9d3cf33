import { finite, finiteAll } from '../check'
import type { Xyz } from './spectrum'

/** Row-major 3 × 3. */
export type Matrix3 = readonly number[]

// Li et al., "Comprehensive color solutions: CAM16, CAT16, and CAM16-UCS",
// Color Research & Application 42 (2017).
export const M16: Matrix3 = [
  0.401288, 0.650173, -0.051461, -0.250268, 1.204414, 0.045854, -0.002079, 0.048952, 0.953127,
]

export function multiply(m: Matrix3, v: Xyz): Xyz {
  const x = m[0]! * v[0] + m[1]! * v[1] + m[2]! * v[2]
  const y = m[3]! * v[0] + m[4]! * v[1] + m[5]! * v[2]
  const z = m[6]! * v[0] + m[7]! * v[1] + m[8]! * v[2]
  finite(x + y + z, 'a colour')
  return [x, y, z]
}

/** The matrix that applies q, then p. */
export function multiplied(p: Matrix3, q: Matrix3): Matrix3 {
  finiteAll(p, 'a matrix')
  finiteAll(q, 'a matrix')
  return Array.from({ length: 9 }, (_, i) => {
    const [row, column] = [3 * Math.floor(i / 3), i % 3]
    return p[row]! * q[column]! + p[row + 1]! * q[column + 3]! + p[row + 2]! * q[column + 6]!
  })
}

export function invert(m: Matrix3): Matrix3 {
  const [a, b, c, d, e, f, g, h, i] = m as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ]
  const A = e * i - f * h
  const B = f * g - d * i
  const C = d * h - e * g
  const det = a * A + b * B + c * C
  return [
    A,
    c * h - b * i,
    b * f - c * e,
    B,
    a * i - c * g,
    c * d - a * f,
    C,
    b * g - a * h,
    a * e - b * d,
  ].map((value) => finite(value / det, 'a matrix that can be turned round'))
}

const M16_INVERSE = invert(M16)

/**
 * CAT16 in its one-step form with a degree of adaptation: what must stand under white `to` to look
 * like a colour under white `from`, for an eye that has made `degree` of the way.
 *
 * @param from white of the light the colour is under, any scale
 * @param to white to show it under
 * @param degree 0 (no adaptation: XYZ unchanged) to 1 (full)
 * @returns the matrix to apply to XYZ
 */
export function cat16Matrix(from: Xyz, to: Xyz, degree: number): Matrix3 {
  finite(degree, 'a degree of adaptation')
  const rgbFrom = multiply(M16, from)
  const rgbTo = multiply(M16, to)
  const gains = rgbFrom.map(
    (value, i) => degree * (rgbTo[i]! / value) * (from[1] / to[1]) + 1 - degree,
  )
  return multiplied(
    M16_INVERSE,
    M16.map((value, i) => gains[Math.floor(i / 3)]! * value),
  )
}

/**
 * CAM16's degree of adaptation D in average surround.
 *
 * @param adaptingLuminance L_A in cd/m²
 */
export function degreeOfAdaptation(adaptingLuminance: number): number {
  if (!(adaptingLuminance >= 0))
    throw new RangeError(`adapting luminance must be 0 or more, got ${adaptingLuminance}`)
  const d = 1 - (1 / 3.6) * Math.exp((-adaptingLuminance - 42) / 92)
  return Math.min(1, Math.max(0, d))
}
