import { finiteAll } from '../check'
import { xyzOfSpectrum } from '../colour/observer'
import { SPECTRUM_LENGTH, type Reflectance, type Spectrum, type Xyz } from '../colour/spectrum'

/** Bands of 20 nm from 380 to 740 nm: what light that goes from wall to wall is kept in. */
export const ROOM_BANDS = 18
const FINE_A_BAND = 4
// What is left of the red end belongs to the last band.
const bandOf = (i: number): number => Math.min(ROOM_BANDS - 1, Math.floor(i / FINE_A_BAND))

/** A light's mean power in each band. */
export function bandsOfSpectrum(spectrum: Spectrum): Float64Array {
  finiteAll(spectrum, 'a spectrum')
  const bands = new Float64Array(ROOM_BANDS)
  for (let i = 0; i < ROOM_BANDS * FINE_A_BAND; i++) bands[bandOf(i)]! += spectrum[i]! / FINE_A_BAND
  return bands
}

/** A surface's mean reflectance in each band. */
export function bandsOfReflectance(reflectance: Reflectance): Float64Array {
  finiteAll(reflectance, 'reflectances')
  return Float64Array.from(
    { length: ROOM_BANDS },
    (_, b) => (reflectance[2 * b]! + reflectance[2 * b + 1]!) / 2,
  )
}

// X, Y and Z of each wavelength by itself, three numbers each.
const FINE_XYZ = Float64Array.from(
  Array.from({ length: SPECTRUM_LENGTH }, (_, i) => {
    const alone = new Float64Array(SPECTRUM_LENGTH)
    alone[i] = 1
    return xyzOfSpectrum(alone)
  }).flat(),
)

/**
 * What each band of a light gives to X, Y and Z where it is reflected whole: three numbers a band. A light's own lines keep
 * their place in their band.
 */
export function bandXyz(spectrum: Spectrum): Float64Array {
  finiteAll(spectrum, 'a spectrum')
  const weights = new Float64Array(ROOM_BANDS * 3)
  for (let i = 0; i < SPECTRUM_LENGTH; i++)
    for (let k = 0; k < 3; k++) weights[bandOf(i) * 3 + k]! += spectrum[i]! * FINE_XYZ[i * 3 + k]!
  return weights
}

/** The same of a power that is even over each band: what light is once it has gone from wall to wall. */
export const EVEN_BANDS = bandXyz(new Float64Array(SPECTRUM_LENGTH).fill(1))

/** X, Y, Z of a surface that sends back its share of each band's weights. */
export function xyzReflected(weights: Float64Array, shares: ArrayLike<number>): Xyz {
  let x = 0
  let y = 0
  let z = 0
  for (let b = 0; b < ROOM_BANDS; b++) {
    const share = shares[b]!
    x += share * weights[b * 3]!
    y += share * weights[b * 3 + 1]!
    z += share * weights[b * 3 + 2]!
  }
  return [x, y, z]
}

/** Adds a share of some bands to a row of many. */
export function addBands(to: Float64Array, row: number, bands: Float64Array, share: number): void {
  for (let b = 0, at = row * ROOM_BANDS; b < ROOM_BANDS; b++, at++) to[at]! += share * bands[b]!
}
