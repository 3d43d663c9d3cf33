import { labFromXyz } from './lab'
import { bandWeights, whitePoint, xyOf, xyzUnder } from './observer'
import { flatReflectance } from './spectrum'
import * as illuminants from './tables/illuminants'

// ASTM E308 table of white points, recalled from memory; 0.03 covers its 1 nm against our 5 nm.
test.each([
  ['A', '2deg', [109.85, 100, 35.585]],
  ['A', '10deg', [111.144, 100, 35.2]],
  ['D50', '2deg', [96.422, 100, 82.521]],
  ['D55', '2deg', [95.682, 100, 92.149]],
  ['D65', '2deg', [95.047, 100, 108.883]],
  ['D65', '10deg', [94.811, 100, 107.304]],
  ['F2', '2deg', [99.186, 100, 67.393]],
  ['F7', '2deg', [95.041, 100, 108.747]],
  ['F11', '2deg', [100.962, 100, 64.35]],
  ['F11', '10deg', [103.863, 100, 65.607]],
] as const)('white point of %s for the %s observer', (name, observer, published) => {
  const white = whitePoint(illuminants[`ILLUMINANT_${name}`], observer)
  published.forEach((value, i) => expect(Math.abs(white[i]! - value)).toBeLessThan(0.03))
})

test('D65 has the chromaticity that CIE 015 gives it', () => {
  const [x, y] = xyOf(whitePoint(illuminants.ILLUMINANT_D65))
  expect(x).toBeCloseTo(0.31272, 4)
  expect(y).toBeCloseTo(0.32903, 4)
})

test('the 36 folded weights keep a perfect white perfect under a spiky lamp', () => {
  const f11 = Float64Array.from(illuminants.ILLUMINANT_F11)
  const white = whitePoint(f11)
  const [l, a, b] = labFromXyz(xyzUnder(bandWeights(f11), flatReflectance(1)), white)
  expect(l).toBeCloseTo(100, 9)
  expect(a).toBeCloseTo(0, 9)
  expect(b).toBeCloseTo(0, 9)
})

test('a light without power is refused', () => {
  expect(() => whitePoint(new Float64Array(81))).toThrow(/needs some power/)
})
