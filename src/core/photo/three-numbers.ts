import { invert, multiply, multiplied, type Matrix3 } from '../colour/cat16'
import { D65_WEIGHTS, D65_WHITE } from '../colour/illuminant'
import { BANDS, type Reflectance, type Spectrum, type Xyz } from '../colour/spectrum'
import { finishPrior, type SecondMoment } from './finish-prior'
import type { PlausibleCamera } from './plausible-cameras'

/** Three rows of 36: what a camera's channels, or X, Y and Z by daylight, make of a reflectance; a perfect white is 1, and D65's white. */
export type Rows = readonly [Float64Array, Float64Array, Float64Array]

/** A camera's three channels in a light, each 1 for a perfect white. */
export function channelsIn({ sensor }: PlausibleCamera, light: Spectrum): Rows {
  const last = BANDS - 1
  return sensor.map((channel) => {
    const row = new Float64Array(last + 1)
    let sum = 0
    for (let i = 0; i < light.length; i++) {
      // A reflectance is linear between its bands and constant above the last, as in bandWeights.
      const power = channel[i]! * light[i]!
      row[Math.min(i >> 1, last)]! += power / 2
      row[Math.min((i + 1) >> 1, last)]! += power / 2
      sum += power
    }
    return row.map((value) => value / sum)
  }) as unknown as Rows
}

/** X, Y and Z of a surface by daylight (D65, 2°), Y of a perfect white 1. */
export const XYZ_BY_DAYLIGHT = [0, 1, 2].map((channel) =>
  Float64Array.from({ length: BANDS }, (_, band) => D65_WEIGHTS[band * 3 + channel]! / 100),
) as unknown as Rows
const WHITE_BY_DAYLIGHT = D65_WHITE.map((value) => value / 100) as unknown as Xyz

/** What three rows make of a surface. */
export function seenBy(rows: Rows, reflectance: Reflectance): Xyz {
  const [p, q, r] = rows
  const seen: [number, number, number] = [0, 0, 0]
  for (let band = 0; band < reflectance.length; band++) {
    seen[0] += p[band]! * reflectance[band]!
    seen[1] += q[band]! * reflectance[band]!
    seen[2] += r[band]! * reflectance[band]!
  }
  return seen
}

/** p · moment · qᵀ. */
function through(p: Rows, moment: SecondMoment, q: Rows): Matrix3 {
  const bands = q[0].length
  const product = [0, 0, 0, 0, 0, 0, 0, 0, 0]
  for (let i = 0, at = 0; i < bands; i++) {
    let [first, second, third] = [0, 0, 0]
    for (let j = 0; j < bands; j++, at++) {
      first += moment[at]! * q[0][j]!
      second += moment[at]! * q[1][j]!
      third += moment[at]! * q[2][j]!
    }
    for (let row = 0; row < 3; row++) {
      const share = p[row]![i]!
      product[3 * row]! += share * first
      product[3 * row + 1]! += share * second
      product[3 * row + 2]! += share * third
    }
  }
  return product
}

/**
 * The matrix from three channels to XYZ by daylight, Y of a perfect white 1, that errs least (in squares) over surfaces of
 * that moment, and not at all for white.
 */
export function leastErring(from: Rows, moment: SecondMoment = finishPrior()): Matrix3 {
  const inverse = invert(through(from, moment, from))
  const free = multiplied(through(XYZ_BY_DAYLIGHT, moment, from), inverse)
  const white = multiply(free, [1, 1, 1])
  const share = multiply(inverse, [1, 1, 1])
  const whole = share[0] + share[1] + share[2]
  return free.map((value, i) => {
    const row = Math.floor(i / 3)
    return value + ((WHITE_BY_DAYLIGHT[row]! - white[row]!) * share[i % 3]!) / whole
  })
}
