import { colourRenderingIndex } from './colour-rendering'
import { daylightSpectrum } from './daylight'
import { whitePoint, xyzOfSpectrum } from './observer'
import { planckianSpectrum } from './planckian'
import { SPECTRUM_LENGTH, wavelengthNm, type Spectrum, type Xyz } from './spectrum'

// A blue die and two phosphors, centre and width in nanometres: the usual make of white LEDs
// (common practice). The red phosphor is what costs efficiency and buys rendering, so its place
// is the one free choice; where that does not reach a high rendering, makers fill the gap between
// blue and green, with a die of longer waves and a broader phosphor.
const MAKES = [
  { blue: [452, 11], green: [538, 44] },
  { blue: [456, 14], green: [530, 54] },
  { blue: [459, 16], green: [526, 62] },
] as const
type Make = (typeof MAKES)[number]
const RED_WIDTH = 44
const REDDEST_NM = 660
const LEAST_RED_NM = 580

const DAYLIGHT_FROM_K = 5000

// A miss of the rendering that needs no better make, and one that is too far.
const NEAR_ENOUGH = 0.5
const FARTHEST = 2

/**
 * Spectrum of a white LED of a colour temperature and about a colour rendering.
 *
 * Blue, green and red parts are solved to sit on the Planckian locus (from 5,000 K on the daylight
 * locus); the red phosphor is moved until Ra is met. Real lamps differ: this is a stand-in of the
 * usual shape, not a measurement.
 *
 * @param cctK 2200 to 7000 kelvin
 * @param ra wanted general colour rendering index, 70 to 95; met within 2 from 2200 to 6500 K
 * @throws RangeError outside those ranges, and where no lamp of these makes comes within 2 of the rendering
 */
export function ledSpectrum(cctK: number, ra: number): Spectrum {
  if (!(cctK >= 2200 && cctK <= 7000))
    throw new RangeError(`an LED's colour temperature must be 2200 to 7000 K, got ${cctK}`)
  if (!(ra >= 70 && ra <= 95))
    throw new RangeError(`an LED's colour rendering must be 70 to 95, got ${ra}`)
  const target = whitePoint(
    cctK < DAYLIGHT_FROM_K ? planckianSpectrum(cctK) : daylightSpectrum(cctK),
  )
  let best: { readonly spectrum: Spectrum; readonly miss: number } | null = null
  for (const make of MAKES) {
    for (let redNm = LEAST_RED_NM; redNm <= REDDEST_NM; redNm += 1) {
      const spectrum = mixTo(target, make, redNm)
      if (!spectrum) continue
      const miss = Math.abs(colourRenderingIndex(spectrum) - ra)
      if (!best || miss < best.miss) best = { spectrum, miss }
    }
    if (best && best.miss < NEAR_ENOUGH) break
  }
  if (!best || best.miss > FARTHEST)
    throw new RangeError(`no LED of these makes comes within ${FARTHEST} of Ra ${ra} at ${cctK} K`)
  return best.spectrum
}

function band([centre, width]: readonly [number, number]): Spectrum {
  return new Float64Array(SPECTRUM_LENGTH).map((_, i) =>
    Math.exp(-0.5 * ((wavelengthNm(i) - centre) / width) ** 2),
  )
}

/** Amounts of the three parts that together have the target's XYZ; null when one would be negative. */
function mixTo(target: Xyz, { blue, green }: Make, redNm: number): Spectrum | null {
  const parts = [band(blue), band(green), band([redNm, RED_WIDTH])]
  const [p, q, r] = parts.map((part) => xyzOfSpectrum(part)) as [Xyz, Xyz, Xyz]
  const whole = determinant(p, q, r)
  const amounts = [
    determinant(target, q, r) / whole,
    determinant(p, target, r) / whole,
    determinant(p, q, target) / whole,
  ]
  if (!amounts.every((amount) => amount >= 0)) return null
  return new Float64Array(SPECTRUM_LENGTH).map((_, i) =>
    parts.reduce((sum, part, k) => sum + amounts[k]! * part[i]!, 0),
  )
}

const determinant = (a: Xyz, b: Xyz, c: Xyz): number =>
  a[0] * (b[1] * c[2] - b[2] * c[1]) -
  b[0] * (a[1] * c[2] - a[2] * c[1]) +
  c[0] * (a[1] * b[2] - a[2] * b[1])
