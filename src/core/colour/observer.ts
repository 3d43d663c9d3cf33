import { finite, finiteAll } from '../check'
import {
  BANDS,
  SPECTRUM_LENGTH,
  type Reflectance,
  type Spectrum,
  type Xy,
  type Xyz,
} from './spectrum'
import { X_BAR_10, X_BAR_2, Y_BAR_10, Y_BAR_2, Z_BAR_10, Z_BAR_2 } from './tables/observers'

/** CIE 1931 (2°) or CIE 1964 (10°) standard observer. */
export type Observer = '2deg' | '10deg'

const CMF = {
  '2deg': [X_BAR_2, Y_BAR_2, Z_BAR_2],
  '10deg': [X_BAR_10, Y_BAR_10, Z_BAR_10],
} as const

/** XYZ of a light itself, by plain summation over 380–780 nm; the scale is the spectrum's own. */
export function xyzOfSpectrum(spectrum: ArrayLike<number>, observer: Observer = '2deg'): Xyz {
  finiteAll(spectrum, 'a spectrum')
  const sum: [number, number, number] = [0, 0, 0]
  CMF[observer].forEach((bar, channel) => {
    for (let i = 0; i < SPECTRUM_LENGTH; i++) sum[channel]! += spectrum[i]! * bar[i]!
  })
  return sum
}

/** White point of a light with Y = 100. Throws RangeError for a light without power. */
export function whitePoint(spectrum: ArrayLike<number>, observer: Observer = '2deg'): Xyz {
  const [x, y, z] = xyzOfSpectrum(spectrum, observer)
  if (!(y > 0)) throw new RangeError('a light needs some power in the visible range, got none')
  return [(100 * x) / y, 100, (100 * z) / y]
}

export function xyOf([x, y, z]: Xyz): Xy {
  const sum = x + y + z
  if (!(Number.isFinite(sum) && sum !== 0))
    throw new RangeError(`XYZ must be numbers that sum to more than 0, got ${x}, ${y}, ${z}`)
  return [x / sum, y / sum]
}

/**
 * Weights that turn a 36-band reflectance under this light into XYZ, perfect diffuser Y = 100.
 *
 * The reflectance is taken as linear between its bands and as constant above 730 nm, so the sum
 * over the full 5 nm table folds into 36 numbers and the white point stays that of the table
 * (the idea of ASTM E308's weighting tables).
 *
 * @returns 108 numbers, band by band: x, y, z of band 0, then of band 1, …
 */
export function bandWeights(spectrum: Spectrum, observer: Observer = '2deg'): Float64Array {
  const weights = new Float64Array(BANDS * 3)
  const scale = 100 / xyzOfSpectrum(spectrum, observer)[1]
  if (!Number.isFinite(scale))
    throw new RangeError('a light needs some power in the visible range, got none')
  CMF[observer].forEach((bar, channel) => {
    for (let i = 0; i < SPECTRUM_LENGTH; i++) {
      const power = scale * spectrum[i]! * bar[i]!
      const lower = Math.min(i >> 1, BANDS - 1)
      const upper = Math.min((i + 1) >> 1, BANDS - 1)
      weights[lower * 3 + channel]! += power / 2
      weights[upper * 3 + channel]! += power / 2
    }
  })
  return weights
}

/** XYZ of a surface under the light the weights were made for, Y 0 to 100. */
export function xyzUnder(weights: Float64Array, reflectance: Reflectance): Xyz {
  let x = 0
  let y = 0
  let z = 0
  for (let band = 0, w = 0; w < weights.length; band++, w += 3) {
    const r = reflectance[band]!
    x += r * weights[w]!
    y += r * weights[w + 1]!
    z += r * weights[w + 2]!
  }
  finite(x + y + z, 'reflectances under a light')
  return [x, y, z]
}
