import { finite } from '../check'
/** A light's spectral power, 81 values from 380 to 780 nm every 5 nm. */
export type Spectrum = Float64Array

/** A surface's reflectance factor, 36 values in (0, 1) from 380 to 730 nm every 10 nm. */
export type Reflectance = Float64Array

export type Xyz = readonly [x: number, y: number, z: number]
export type Xy = readonly [x: number, y: number]

export const SPECTRUM_FIRST_NM = 380
export const SPECTRUM_STEP_NM = 5
export const SPECTRUM_LENGTH = 81

export const BANDS = 36

export const wavelengthNm = (index: number): number =>
  finite(SPECTRUM_FIRST_NM + SPECTRUM_STEP_NM * index, 'a place in a spectrum')

/** A surface that reflects the same share of every wavelength. */
export function flatReflectance(share: number): Reflectance {
  return new Float64Array(BANDS).fill(finite(share, 'a reflectance'))
}

/** Adds `amount` × `part` to `sum`, in place. */
export function addScaled(sum: Spectrum, part: ArrayLike<number>, amount: number): void {
  finite(amount, 'an amount of light')
  for (let i = 0; i < SPECTRUM_LENGTH; i++) sum[i]! += amount * part[i]!
}
