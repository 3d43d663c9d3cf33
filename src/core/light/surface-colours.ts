import { finiteAll } from '../check'
import { BANDS, SPECTRUM_LENGTH, type Reflectance, type Spectrum } from '../colour/spectrum'
import { reflectanceOfReading } from '../paint/reading'
import { GROUNDS, kindsOf, OPPOSITES } from './fittings'

/** A 36-band reflectance on the 81 wavelengths of a light: linear between bands, constant above 730 nm. */
export function alongSpectrum(reflectance: Reflectance): Spectrum {
  finiteAll(reflectance, 'reflectances')
  const along = new Float64Array(SPECTRUM_LENGTH)
  for (let i = 0; i < SPECTRUM_LENGTH; i++) {
    const band = Math.min(BANDS - 1, i / 2)
    along[i] = (reflectance[Math.floor(band)]! + reflectance[Math.ceil(band)]!) / 2
  }
  return along
}

/** What daylight may have been reflected by on its way: the sky's own light first, then what lies and stands outside. */
export const OUTSIDE = [
  'sky',
  ...kindsOf(GROUNDS),
  ...kindsOf(OPPOSITES).filter((o) => o !== 'sky'),
] as const
export type Outside = (typeof OUTSIDE)[number]

let reflectances: readonly Spectrum[] | undefined

/** Reflectance of each of OUTSIDE, 81 values; the sky's is 1. */
export function outsideReflectances(): readonly Spectrum[] {
  return (reflectances ??= OUTSIDE.map((name) => {
    const lab =
      name in GROUNDS
        ? GROUNDS[name as keyof typeof GROUNDS].lab
        : OPPOSITES[name as keyof typeof OPPOSITES].lab
    return lab
      ? alongSpectrum(reflectanceOfReading({ kind: 'lab', lab }))
      : new Float64Array(SPECTRUM_LENGTH).fill(1)
  }))
}
