import { finite } from '../check'
import { D65_WHITE } from './illuminant'
import type { Xyz } from './spectrum'

export type Lab = readonly [l: number, a: number, b: number]

// CIE 015: the linear part near black meets the cube root at these exact fractions.
const EPSILON = 216 / 24389
const KAPPA = 24389 / 27

/** CIE 1976 L*a*b* of an XYZ with Y 0 to 100, against a white; D65, 2° unless told otherwise. */
export function labFromXyz(xyz: Xyz, white: Xyz = D65_WHITE): Lab {
  const [fx, fy, fz] = xyz.map((value, i) => forward(value / white[i]!)) as [number, number, number]
  finite(fx + fy + fz, 'a colour and its white')
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)]
}

/** The inverse of {@link labFromXyz}; the result may be a colour that no surface has. */
export function xyzFromLab([l, a, b]: Lab, white: Xyz = D65_WHITE): Xyz {
  finite(l + a + b + white[0] + white[1] + white[2], 'L*, a*, b* and their white')
  const fy = (l + 16) / 116
  return [
    white[0] * backward(fy + a / 500),
    white[1] * (l > KAPPA * EPSILON ? fy ** 3 : l / KAPPA),
    white[2] * backward(fy - b / 200),
  ]
}

const forward = (t: number): number => (t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116)
const backward = (f: number): number => (f ** 3 > EPSILON ? f ** 3 : (116 * f - 16) / KAPPA)
