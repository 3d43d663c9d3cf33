import { finiteAll } from '../check'
import {
  D65_WEIGHTS,
  D65_WHITE,
  ILLUMINANT_SPECTRA,
  type IlluminantName,
} from '../colour/illuminant'
import { labFromXyz, xyzFromLab, type Lab } from '../colour/lab'
import { bandWeights, whitePoint, xyzUnder, type Observer } from '../colour/observer'
import { BANDS, SPECTRUM_FIRST_NM, type Reflectance, type Xyz } from '../colour/spectrum'
import { linearRgbFromHex, xyzFromLinearRgb } from '../colour/srgb'
import { DARKEST_Y, LIGHTEST_Y, smoothestReflectance } from './smoothest-reflectance'

/** The light and the eye a number was given for; D65 and 2° unless told otherwise. */
export interface MeasuredFor {
  readonly illuminant?: IlluminantName
  readonly observer?: Observer
}

/** A colour as it was read. */
export type Reading =
  | {
      readonly kind: 'spectral'
      /** Nanometres, rising. */
      readonly wavelengthsNm: readonly number[]
      /** Reflectance factor at each, 0 to 1. */
      readonly reflectance: readonly number[]
    }
  | ({ readonly kind: 'lab'; readonly lab: Lab } & MeasuredFor)
  /** Y 0 to 100. */
  | ({ readonly kind: 'xyz'; readonly xyz: Xyz } & MeasuredFor)
  | { readonly kind: 'srgb'; readonly hex: string }

/** A reading of one number in the application's own terms, as it is stored: D65, 2°, or sRGB. */
export type PlainReading =
  { readonly kind: 'lab'; readonly lab: Lab } | { readonly kind: 'srgb'; readonly hex: string }

/** A reading as it is stored. */
export type KeptReading = PlainReading | Extract<Reading, { readonly kind: 'spectral' }>

/** How a colour came to be known, firmest first. */
export const READING_SOURCES = [
  'spectral',
  'reader',
  'maker',
  'screen',
  'eye',
  'uncalibrated',
  'photo',
] as const
export type ReadingSource = (typeof READING_SOURCES)[number]

/** How far a reading may lie off, CAM16-UCS units, its lean and its lightness apart. */
export interface Uncertainty {
  readonly lean: number
  readonly lightness: number
}

/**
 * How far a prediction in another light may lie off, by the kind of reading: an expanded uncertainty, twice the standard
 * one (JCGM 100:2008, coverage factor 2).
 *
 * The reader's and the maker's figure covers the reconstruction from one number (median 0.6, worst 1.9
 * on CIE test colour samples, see docs/model.md) and the instrument; the rest is common practice.
 */
export const READING_UNCERTAINTY: Record<ReadingSource, Uncertainty> = {
  spectral: { lean: 0.4, lightness: 0.4 },
  reader: { lean: 1, lightness: 0.8 },
  maker: { lean: 1.2, lightness: 1 },
  screen: { lean: 2, lightness: 2 },
  eye: { lean: 3, lightness: 3 },
  // A colour reader that was not calibrated on its white tile.
  uncalibrated: { lean: 3, lightness: 4 },
  // Its exposure is the camera's choice.
  photo: { lean: 4, lightness: 5 },
}

/** What a finish that varies from piece to piece adds; common practice for natural stone and wood. */
const VARIES: Uncertainty = { lean: 2, lightness: 4 }

/** How firm a reading is: by its kind, or as it has told itself. */
export type Firmness = ReadingSource | Uncertainty

/** The uncertainty of a finish read once, with what it varies by from piece to piece. */
export function uncertaintyOf(firmness: Firmness, varies = false): Uncertainty {
  const own = typeof firmness === 'string' ? READING_UNCERTAINTY[firmness] : firmness
  finiteAll([own.lean, own.lightness], 'an uncertainty')
  return varies
    ? {
        lean: Math.hypot(own.lean, VARIES.lean),
        lightness: Math.hypot(own.lightness, VARIES.lightness),
      }
    : own
}

/** What a deck's reading is: its L*a*b* is its maker's figure. */
export const deckSource = ({ kind }: KeptReading): ReadingSource =>
  kind === 'spectral' ? 'spectral' : kind === 'lab' ? 'maker' : 'screen'

/** The source a reading speaks for by itself; a person may know better. */
export function sourceOf(reading: Reading): ReadingSource {
  if (reading.kind === 'spectral') return 'spectral'
  return reading.kind === 'srgb' ? 'screen' : 'reader'
}

/**
 * The reflectance behind a reading, 36 bands: interpolated from a spectrum, else the smoothest with
 * that colour.
 *
 * Accuracy, measured on CIE test colour samples 1–8: see docs/model.md.
 *
 * @throws RangeError for numbers outside the scale, ImpossibleColourError for a colour no paint has
 */
export function reflectanceOfReading(reading: Reading): Reflectance {
  switch (reading.kind) {
    case 'spectral':
      return interpolate(checkedSpectrum(reading.wavelengthsNm, reading.reflectance))
    case 'lab': {
      const { white, weights } = measuredFor(reading)
      return smoothestReflectance(xyzFromLab(checkedLab(reading.lab), white), weights)
    }
    case 'xyz':
      return smoothestReflectance(reading.xyz, measuredFor(reading).weights)
    case 'srgb':
      return smoothestReflectance(withinPaint(xyzFromLinearRgb(linearRgbFromHex(reading.hex))))
  }
}

/** Bands, in nanometres, that a spectral reading does not reach and that were carried on flat. */
export function extrapolatedBandsNm(wavelengthsNm: readonly number[]): number[] {
  finiteAll(wavelengthsNm, 'wavelengths')
  const [first, last] = [wavelengthsNm[0] ?? Infinity, wavelengthsNm.at(-1) ?? -Infinity]
  return Array.from({ length: BANDS }, (_, band) => SPECTRUM_FIRST_NM + 10 * band).filter(
    (nm) => nm < first || nm > last,
  )
}

function measuredFor({ illuminant = 'D65', observer = '2deg' }: MeasuredFor) {
  const spectrum = ILLUMINANT_SPECTRA[illuminant]
  return {
    white: whitePoint(spectrum, observer),
    weights:
      illuminant === 'D65' && observer === '2deg' ? D65_WEIGHTS : bandWeights(spectrum, observer),
  }
}

interface Samples {
  readonly nm: readonly number[]
  readonly share: readonly number[]
}

function checkedSpectrum(nm: readonly number[], share: readonly number[]): Samples {
  if (nm.length === 0) throw new RangeError('a spectrum needs at least one wavelength, got none')
  if (nm.length !== share.length)
    throw new RangeError(`a spectrum has ${nm.length} wavelengths and ${share.length} values`)
  nm.forEach((at, i) => {
    if (!Number.isFinite(at)) throw new RangeError(`wavelength ${i + 1} is not a number`)
    if (i > 0 && at <= nm[i - 1]!)
      throw new RangeError(`wavelengths must rise, but ${at} nm follows ${nm[i - 1]} nm`)
    const value = share[i]!
    if (!(value >= 0 && value <= 1))
      throw new RangeError(`reflectance at ${at} nm must be 0 to 1, got ${value}`)
  })
  if (nm[0]! > 450 || nm.at(-1)! < 650)
    throw new RangeError(
      `a spectrum must cover 450 to 650 nm at least, this one runs from ${nm[0]} to ${nm.at(-1)} nm`,
    )
  return { nm, share }
}

function interpolate({ nm, share }: Samples): Reflectance {
  const bands = new Float64Array(BANDS)
  let i = 0
  for (let band = 0; band < BANDS; band++) {
    const at = SPECTRUM_FIRST_NM + 10 * band
    while (i < nm.length - 2 && nm[i + 1]! < at) i++
    const [left, right] = [nm[i]!, nm[i + 1]!]
    const part = Math.min(1, Math.max(0, (at - left) / (right - left)))
    bands[band] = share[i]! + part * (share[i + 1]! - share[i]!)
  }
  return bands
}

// Screens reach pure black and pure white, paint does not: only the two ends are pulled in, to the darkest and the lightest
// surface there is, by less than an eye or a rounding tells (ΔE00 0.1).
function withinPaint([x, y, z]: Xyz): Xyz {
  const lift = Math.max(0, 1.2 * DARKEST_Y - y)
  const top = Math.min(1, (0.9999 * LIGHTEST_Y) / Math.max(y, 1e-9))
  return [
    x * top + (lift * D65_WHITE[0]) / 100,
    y * top + lift,
    z * top + (lift * D65_WHITE[2]) / 100,
  ]
}

function checkedLab(lab: Lab): Lab {
  const [l, a, b] = lab
  if (!(l >= 0 && l <= 100)) throw new RangeError(`L* must be 0 to 100, got ${l}`)
  for (const [name, value] of [
    ['a*', a],
    ['b*', b],
  ] as const)
    if (!(value >= -128 && value <= 128))
      throw new RangeError(`${name} must be −128 to 128, got ${value}`)
  return lab
}

/** CIE L*a*b* under D65, 2° observer. */
export function labD65(reflectance: Reflectance): Lab {
  return labFromXyz(xyzUnder(D65_WEIGHTS, reflectance))
}

/** Whether some surface has the colour (L*a*b*, D65, 2°): glare and lamps have none, nor has a yellow as deep as navy. */
export function isOfASurface(lab: Lab): boolean {
  finiteAll(lab, 'L*, a*, b*')
  try {
    reflectanceOfReading({ kind: 'lab', lab })
    return true
  } catch (error) {
    if (error instanceof RangeError) return false
    throw error
  }
}
