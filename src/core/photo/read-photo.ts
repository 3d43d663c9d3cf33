import { invert, multiply, multiplied, type Matrix3 } from '../colour/cat16'
import { cam16, ucsOf, type Ucs } from '../colour/cam16'
import { UCS_VIEWING } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { D65_WEIGHTS, D65_WHITE } from '../colour/illuminant'
import { labFromXyz, type Lab } from '../colour/lab'
import { BANDS, SPECTRUM_LENGTH, wavelengthNm, type Spectrum, type Xyz } from '../colour/spectrum'
import { linearRgbFromXyz, xyzFromLinearRgb } from '../colour/srgb'
import type { Uncertainty } from '../paint/reading'
import { ERROR_EXPONENT, finishPrior, chartPrior } from './finish-prior'
import { plausibleCameras, type PlausibleCamera } from './plausible-cameras'
import {
  curveAt,
  linearBehind,
  toneFromPatches,
  type ShownPatch,
  type ToneKnowledge,
} from './tone-curve'

type Triple = readonly [number, number, number]

/** A photo as it can be read once its card is known. */
export interface ReadablePhoto {
  readonly cameras: readonly CameraInLight[]
  readonly tone: ToneKnowledge
  /** One standard deviation of the light on the finish beside that on the card, a share. */
  readonly unevenness: number
}

/** How one plausible camera in the light turns what the photo shows into the colour by daylight. */
interface CameraInLight {
  readonly camera: PlausibleCamera
  /** From linear sRGB of the photo, tone taken out, to XYZ by daylight; the card's own channels divided in. */
  readonly toXyz: Matrix3
  /** What three numbers cannot tell: covariance of XYZ for a finish of Y = 1, row by row. */
  readonly untold: Matrix3
  readonly tone: { readonly lift: number; readonly s: number }
}

/** A colour as a photo tells it. */
export interface PhotoColour {
  /** Under D65, 2°. */
  readonly lab: Lab
  /** Expanded, within which nine of ten such colours lie; lightness is null where the photo cannot tell it. */
  readonly uncertainty: Uncertainty
  readonly saysLightness: boolean
}

// The known light is known no better than this: its colour, and the shape of its spectrum over stretches of that length.
const LIGHT_TILT = 0.06
const LIGHT_WAVES = [
  { amount: 0.05, lengthNm: 60 },
  { amount: 0.05, lengthNm: 25 },
] as const

/** A spectrum as it may really be, by the throws of a camera. */
function lightAsItMayBe(spectrum: Spectrum, throws: readonly number[]): Spectrum {
  return spectrum.map((power, i) => {
    const nm = wavelengthNm(i)
    const waves = LIGHT_WAVES.reduce(
      (sum, { amount, lengthNm }, k) =>
        sum + amount * throws[4 + k]! * Math.cos(nm / lengthNm + 2 * throws[6 + k]!),
      0,
    )
    return power * Math.exp((LIGHT_TILT * throws[3]! * (nm - 560)) / 100 + waves)
  })
}

/** Three rows of 36: a camera's channels, or XYZ, of a reflectance in a light, each 1 for a perfect white. */
type Rows = readonly [Float64Array, Float64Array, Float64Array]

function responses({ sensor }: PlausibleCamera, light: Spectrum): Rows {
  return sensor.map((channel) => {
    const row = new Float64Array(BANDS)
    let sum = 0
    for (let i = 0; i < SPECTRUM_LENGTH; i++) {
      const power = channel[i]! * light[i]!
      row[Math.min(i >> 1, BANDS - 1)]! += power / 2
      row[Math.min((i + 1) >> 1, BANDS - 1)]! += power / 2
      sum += power
    }
    return row.map((value) => value / sum)
  }) as unknown as Rows
}

const XYZ_ROWS = [0, 1, 2].map((channel) =>
  Float64Array.from({ length: BANDS }, (_, band) => D65_WEIGHTS[band * 3 + channel]! / 100),
) as unknown as Rows

const DAYLIGHT = daylightSpectrum(5500)

/** p·C·qᵀ, 3 × 3. */
function through(p: Rows, c: Float64Array, q: Rows): Matrix3 {
  const cq = q.map((row) =>
    Float64Array.from({ length: BANDS }, (_, i) => {
      let sum = 0
      for (let j = 0; j < BANDS; j++) sum += c[i * BANDS + j]! * row[j]!
      return sum
    }),
  )
  return p.flatMap((row) => cq.map((column) => row.reduce((sum, v, i) => sum + v * column[i]!, 0)))
}

/** The likeliest way from a camera's channels to XYZ for the finishes there are, and what it leaves open; white stays white. */
function leastSquares(from: Rows, c = finishPrior()): { readonly matrix: Matrix3; readonly open: Matrix3 } {
  const inverse = invert(through(from, c, from))
  const cross = through(XYZ_ROWS, c, from)
  const free = multiplied(cross, inverse)
  const ones = multiply(inverse, [1, 1, 1])
  const whole = ones[0] + ones[1] + ones[2]
  const white = multiply(free, [1, 1, 1])
  const wanted = D65_WHITE.map((value) => value / 100)
  const matrix = free.map(
    (value, i) =>
      value + ((wanted[Math.floor(i / 3)]! - white[Math.floor(i / 3)]!) * ones[i % 3]!) / whole,
  )
  const transposed = [0, 1, 2].flatMap((i) => [cross[i]!, cross[i + 3]!, cross[i + 6]!])
  const told = multiplied(free, transposed)
  const open = through(XYZ_ROWS, c, XYZ_ROWS).map((value, i) => value - told[i]!)
  return { matrix, open }
}

// XYZ 0 to 1 to linear sRGB and back, as matrices.
const columns = (of: (v: Triple) => Triple): Matrix3 => {
  const [x, y, z] = [of([1, 0, 0]), of([0, 1, 0]), of([0, 0, 1])]
  return [0, 1, 2].flatMap((row) => [x[row]!, y[row]!, z[row]!])
}
const TO_RGB = columns((v) => linearRgbFromXyz([100 * v[0], 100 * v[1], 100 * v[2]]))
const GREY = columns((v) => {
  const [, y] = xyzFromLinearRgb(v)
  return [y / 100, y / 100, y / 100]
})

/** From balanced channels to the linear sRGB of the picture, as a maker finds it. */
function makersMatrix(camera: PlausibleCamera, light: Spectrum): Matrix3 {
  const found = leastSquares(responses(camera, camera.matrixFor === 'daylight' ? DAYLIGHT : light), chartPrior())
  const { saturation } = camera
  const boost = [1, 0, 0, 0, 1, 0, 0, 0, 1].map(
    (unit, i) => saturation * unit + (1 - saturation) * GREY[i]!,
  )
  return multiplied(boost, multiplied(TO_RGB, found.matrix))
}

/**
 * Makes a photo readable: under every plausible camera the card's patches tell what its balance and exposure were.
 *
 * @param light the light that the photo was taken in, 81 values
 * @param white the card's white as it is, 36 bands, and every patch of the card as it is shown, the white first
 */
export function readablePhoto(
  light: Spectrum,
  white: Float64Array,
  patches: readonly ShownPatch[],
  unevenness: number,
): ReadablePhoto {
  const tone = toneFromPatches(patches)
  const cameras = plausibleCameras().map((camera): CameraInLight => {
    const { throws } = camera
    const mayBe = lightAsItMayBe(light, throws)
    const from = responses(camera, mayBe)
    const { matrix, open } = leastSquares(from)
    const backToRaw = invert(makersMatrix(camera, mayBe))
    const curve = curveAt(tone, throws[0]!, throws[1]!)
    const shown = multiply(
      backToRaw,
      patches[0]!.encoded.map((v) => linearBehind(curve, v)) as unknown as Xyz,
    )
    const light1 = 1 + unevenness * throws[2]!
    const gains = from.map(
      (row, k) => (row.reduce((s, v, i) => s + v * white[i]!, 0) / shown[k]!) * light1,
    )
    return {
      camera,
      tone: curve,
      toXyz: multiplied(
        matrix,
        backToRaw.map((value, i) => value * gains[Math.floor(i / 3)]!),
      ),
      untold: open,
    }
  })
  return { cameras, tone, unevenness }
}

const COVERAGE = 2.15

/** What finish shows so in a photo. */
export function colourOfPixel(photo: ReadablePhoto, shown: Triple): PhotoColour {
  const all = photo.cameras.map(({ toXyz, tone }) =>
    multiply(toXyz, shown.map((v) => linearBehind(tone, v)) as unknown as Xyz),
  )
  const n = all.length
  const mean = [0, 1, 2].map((k) => all.reduce((s, x) => s + x[k]!, 0) / n) as unknown as Xyz
  const ucs = (xyz: Xyz): Ucs =>
    ucsOf(cam16(xyz.map((v) => Math.max(1e-4, 100 * v)) as unknown as Xyz, UCS_VIEWING))
  const at = ucs(mean)
  const spread = [0, 0, 0]
  for (const xyz of all) ucs(xyz).forEach((v, k) => (spread[k]! += (v - at[k]!) ** 2 / n))
  // What three numbers leave open, through the slope of appearance.
  const step = 1e-3 * mean[1]
  const slopes = [0, 1, 2].map((k) =>
    ucs(mean.map((v, i) => (i === k ? v + step : v)) as unknown as Xyz).map(
      (v, i) => (v - at[i]!) / step,
    ),
  )
  const scale = mean[1] ** ERROR_EXPONENT
  const untold = photo.cameras[0]!.untold.map(
    (_, i) => (photo.cameras.reduce((s, c) => s + c.untold[i]!, 0) / n) * scale,
  )
  for (let axis = 0; axis < 3; axis++)
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++)
        spread[axis]! += slopes[i]![axis]! * untold[i * 3 + j]! * slopes[j]![axis]!
  return {
    lab: labFromXyz(mean.map((v) => 100 * v) as unknown as Xyz),
    uncertainty: {
      lean: COVERAGE * Math.sqrt((spread[1]! + spread[2]!) / 2),
      lightness: COVERAGE * Math.sqrt(spread[0]!),
    },
    saysLightness: photo.tone.byPatches,
  }
}
