import { WHITE_CARD } from '../colour/appearance'
import { colourTemperature } from '../colour/cct'
import { cat16Matrix, multiply, type Matrix3 } from '../colour/cat16'
import { bandWeights, xyzOfSpectrum, xyzUnder } from '../colour/observer'
import { planckianSpectrum } from '../colour/planckian'
import { daylightSpectrum } from '../colour/daylight'
import { ledSpectrum } from '../colour/led'
import type { Reflectance, Spectrum, Xyz } from '../colour/spectrum'
import { linearRgbFromXyz, xyzFromLinearRgb, type LinearRgb } from '../colour/srgb'
import { reflectanceOfReading } from '../paint/reading'
import { smoothestReflectance } from '../paint/smoothest-reflectance'

/** Cards that a photo may be taken with, each with its own reading. */
export const CARDS = {
  /** A photographer's white card: flat, 90 %. */
  card: { words: 'a white card of 90 %', reflectance: WHITE_CARD },
  /** Ordinary copying paper is bluish with brightener: L* 94, a* 2, b* −6, common practice. */
  paper: {
    words: 'a sheet of printer paper',
    reflectance: reflectanceOfReading({ kind: 'lab', lab: [94, 2, -6] }),
  },
} as const
export type CardKind = keyof typeof CARDS

/** How a camera left the light in a photo. */
export type Balance =
  /** The card shows the colour of the light. */
  | 'as the light fell'
  /** The camera took the light's colour out: the card is neutral. */
  | 'balanced'

/** The light of a photo, as found from its white card. */
export interface PhotoLight {
  readonly balance: Balance
  readonly cctK: number
  readonly spectrum: Spectrum
  /** From XYZ of a pixel to XYZ in that light, Y of a perfect white 100. */
  readonly toLight: Matrix3
}

/** The white card is no card: clipped, too dark, or not near white. */
export class CardError extends Error {
  override name = 'CardError'
}

// Linear shares of the sensor's range.
const CLIPPED_FROM = 0.985
const DARK_BELOW = 0.05
// A card nearer to sRGB's own white than this was balanced by the camera.
const NEUTRAL_DUV = 0.012
const NEUTRAL_CCT_K = 500
const SRGB_WHITE_K = 6504
// Further off the locus than this no lamp or sky is.
const FARTHEST_DUV = 0.03

/**
 * The light that a photo was taken in, from the mean colour of its white card and the card's own reading.
 *
 * @param card mean linear sRGB of the card's pixels
 * @param cardReflectance the card's reading
 * @param roomLight the room's light at that moment, for a camera that has balanced it away; null where unknown
 * @throws CardError for a clipped, dark or coloured card
 */
export function photoLight(
  card: LinearRgb,
  cardReflectance: Reflectance,
  roomLight: Spectrum | null,
): PhotoLight {
  const most = Math.max(...card)
  if (most >= CLIPPED_FROM)
    throw new CardError(
      'The white card is clipped: its colour is lost. Expose darker and take it again.',
    )
  if (most < DARK_BELOW)
    throw new CardError('The white card is too dark. It may lie in shade: put it by the finish.')
  const seen = xyzFromLinearRgb(card)
  const { cctK, duv } = colourTemperature(seen)
  if (Math.abs(duv) > FARTHEST_DUV)
    throw new CardError('That is no white card: no light makes white look so. Tap the card itself.')
  const isBalanced = Math.abs(duv) < NEUTRAL_DUV && Math.abs(cctK - SRGB_WHITE_K) < NEUTRAL_CCT_K
  const spectrum = isBalanced && roomLight ? roomLight : lightThatShows(cardReflectance, seen)
  const shown = xyzUnder(bandWeights(spectrum), cardReflectance)
  return {
    balance: isBalanced ? 'balanced' : 'as the light fell',
    cctK: colourTemperature(xyzOfSpectrum(spectrum)).cctK,
    spectrum,
    toLight: isBalanced ? unbalanced(card, shown) : adaptedTo(seen, shown),
  }
}

/** The little that a light lies off the locus, taken out. */
function adaptedTo(seen: Xyz, shown: Xyz): Matrix3 {
  const brightness = shown[1] / seen[1]
  return cat16Matrix(seen, shown, 1).map((value) => value * brightness)
}

/** A camera balances by a gain on each channel (common practice); the gains that put the card's colour back. */
function unbalanced(card: LinearRgb, shown: Xyz): Matrix3 {
  const gains = linearRgbFromXyz(shown).map((channel, i) => channel / card[i]!)
  const columns = [0, 1, 2].map((axis) => {
    const unit = [0, 1, 2].map((k) => (k === axis ? 1 : 0)) as [number, number, number]
    const [r, g, b] = linearRgbFromXyz(unit)
    return xyzFromLinearRgb([r * gains[0]!, g * gains[1]!, b * gains[2]!])
  })
  return [0, 1, 2].flatMap((row) => columns.map((column) => column[row]!))
}

// Below this warm light is a lamp: a filament, or the LED that stands in for it; above it is daylight.
const LED_FROM_K = 3300
const DAYLIGHT_FROM_K = 4600
const TINT_STEPS = 3

/** A lamp's or daylight's spectrum under which the card looks as it does: the card's own tint taken out. */
function lightThatShows(card: Reflectance, seen: Xyz): Spectrum {
  const wantedMired = 1e6 / colourTemperature(seen).cctK
  let mired = wantedMired
  for (let step = 0; step < TINT_STEPS; step++) {
    const shown = xyzUnder(bandWeights(lightOf(1e6 / mired)), card)
    mired += wantedMired - 1e6 / colourTemperature(shown).cctK
  }
  return lightOf(1e6 / mired)
}

function lightOf(cctK: number): Spectrum {
  if (cctK < LED_FROM_K) return planckianSpectrum(Math.max(1500, cctK))
  if (cctK < DAYLIGHT_FROM_K) return ledSpectrum(cctK, 85)
  return daylightSpectrum(Math.min(25_000, cctK))
}

/**
 * The reflectance behind a colour of a photo: that which gives the pixel under the photo's light. By spectrum, not by
 * scaling red, green and blue.
 *
 * @param pixel linear sRGB
 * @throws ImpossibleColourError where no surface looks so in that light
 */
export function reflectanceOfPixel(light: PhotoLight, pixel: LinearRgb): Reflectance {
  return smoothestReflectance(
    multiply(light.toLight, xyzFromLinearRgb(pixel)),
    bandWeights(light.spectrum),
  )
}
