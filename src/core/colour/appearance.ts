import { finite, finiteAll } from '../check'
import { cam16, cam16Viewing, ucsOf, type Cam16, type Cam16Viewing, type Ucs } from './cam16'
import { cat16Matrix, degreeOfAdaptation, multiply, type Matrix3 } from './cat16'
import { D65_WHITE } from './illuminant'
import { bandWeights, whitePoint, xyzUnder } from './observer'
import { linearRgbFromOklab, oklab } from './oklab'
import { flatReflectance, type Reflectance, type Spectrum, type Xyz } from './spectrum'
import {
  hexFromLinearRgb,
  linearP3FromLinearRgb,
  linearRgbFromHex,
  linearRgbFromXyz,
  p3BytesOf,
  p3Css,
  xyzFromLinearRgb,
  type LinearRgb,
} from './srgb'

const CARD = 0.9
/** The white card every undertone is read on: matt, free of brightener, the same at all bands. */
export const WHITE_CARD: Reflectance = flatReflectance(CARD)

// Undertones, pairings and ΔE′ are compared under one reference adapting luminance, so that their
// thresholds mean the same at dusk and at noon; the room's own luminance decides D, Q and s.
// 20 cd/m² is a mid-grey in a room of about 310 lux.
const REFERENCE_LUMINANCE = 20
export const UCS_VIEWING = cam16Viewing(D65_WHITE, REFERENCE_LUMINANCE, 1)

// Grey-world adaptation: the eye adapts to a fifth of the white's luminance (CIECAM's Yb = 20).
const BACKGROUND_SHARE = 0.2
const adaptingLuminance = (illuminanceLux: number): number =>
  (illuminanceLux / Math.PI) * BACKGROUND_SHARE

/** A light at a wall, prepared so that any number of surfaces can be seen in it. */
export interface PreparedLight {
  readonly illuminanceLux: number
  /** See {@link bandWeights}. */
  readonly weights: Float64Array
  readonly white: Xyz
  /** Degree of adaptation D, 0 to 1. */
  readonly degree: number
  /** From XYZ in this light to XYZ under D65 that looks the same. */
  readonly toD65: Matrix3
  /** The factor, at most 1, that keeps the white card of this light inside the screen's gamut. */
  readonly exposure: number
}

/** What an eye in the room sees of a surface. */
export interface Appearance {
  /** XYZ under D65 that looks the same, Y of a perfect white about 100. */
  readonly xyzD65: Xyz
  /** CAM16-UCS at the reference luminance. */
  readonly ucs: Ucs
}

export interface ScreenColour {
  readonly hex: string
  /** False when an sRGB screen cannot show the colour and `hex` is its nearest of the same hue. */
  readonly inGamut: boolean
  /** Outside sRGB but not outside Display P3: the colour as CSS writes it there, else null. */
  readonly p3: string | null
}

/**
 * Prepares a light for relighting swatches.
 *
 * @param spectrum relative power, 81 values
 * @param illuminanceLux at the wall, above 0; decides how far the eye adapts (CAM16's D, average
 *   surround, adapting to a fifth of a white wall's luminance)
 * @throws RangeError for a light without power
 */
export function prepareLight(spectrum: Spectrum, illuminanceLux: number): PreparedLight {
  if (!(illuminanceLux > 0 && Number.isFinite(illuminanceLux)))
    throw new RangeError(`illuminance must be above 0 lux, got ${illuminanceLux}`)
  const white = whitePoint(spectrum)
  const degree = degreeOfAdaptation(adaptingLuminance(illuminanceLux))
  return adapted({ illuminanceLux, weights: bandWeights(spectrum), white }, degree)
}

/** How far D may lie off either way: people and scenes differ by about this much. */
export const DEGREE_RANGE = 0.07

/** The same light for an eye that adapts less, and for one that adapts more. */
export function adaptationRange(
  light: PreparedLight,
): readonly [less: PreparedLight, more: PreparedLight] {
  return [
    withDegree(light, light.degree - DEGREE_RANGE),
    withDegree(light, light.degree + DEGREE_RANGE),
  ]
}

/** The same light for an eye of another degree of adaptation, 0 to 1. */
export const withDegree = (light: PreparedLight, degree: number): PreparedLight =>
  adapted(light, Math.min(1, Math.max(0, degree)))

function adapted(
  light: Pick<PreparedLight, 'illuminanceLux' | 'weights' | 'white'>,
  degree: number,
): PreparedLight {
  finite(light.illuminanceLux, 'illuminanceLux')
  const toD65 = cat16Matrix(light.white, D65_WHITE, degree)
  return {
    ...light,
    degree,
    toD65,
    exposure: exposureFor(multiply(toD65, xyzUnder(light.weights, WHITE_CARD))),
  }
}

/** The factor, at most 1, that keeps a white card inside the screen's gamut. */
const exposureFor = (card: Xyz): number => Math.min(1, 1 / Math.max(...linearRgbFromXyz(card)))

/**
 * An eye adapted to a white, where no single light falls on all that it sees.
 *
 * @param white XYZ of a perfect white as it is lit on the whole, Y = 100
 */
export function eyeAdaptedTo(
  white: Xyz,
  illuminanceLux: number,
): Pick<PreparedLight, 'toD65' | 'exposure'> {
  const degree = degreeOfAdaptation(adaptingLuminance(finite(illuminanceLux, 'illuminanceLux')))
  const toD65 = cat16Matrix(white, D65_WHITE, degree)
  return { toD65, exposure: exposureFor(multiply(toD65, white.map((v) => CARD * v) as never)) }
}

/** Another light in view of an eye that stays adapted to the room's: a sample by the window or under a lamp. */
export function inViewOf(room: PreparedLight, spectrum: Spectrum): PreparedLight {
  const { illuminanceLux, white, degree, toD65, exposure } = room
  finiteAll([illuminanceLux, degree, exposure, ...white, ...toD65], 'a prepared light')
  return { ...room, weights: bandWeights(spectrum) }
}

/** Appearance of a surface: reflectance × light, partial CAT16 to D65, CAM16-UCS under D65. */
export function appearanceOf(light: PreparedLight, reflectance: Reflectance): Appearance {
  return appearanceOfXyz(light, xyzUnder(light.weights, reflectance))
}

/** The same from an XYZ in the room's light. */
export function appearanceOfXyz(light: PreparedLight, xyz: Xyz): Appearance {
  const xyzD65 = multiply(light.toD65, xyz)
  return { xyzD65, ucs: ucsOf(cam16(xyzD65, UCS_VIEWING)) }
}

/** CAM16 in a luminance of the room's own: D65's white, to which `toD65` has brought the light. */
export const viewingAt = (illuminanceLux: number): Cam16Viewing =>
  cam16Viewing(D65_WHITE, adaptingLuminance(illuminanceLux), 1)

/** All correlates of an XYZ in a light, in the luminance of a viewing; see `viewingAt`. */
export const correlatesOfXyz = (light: PreparedLight, xyz: Xyz, viewing: Cam16Viewing): Cam16 =>
  cam16(multiply(light.toD65, xyz), viewing)

/** The same of a surface in the light's own luminance: there brightness Q falls in dim light and saturation s in strong. */
export const correlatesInRoom = (light: PreparedLight, reflectance: Reflectance): Cam16 =>
  correlatesOfXyz(light, xyzUnder(light.weights, reflectance), viewingAt(light.illuminanceLux))

/** The colour to show on an sRGB screen for a surface in this light. */
export function screenColour(light: PreparedLight, reflectance: Reflectance): ScreenColour {
  const [x, y, z] = multiply(light.toD65, xyzUnder(light.weights, reflectance))
  const e = light.exposure
  return fitToScreen(linearRgbFromXyz([x * e, y * e, z * e]))
}

/** An XYZ and the eye that sees it. */
export interface SeenXyz {
  readonly light: PreparedLight
  readonly xyz: Xyz
}

/**
 * The same for XYZ that lie side by side, each seen by an eye adapted to its own light, dimmed by one factor: so the
 * picture differs as the eyes differ and by nothing else.
 */
export function screenColoursTogether(seen: readonly SeenXyz[]): ScreenColour[] {
  const linear = seen.map(({ light, xyz }) => linearRgbFromXyz(multiply(light.toD65, xyz)))
  const exposure = Math.min(
    ...seen.map(({ light }) => light.exposure),
    1 / Math.max(...linear.flat()),
  )
  return linear.map(([r, g, b]) => fitToScreen([r * exposure, g * exposure, b * exposure]))
}

const CSS_P3 = /^color\(display-p3 (\S+) (\S+) (\S+)\)$/

/** What a screen shows as bytes of Display P3, for a picture on a screen that is wider than sRGB. */
export function p3Bytes({ hex, p3 }: ScreenColour): readonly number[] {
  const wide = p3 === null ? null : CSS_P3.exec(p3)
  return wide
    ? wide.slice(1).map((channel) => Math.round(255 * Number(channel)))
    : p3BytesOf(linearP3FromLinearRgb(linearRgbFromHex(hex)))
}

/** CAM16-UCS of what a screen shows, to an eye adapted to its white. */
export const ucsOnScreen = ({ hex }: ScreenColour): Ucs =>
  ucsOf(cam16(xyzFromLinearRgb(linearRgbFromHex(hex)), UCS_VIEWING))

// Rounding noise of the conversions; far under one 8-bit step.
const GAMUT_TOLERANCE = 1e-4

function fitToScreen(rgb: LinearRgb): ScreenColour {
  if (fits(rgb)) return { hex: hexFromLinearRgb(rgb), inGamut: true, p3: null }
  const wide = linearP3FromLinearRgb(rgb)
  return {
    hex: hexFromLinearRgb(strongestThatFits(rgb)),
    inGamut: false,
    p3: fits(wide) ? p3Css(wide) : null,
  }
}

const fits = (rgb: LinearRgb): boolean =>
  rgb.every((v) => v >= -GAMUT_TOLERANCE && v <= 1 + GAMUT_TOLERANCE)

const HALVINGS = 14

/** The strongest colour of the same hue and lightness that the screen shows: chroma taken back in Oklab (CSS Color 4, gamut mapping). */
function strongestThatFits(rgb: LinearRgb): LinearRgb {
  const [lightness, a, b] = oklab(rgb)
  const l = Math.min(1, Math.max(0, lightness))
  let [kept, lost] = [0, 1]
  for (let n = 0; n < HALVINGS; n++) {
    const share = (kept + lost) / 2
    if (fits(linearRgbFromOklab([l, share * a, share * b]))) kept = share
    else lost = share
  }
  return linearRgbFromOklab([l, kept * a, kept * b])
}
