import { bandWeights, xyzUnder } from '../src/core/colour/observer'
import { flatReflectance, type Reflectance, type Spectrum } from '../src/core/colour/spectrum'
import { linearRgbFromXyz } from '../src/core/colour/srgb'

/** White, grey and black of the printed card in every photo here. */
export const CARD = [0.9, 0.18, 0.04].map(flatReflectance)

// Where its white lies in the sensor's range: a careful exposure.
const CARD_LEVEL = 0.8

/**
 * An ideal camera in a light: from a surface to red, green and blue, 0 to 255 (sRGB). Spectrum by spectrum, never by
 * scaling red, green and blue.
 *
 * @param balanced whether it takes the light's colour out by a gain on each channel (common practice)
 */
export function idealSensor(
  spectrum: Spectrum,
  balanced: boolean,
): (surface: Reflectance) => readonly number[] {
  const weights = bandWeights(spectrum)
  const raw = (surface: Reflectance) => linearRgbFromXyz(xyzUnder(weights, surface))
  const white = raw(CARD[0]!)
  const gains = white.map((channel) => CARD_LEVEL / (balanced ? channel : Math.max(...white)))
  return (surface) =>
    raw(surface).map((channel, i) => {
      const v = Math.min(1, Math.max(0, channel * gains[i]!))
      return 255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055)
    })
}
