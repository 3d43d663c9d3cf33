import { SPECTRUM_LENGTH, wavelengthNm, type Spectrum } from './spectrum'

// Second radiation constant in m·K, as CIE 015 rounds it for colorimetry.
const C2 = 1.4388e-2

/**
 * Spectrum of a Planckian radiator: a filament, a candle, the low sun.
 *
 * @param cctK temperature in kelvin, 1000 to 50 000
 * @returns relative power, 100 at 560 nm. Source: Planck's law, CIE 015.
 * @throws RangeError outside that range
 */
export function planckianSpectrum(cctK: number): Spectrum {
  if (!(cctK >= 1000 && cctK <= 50_000))
    throw new RangeError(`a Planckian temperature must be 1000 to 50000 K, got ${cctK}`)
  const spectrum = new Float64Array(SPECTRUM_LENGTH)
  const at560 = radiance(560, cctK)
  for (let i = 0; i < SPECTRUM_LENGTH; i++)
    spectrum[i] = (100 * radiance(wavelengthNm(i), cctK)) / at560
  return spectrum
}

function radiance(nm: number, temperatureK: number): number {
  const metres = nm * 1e-9
  return (metres * 1e9) ** -5 / Math.expm1(C2 / (metres * temperatureK))
}
