import { colourTemperature } from './cct'
import { colourRenderingIndex } from './colour-rendering'
import { daylightSpectrum } from './daylight'
import { ILLUMINANT_SPECTRA } from './illuminant'
import { ledSpectrum } from './led'
import { mixLights } from './mix-lights'
import { xyzOfSpectrum } from './observer'
import { planckianSpectrum } from './planckian'

// CIE 015 / CIE 13.3: Ra of the tabulated lamps, and of the references themselves.
test.each([
  ['F2', 64],
  ['F7', 90],
  ['F11', 83],
  ['A', 100],
  ['D65', 100],
] as const)('Ra of %s is %i', (name, published) => {
  expect(Math.abs(colourRenderingIndex(ILLUMINANT_SPECTRA[name]) - published)).toBeLessThan(0.8)
})

test('a laser green has no rendering', () => {
  const line = new Float64Array(81)
  line[32] = 1
  expect(() => colourRenderingIndex(line)).toThrow(/near white only/)
})

test.each([
  [2700, 80],
  [2700, 92],
  [3000, 90],
  [4000, 82],
  [6500, 75],
])('an LED of %i K and Ra %i is one', (cctK, ra) => {
  const spectrum = ledSpectrum(cctK, ra)
  const got = colourTemperature(xyzOfSpectrum(spectrum))
  expect(Math.abs(got.cctK / cctK - 1)).toBeLessThan(0.002)
  expect(Math.abs(got.duv)).toBeLessThan(0.0036)
  expect(Math.abs(colourRenderingIndex(spectrum) - ra)).toBeLessThan(2)
  expect(Math.min(...spectrum)).toBeGreaterThanOrEqual(0)
})

test('an LED that is asked for what it cannot be is refused', () => {
  expect(() => ledSpectrum(1500, 80)).toThrow(/2200 to 7000 K, got 1500/)
  expect(() => ledSpectrum(3000, 100)).toThrow(/70 to 95, got 100/)
})

test('lights mix by illuminance', () => {
  const [warm, cool] = [planckianSpectrum(2700), daylightSpectrum(6500)]
  const mixed = mixLights([
    { spectrum: warm, illuminanceLux: 100 },
    { spectrum: cool, illuminanceLux: 300 },
  ])
  expect(xyzOfSpectrum(mixed)[1]).toBeCloseTo(400, 9)
  // On a straight line between the two in XYZ: a quarter of the warm light's X/Y.
  const ratio = (spectrum: Float64Array): number => {
    const [x, y] = xyzOfSpectrum(spectrum)
    return x / y
  }
  expect(ratio(mixed)).toBeCloseTo(0.25 * ratio(warm) + 0.75 * ratio(cool), 9)
  expect(() => mixLights([])).toThrow(/at least one light/)
})
