import fc from 'fast-check'
import { ciede2000 } from '../colour/ciede2000'
import { D65_WEIGHTS } from '../colour/illuminant'
import { labFromXyz, xyzFromLab } from '../colour/lab'
import { bandWeights, whitePoint, xyzOfSpectrum, xyzUnder } from '../colour/observer'
import type { Xyz } from '../colour/spectrum'
import { xyzFromLinearRgb } from '../colour/srgb'
import * as illuminants from '../colour/tables/illuminants'
import * as samples from '../colour/tables/test-colour-samples'
import { seededRandom } from '../seeded-random'
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

const worstMiss = (target: Xyz, got: Float64Array): number =>
  Math.max(...xyzUnder(D65_WEIGHTS, got).map((value, i) => Math.abs(value - target[i]!)))

test('every sRGB colour on a 17³ grid comes back as it went in, inside 0 and 1', () => {
  let worst = 0
  let [low, high] = [1, 0]
  for (let r = 0; r < 17; r++)
    for (let g = 0; g < 17; g++)
      for (let b = 0; b < 17; b++) {
        const [x, y, z] = xyzFromLinearRgb([(r / 16) ** 2.2, (g / 16) ** 2.2, (b / 16) ** 2.2])
        const paint: Xyz = [x * 0.99 + 0.1, y * 0.99 + 0.1, z * 0.99 + 0.1]
        const got = smoothestReflectance(paint)
        worst = Math.max(worst, worstMiss(paint, got))
        low = Math.min(low, ...got)
        high = Math.max(high, ...got)
      }
  expect(worst).toBeLessThan(1e-6)
  expect(low).toBeGreaterThan(0)
  expect(high).toBeLessThan(1)
})

test('of 4,000 random L*a*b* each converges or is refused in words', () => {
  const random = seededRandom(11)
  let converged = 0
  for (let i = 0; i < 4_000; i++) {
    const lab = [100 * random(), 240 * random() - 120, 240 * random() - 120] as const
    const target = xyzFromLab(lab)
    try {
      if (worstMiss(target, smoothestReflectance(target)) < 1e-6) converged++
      else throw new Error(`${lab.join(' ')} came back as another colour`)
    } catch (error) {
      if (!(error instanceof ImpossibleColourError)) throw error
    }
  }
  // The optimal-colour solid fills about a quarter to a third of that box.
  expect(converged).toBeGreaterThan(800)
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
