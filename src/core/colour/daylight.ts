import { finiteAll } from '../check'
import { SPECTRUM_LENGTH, type Spectrum, type Xy } from './spectrum'
import { S0, S1, S2 } from './tables/daylight-components'

// Coefficients of 1/T³, 1/T², 1/T and 1, for T in kelvin.
// CIE 015:2018, daylight locus.
const X_UP_TO_7000K = [-4.607e9, 2.9678e6, 99.11, 0.244063] as const
const X_ABOVE_7000K = [-2.0064e9, 1.9018e6, 247.48, 0.23704] as const

/**
 * Chromaticity of a phase of daylight.
 *
 * @param cctK correlated colour temperature, kelvin, 4000 to 25 000
 * @returns CIE 1931 x and y, 2° observer
 * @throws RangeError outside that range: the locus is not defined there,
 *   and candlelight is not very warm daylight
 */
export function daylightXy(cctK: number): Xy {
  if (!(cctK >= 4000 && cctK <= 25_000))
    throw new RangeError(`daylight must be 4000 to 25000 K, got ${cctK}`)
  const [a, b, c, d] = cctK <= 7000 ? X_UP_TO_7000K : X_ABOVE_7000K
  const x = a / cctK ** 3 + b / cctK ** 2 + c / cctK + d
  return [x, -3 * x ** 2 + 2.87 * x - 0.275]
}

/** Weights M1 and M2 of the daylight series, not rounded (CIE 015 rounds to three decimals). */
export function daylightWeights(cctK: number): readonly [m1: number, m2: number] {
  const [x, y] = daylightXy(cctK)
  const m = 0.0241 + 0.2562 * x - 0.7341 * y
  return [(-1.3515 - 1.7703 * x + 5.9114 * y) / m, (0.03 - 31.4424 * x + 30.0717 * y) / m]
}

/** The spectrum s0·S0 + s1·S1 + s2·S2; sums of daylights are sums of these three numbers. */
export function daylightFromComponents(s0: number, s1: number, s2: number): Spectrum {
  finiteAll([s0, s1, s2], 'components of daylight')
  const spectrum = new Float64Array(SPECTRUM_LENGTH)
  for (let i = 0; i < SPECTRUM_LENGTH; i++) spectrum[i] = s0 * S0[i]! + s1 * S1[i]! + s2 * S2[i]!
  return spectrum
}

/** Relative spectrum of the CIE daylight series, 100 at 560 nm; kelvin, 4000 to 25 000. */
export function daylightSpectrum(cctK: number): Spectrum {
  return daylightFromComponents(1, ...daylightWeights(cctK))
}
