import { between, finite, finiteAll } from '../check'
import { xyzUnder, bandWeights, xyzOfSpectrum } from './observer'
import { BANDS, SPECTRUM_LENGTH, type Reflectance, type Spectrum, type Xyz } from './spectrum'

/** A wall colour once it is on all four walls. */
export interface FourWalls {
  /** The room's light then: what bounces has the walls' colour. */
  readonly spectrum: Spectrum
  readonly illuminanceLux: number
  /** The wall in that light for an eye that stays adapted to the light that comes in, Y against its white. */
  readonly xyzForWindowEye: Xyz
}

/**
 * The light of a room once a colour is on its walls. A chip is seen in the room as it is; four walls light each
 * other: E(λ) = E₀(λ) / (1 − ρ̄(λ)), with the walls in ρ̄ once.
 *
 * The truth lies between two eyes: one adapted to the window (`xyzForWindowEye`) and one adapted to a card in the
 * painted room (the spectrum, prepared as any light).
 *
 * @param spectrum at the wall now, 81 values
 * @param wallShare walls over all surfaces of the room, 0 to 1
 * @param now reflectance of the room as it is, over all surfaces and of its walls, 81 values, which the spectrum holds
 *   already
 */
export function fourWalls(
  spectrum: Spectrum,
  illuminanceLux: number,
  paint: Reflectance,
  wallShare: number,
  now: { readonly mean: Spectrum; readonly wall: Spectrum },
): FourWalls {
  between(wallShare, 0, 1, 'wallShare')
  finite(illuminanceLux, 'illuminanceLux')
  for (const values of [spectrum, paint, now.mean, now.wall]) finiteAll(values, 'a spectrum')
  const painted = new Float64Array(SPECTRUM_LENGTH)
  for (let i = 0; i < SPECTRUM_LENGTH; i++) {
    const band = Math.min(BANDS - 1, i / 2)
    const wall = (paint[Math.floor(band)]! + paint[Math.ceil(band)]!) / 2
    const mean = now.mean[i]! + wallShare * (wall - now.wall[i]!)
    painted[i] = (spectrum[i]! * (1 - now.mean[i]!)) / (1 - mean)
  }
  const gain = xyzOfSpectrum(painted)[1] / xyzOfSpectrum(spectrum)[1]
  const [x, y, z] = xyzUnder(bandWeights(painted), paint)
  return {
    spectrum: painted,
    illuminanceLux: illuminanceLux * gain,
    xyzForWindowEye: [x * gain, y * gain, z * gain],
  }
}
