import { finite, finiteAll } from '../check'
import { xyzOfSpectrum } from './observer'
import { addScaled, SPECTRUM_LENGTH, type Spectrum } from './spectrum'

export interface LightPart {
  /** Any scale. */
  readonly spectrum: ArrayLike<number>
  readonly illuminanceLux: number
}

/** Adds `lux` of a light of any scale to a spectrum whose luminous sum is in lux, in place. */
export function addPerLux(sum: Spectrum, light: ArrayLike<number>, lux: number): void {
  finiteAll(light, 'a light')
  addScaled(sum, light, finite(lux / xyzOfSpectrum(light)[1], 'lux of a light'))
}

/** Several lights on one wall; the luminous sum of the result is their illuminance together. */
export function mixLights(parts: readonly LightPart[]): Spectrum {
  if (parts.length === 0) throw new RangeError('a mix needs at least one light, got none')
  const sum = new Float64Array(SPECTRUM_LENGTH)
  for (const { spectrum, illuminanceLux } of parts) addPerLux(sum, spectrum, illuminanceLux)
  return sum
}
