import { daylightFromComponents, daylightSpectrum, daylightWeights, daylightXy } from './daylight'
import { whitePoint, xyOf } from './observer'
import { ILLUMINANT_D50, ILLUMINANT_D65 } from './tables/illuminants'

// CIE 015, daylight illuminants: D65 stands at 6504 K, D50 at 5003 K, D55 at 5503 K, D75 at 7504 K.
test.each([
  [5003, 0.34567, 0.3585],
  [5503, 0.33242, 0.34743],
  [6504, 0.31272, 0.32903],
  [7504, 0.29902, 0.31485],
])('%i K has its published chromaticity', (cctK, x, y) => {
  const of = daylightXy(cctK)
  expect(Math.abs(of[0] - x)).toBeLessThan(1.5e-4)
  expect(Math.abs(of[1] - y)).toBeLessThan(1.5e-4)
})

test.each([
  ['D65', 6504, ILLUMINANT_D65],
  ['D50', 5003, ILLUMINANT_D50],
] as const)('the series at %s is the tabulated illuminant', (_, cctK, table) => {
  const series = daylightSpectrum(cctK)
  const at560 = table[36]!
  table.forEach((value, i) =>
    // CIE 015 computes its tables with M1 and M2 rounded to three decimals.
    expect(Math.abs(series[i]! - (100 * value) / at560)).toBeLessThan(0.15),
  )
})

test('weights of 10,000 K and the colour of its sum', () => {
  // Computed by an independent implementation of CIE 015's formulas, from memory.
  const [m1, m2] = daylightWeights(10_000)
  expect(m1).toBeCloseTo(1.002688, 5)
  expect(m2).toBeCloseTo(-0.368854, 5)
  const [x, y] = xyOf(whitePoint(daylightSpectrum(10_000)))
  expect(x).toBeCloseTo(0.278774, 4)
  expect(y).toBeCloseTo(0.291877, 4)
})

test('candlelight is not very warm daylight', () => {
  expect(() => daylightXy(2700)).toThrow(/4000 to 25000 K, got 2700/)
  expect(() => daylightXy(25_001)).toThrow(/got 25001/)
  for (const end of [4000, 25_000]) expect(daylightXy(end)[0]).toBeGreaterThan(0.2)
  expect(() => daylightFromComponents(1, Number.NaN, 0)).toThrow(/components of daylight.*NaN/)
})
