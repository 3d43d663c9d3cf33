import { PHOTOGRAPHED_FINISHES } from './photographed-finishes.fixture'
import { ciede2000 } from '../colour/ciede2000'
import { daylightSpectrum } from '../colour/daylight'
import { ledSpectrum } from '../colour/led'
import { bandWeights, xyzUnder } from '../colour/observer'
import { planckianSpectrum } from '../colour/planckian'
import { flatReflectance, type Reflectance, type Spectrum } from '../colour/spectrum'
import { linearRgbFromXyz, type LinearRgb } from '../colour/srgb'
import { labD65 } from '../paint/reading'
import { seededRandom } from '../seeded-random'
import { CardError, photoLight, reflectanceOfPixel } from './white-card'

// A card of printer paper: bluish; its reading is known.
const CARD = flatReflectance(0.88).map((share, band) => share * (band < 12 ? 1.04 : 1))

/** A photo by an ideal sensor: spectrum by spectrum, never by scaling red, green and blue. */
function photograph(spectrum: Spectrum, balanced: boolean, noise: number) {
  const weights = bandWeights(spectrum)
  const raw = (surface: Reflectance) => linearRgbFromXyz(xyzUnder(weights, surface))
  const white = raw(CARD)
  const gains = balanced
    ? white.map((channel) => 0.8 / channel)
    : white.map(() => 0.8 / Math.max(...white))
  const grain = seededRandom(9)
  const shot = (surface: Reflectance): LinearRgb =>
    raw(surface).map((channel, i) =>
      Math.min(1, Math.max(0, channel * gains[i]! * (1 + noise * (grain() - 0.5)))),
    ) as [number, number, number]
  return { card: shot(CARD), patches: PHOTOGRAPHED_FINISHES.map(shot) }
}

const LIGHTS: readonly (readonly [string, Spectrum])[] = [
  ['filament 2,700 K', planckianSpectrum(2700)],
  ['LED 4,000 K', ledSpectrum(4000, 83)],
  ['daylight 6,500 K', daylightSpectrum(6504)],
]

describe.each(LIGHTS)('under %s', (_, spectrum) => {
  test.each([
    ['as the light fell', false],
    ['balanced by the camera, the room’s light known', true],
  ] as const)(
    '%s: patches come back within ΔE00 2 at the median and 5 at worst',
    (_name, balanced) => {
      const { card, patches } = photograph(spectrum, balanced, 0.02)
      const light = photoLight(card, CARD, balanced ? spectrum : null)
      const misses = patches
        .map((pixel, i) =>
          ciede2000(labD65(PHOTOGRAPHED_FINISHES[i]!), labD65(reflectanceOfPixel(light, pixel))),
        )
        .sort((p, q) => p - q)
      expect(misses[Math.floor(misses.length / 2)]!).toBeLessThan(2)
      expect(misses.at(-1)!).toBeLessThan(5)
    },
  )
})

test('a clipped, a dark and a coloured card are refused in words', () => {
  expect(() => photoLight([1, 1, 0.9], CARD, null)).toThrow(/clipped/)
  expect(() => photoLight([0.02, 0.02, 0.02], CARD, null)).toThrow(/too dark/)
  expect(() => photoLight([0.2, 0.7, 0.2], CARD, null)).toThrow(CardError)
})
