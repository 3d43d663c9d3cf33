import { finiteAll } from '../check'
import { invert, multiply, multiplied, type Matrix3 } from '../colour/cat16'
import { daylightSpectrum } from '../colour/daylight'
import type { Lab } from '../colour/lab'
import { wavelengthNm, type Spectrum, type Xyz } from '../colour/spectrum'
import {
  encodedByte,
  linearRgbFromXyzMatrix,
  xyzFromLinearRgb,
  type LinearRgb,
} from '../colour/srgb'
import { lrvPercent } from '../paint/lrv'
import type { Uncertainty } from '../paint/reading'
import { CardError, CARDS, type CardKind } from './card'
import { chartPrior } from './finish-prior'
import type { PhotoLight } from './photo-light'
import { plausibleCameras, THROWN, type PlausibleCamera } from './plausible-cameras'
import { channelsIn, leastErring, seenBy, type Rows } from './three-numbers'
import { curveAt, linearBehind, toneFromPatches, type ToneCurve } from './tone-curve'
import { labByDaylight, missingAt, ucsByDaylight, untoldBy, type Untold } from './untold'

/** Red, green and blue as the picture has them, encoded, 0 to 1. */
export type Shown = readonly [r: number, g: number, b: number]

/** What the picture shows of a mean of linear sRGB. */
export const shownOf = (rgb: LinearRgb): Shown =>
  rgb.map((channel) => encodedByte(channel) / 255) as unknown as Shown

/** A photo that can be read: its card is known. */
export interface ReadablePhoto {
  readonly ways: readonly Way[]
  readonly untold: Untold
  /** The likeliest curve of the camera. */
  readonly tone: ToneCurve
  /** Whether there was more than one patch, so that lightness is told too. */
  readonly saysLightness: boolean
}

/** From the picture to the colour by daylight, were it this camera. */
interface Way {
  readonly tone: ToneCurve
  /** From linear sRGB, the tone taken out, to XYZ by daylight, Y of a perfect white 1. */
  readonly toXyz: Matrix3
}

/** A colour as a photo tells it. */
export interface PhotoColour {
  /** Under D65, 2°. */
  readonly lab: Lab
  /** Nine of ten such colours lie within it. */
  readonly uncertainty: Uncertainty
}

// Of the picture's range: encoded where it clips, linear where it is dark.
const CLIPPED_FROM = 0.985
const DARK_BELOW = 0.05

/**
 * Makes a photo readable: under each plausible camera the card's patches tell what balance and exposure were, and what
 * the camera's curve did.
 *
 * A camera balances on its own three channels, before its matrix; so the matrix is taken back first, then the card's
 * three channels are made those that the card has in the light.
 *
 * @param light the light it was taken in, or those it may have been, and what the camera's balance did
 * @param shown the card's patches in the order of the card, at least its white
 * @param unevenness one standard deviation of the light on a finish beside that on the card, a share
 * @throws CardError for patches that are clipped, dark or in the wrong order
 */
export function readablePhoto(
  { lights, balance }: Pick<PhotoLight, 'lights' | 'balance'>,
  card: CardKind,
  shown: readonly Shown[],
  unevenness: number,
): ReadablePhoto {
  if (lights.length === 0) throw new RangeError('a photo needs a light, got none')
  if (!(unevenness >= 0 && unevenness < 1))
    throw new RangeError(`unevenness must be 0 to 1, got ${unevenness}`)
  for (const light of lights) finiteAll(light, 'a light')
  const patches = patchesOf(card, shown)
  const tone = toneFromPatches(patches)
  const white = CARDS[card].patches[0].reflectance
  const channels: Rows[] = []
  const ways = plausibleCameras().map((camera, i): Way => {
    const { thrown } = camera
    const light = asItMayBe(lights[Math.floor(i / 2) % lights.length]!, thrown)
    const from = channelsIn(camera, light)
    channels.push(from)
    const backToChannels = invert(
      makersMatrix(camera, balance === 'as the light fell' ? BALANCED_FOR : light),
    )
    const curve = curveAt(tone, thrown[THROWN.toneFirst]!, thrown[THROWN.toneSecond]!)
    const cardShown = multiply(
      backToChannels,
      patches[0]!.encoded.map((v) => linearBehind(curve, v)) as unknown as Xyz,
    )
    const uneven = 1 + unevenness * thrown[THROWN.unevenness]!
    const gains = seenBy(from, white).map((channel, k) => (channel * uneven) / cardShown[k]!)
    const balanced = backToChannels.map((value, at) => value * gains[Math.floor(at / 3)]!)
    return { tone: curve, toXyz: multiplied(leastErring(from), balanced) }
  })
  return {
    ways,
    untold: untoldBy(channels.filter((_, i) => i % EVERY_CAMERA === 0)),
    tone: tone.likeliest,
    saysLightness: tone.byPatches,
  }
}

// One camera in eight is enough to tell what three numbers leave open.
const EVERY_CAMERA = 8

function patchesOf(card: CardKind, shown: readonly Shown[]) {
  if (shown.length === 0) throw new RangeError('a photo needs its white card, got no patch')
  for (const encoded of shown)
    if (!encoded.every((v) => v >= 0 && v <= 1))
      throw new RangeError(`a patch must be encoded 0 to 1, got ${encoded.join(', ')}`)
  const patches = shown.map((encoded, i) => {
    const patch = CARDS[card].patches[i]
    if (!patch)
      throw new RangeError(
        `${CARDS[card].words} has ${CARDS[card].patches.length} patches, got ${shown.length}`,
      )
    return {
      encoded,
      reflectance: lrvPercent(patch.reflectance) / 100,
      tolerance: patch.tolerance,
    }
  })
  const most = shown.map((encoded) => Math.max(...encoded))
  if (most[0]! >= CLIPPED_FROM)
    throw new CardError(
      'The white card is clipped: its colour is lost. Expose darker and take it again.',
    )
  if (linearBehind({ lift: 0, s: 0 }, most[0]!) < DARK_BELOW)
    throw new CardError('The white card is too dark. It may lie in shade: put it by the finish.')
  most.forEach((light, i) => {
    if (i > 0 && !(light < most[i - 1]!))
      throw new CardError(
        `The ${CARDS[card].patches[i]!.name} of the card is no darker than its ${CARDS[card].patches[i - 1]!.name}. Tap the patches in their order.`,
      )
  })
  return patches
}

// What a maker finds its one matrix for, and what a camera that does not balance takes for white.
const MATRIX_FOR_DAYLIGHT = daylightSpectrum(5500)
const BALANCED_FOR = daylightSpectrum(6000)

/** From a camera's balanced channels to the linear sRGB of its picture, as its maker will have found it. */
function makersMatrix(camera: PlausibleCamera, light: Spectrum): Matrix3 {
  const tuned = camera.matrixFor === 'daylight' ? MATRIX_FOR_DAYLIGHT : light
  const toRgb = multiplied(RGB_FROM_XYZ, leastErring(channelsIn(camera, tuned), chartPrior()))
  const { saturation } = camera
  const stronger = GREY_OF_RGB.map(
    (grey, i) => (1 - saturation) * grey + (i % 4 === 0 ? saturation : 0),
  )
  return multiplied(stronger, toRgb)
}

const RGB_FROM_XYZ = linearRgbFromXyzMatrix()
// Each channel of the grey as light as a colour is the same sum of its channels.
const GREY_OF_RGB = [0, 1, 2].flatMap(() =>
  (
    [
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
    ] as const
  ).map((unit) => xyzFromLinearRgb(unit)[1] / 100),
)

// A light is known no better than this: how warm it is over 100 nm, and the shape of its spectrum over such lengths.
const LIGHT_TILT = 0.06
const LIGHT_WAVES = [
  { amount: 0.05, lengthNm: 60 },
  { amount: 0.05, lengthNm: 25 },
] as const

function asItMayBe(light: Spectrum, thrown: readonly number[]): Spectrum {
  return light.map((power, i) => {
    const nm = wavelengthNm(i)
    const waves = LIGHT_WAVES.reduce(
      (sum, { amount, lengthNm }, k) =>
        sum +
        amount *
          thrown[THROWN.lightWaves + k]! *
          Math.cos(nm / lengthNm + 2 * thrown[THROWN.lightPhases + k]!),
      0,
    )
    return power * Math.exp((LIGHT_TILT * thrown[THROWN.lightTilt]! * (nm - 560)) / 100 + waves)
  })
}

// Nine of ten lie within so many standard deviations of an axis, two axes together (Rayleigh: 2.15); a little more, so that
// nine of ten colours of the test cameras do (photo-trials.fixture.ts).
const COVERAGE = 2.3

/**
 * The colour by daylight of what a photo shows so: the mean over the plausible cameras, what their three numbers usually
 * miss put right.
 *
 * @param shown the mean of a patch of it
 * @throws RangeError where the picture's range does not hold it
 */
export function colourOfShown(photo: ReadablePhoto, shown: Shown): PhotoColour {
  if (!shown.every((v) => v >= 0 && v <= 1))
    throw new RangeError(`a colour of a photo must be encoded 0 to 1, got ${shown.join(', ')}`)
  const told = photo.ways.map(({ tone, toXyz }) =>
    multiply(toXyz, shown.map((v) => linearBehind(tone, v)) as unknown as Xyz),
  )
  const mean = [0, 1, 2].map(
    (k) => told.reduce((sum, xyz) => sum + xyz[k]!, 0) / told.length,
  ) as unknown as Xyz
  finiteAll(mean, 'ways to read a photo')
  const at = ucsByDaylight(mean)
  const { lab, variance } = missingAt(photo.untold, at)
  const spread = [...variance]
  for (const xyz of told)
    ucsByDaylight(xyz).forEach((v, k) => (spread[k]! += (v - at[k]!) ** 2 / told.length))
  finiteAll([...spread, ...lab], 'what three numbers leave open')
  const [j, a, b] = spread as [number, number, number]
  return {
    lab: labByDaylight(mean).map((v, k) => v + lab[k]!) as unknown as Lab,
    uncertainty: {
      lean: COVERAGE * Math.sqrt((a + b) / 2),
      lightness: COVERAGE * Math.sqrt(j),
    },
  }
}
