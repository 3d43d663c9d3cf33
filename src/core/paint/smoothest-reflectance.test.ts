import fc from 'fast-check'
import { ciede2000 } from '../colour/ciede2000'
import { D65_WEIGHTS } from '../colour/illuminant'
import { labFromXyz } from '../colour/lab'
import { bandWeights, whitePoint, xyzOfSpectrum, xyzUnder } from '../colour/observer'
import type { Xyz } from '../colour/spectrum'
import { linearRgbFromHex, xyzFromLinearRgb } from '../colour/srgb'
import * as illuminants from '../colour/tables/illuminants'
import * as samples from '../colour/tables/test-colour-samples'
import { ImpossibleColourError, smoothestReflectance } from './smoothest-reflectance'

/** Colour of a measured sample by plain summation over its 5 nm table. */
function trueXyz(sample: readonly number[], light: readonly number[]): Xyz {
  const [x, y, z] = xyzOfSpectrum(sample.map((share, i) => share * light[i]!))
  const scale = 100 / xyzOfSpectrum(light)[1]
  return [x * scale, y * scale, z * scale]
}

// CIE 13.3 test colour samples 1–8: one XYZ under D65 in, the colour under another light out.
// The limits are the figures of a reference implementation of Burns 2020, plus rounding.
test.each([
  ['A', 0.6, 1.8],
  ['F2', 0.65, 2],
  ['F11', 0.75, 1.75],
  ['D50', 0.25, 0.55],
] as const)('predicts the test colour samples under %s', (name, median, worst) => {
  const light = illuminants[`ILLUMINANT_${name}`]
  const weights = bandWeights(Float64Array.from(light))
  const white = whitePoint(light)
  const misses = Object.values(samples)
    .map((sample) => {
      const guess = smoothestReflectance(trueXyz(sample, illuminants.ILLUMINANT_D65))
      return ciede2000(
        labFromXyz(xyzUnder(weights, guess), white),
        labFromXyz(trueXyz(sample, light), white),
      )
    })
    .sort((p, q) => p - q)
  expect((misses[3]! + misses[4]!) / 2).toBeLessThan(median)
  expect(misses.at(-1)).toBeLessThan(worst)
})

test('every sRGB colour on a 9³ grid comes back as it went in', () => {
  for (let r = 0; r < 9; r++)
    for (let g = 0; g < 9; g++)
      for (let b = 0; b < 9; b++) {
        const hex = [r, g, b]
          .map((v) =>
            Math.min(255, v * 32)
              .toString(16)
              .padStart(2, '0'),
          )
          .join('')
        const [x, y, z] = xyzFromLinearRgb(linearRgbFromHex(hex))
        const paint: Xyz = [x * 0.99 + 0.1, y * 0.99 + 0.1, z * 0.99 + 0.1]
        const got = smoothestReflectance(paint)
        expect(Math.min(...got) > 0 && Math.max(...got) < 1).toBe(true)
        const misses = xyzUnder(D65_WEIGHTS, got).map((v, i) => Math.abs(v - paint[i]!))
        expect(Math.max(...misses)).toBeLessThan(1e-6)
      }
})

test('any reflectance’s colour is reproduced', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0.02, max: 0.95, noNaN: true }), { minLength: 36, maxLength: 36 }),
      (bands) => {
        const xyz = xyzUnder(D65_WEIGHTS, Float64Array.from(bands))
        xyzUnder(D65_WEIGHTS, smoothestReflectance(xyz)).forEach((v, i) =>
          expect(Math.abs(v - xyz[i]!)).toBeLessThan(1e-6),
        )
      },
    ),
    { numRuns: 200 },
  )
})

test('what no paint can be is refused in words', () => {
  expect(() => smoothestReflectance([20, 60, 5])).toThrow(ImpossibleColourError)
  expect(() => smoothestReflectance([95, 100.5, 108])).toThrow(/LRV lies between/)
  expect(() => smoothestReflectance([NaN, 20, 20])).toThrow(/three numbers/)
})
