import { ciede2000 } from '../colour/ciede2000'
import { ILLUMINANT_SPECTRA } from '../colour/illuminant'
import { labFromXyz } from '../colour/lab'
import { bandWeights, whitePoint, xyzUnder } from '../colour/observer'
import * as samples from '../colour/tables/test-colour-samples'
import { linearRgbFromHex, xyzFromLinearRgb } from '../colour/srgb'
import { lrvPercent } from './lrv'
import { extrapolatedBandsNm, labD65, reflectanceOfReading } from './reading'

test('LRV of a mid grey: L* 50 is Y 18.42', () => {
  // CIE 1976 L*, handbook value.
  expect(lrvPercent(reflectanceOfReading({ kind: 'lab', lab: [50, 0, 0] }))).toBeCloseTo(18.42, 2)
})

test.each([
  [[140, 0, 0], /L\* must be 0 to 100, got 140/],
  [[50, 300, 0], /a\* must be −128 to 128, got 300/],
  [[50, 0, Number.NaN], /b\* must be −128 to 128, got NaN/],
  [[90, 60, -60], /too strong for its lightness/],
] as const)('%j is refused', (lab, message) => {
  expect(() => reflectanceOfReading({ kind: 'lab', lab })).toThrow(message)
})

test('screen black and screen white are taken as the darkest and lightest paint', () => {
  expect(lrvPercent(reflectanceOfReading({ kind: 'srgb', hex: '#000' }))).toBeLessThan(0.1)
  expect(lrvPercent(reflectanceOfReading({ kind: 'srgb', hex: '#fff' }))).toBeGreaterThan(99)
})

test('a spectral reading on another grid is the same surface', () => {
  // CIE 13.3 test colour sample 4, read every 5 nm from 400 to 700.
  const at = Array.from({ length: 61 }, (_, i) => 400 + 5 * i)
  const values = at.map((nm) => samples.TCS04[(nm - 380) / 5]!)
  const read = reflectanceOfReading({ kind: 'spectral', wavelengthsNm: at, reflectance: values })
  expect(read[10]).toBeCloseTo(samples.TCS04[20]!, 12)
  expect(extrapolatedBandsNm(at)).toEqual([380, 390, 710, 720, 730])
  const whole = Float64Array.from({ length: 36 }, (_, i) => samples.TCS04[2 * i]!)
  expect(ciede2000(labD65(read), labD65(whole))).toBeLessThan(0.1)
})

test.each([
  ['D50', '2deg'],
  ['A', '10deg'],
  ['F11', '2deg'],
] as const)(
  'L*a*b* and XYZ given for %s and %s come back under that light',
  (illuminant, observer) => {
    const spectrum = ILLUMINANT_SPECTRA[illuminant]
    const lab = [62, 12, 18] as const
    const back = labFromXyz(
      xyzUnder(
        bandWeights(spectrum, observer),
        reflectanceOfReading({ kind: 'lab', lab, illuminant, observer }),
      ),
      whitePoint(spectrum, observer),
    )
    back.forEach((value, i) => expect(value).toBeCloseTo(lab[i]!, 5))
  },
)

test.each([
  [[], [], /at least one wavelength/],
  [[400, 500, 700], [0.2, 0.3], /3 wavelengths and 2 values/],
  [[400, 600, 500, 700], [0.2, 0.2, 0.2, 0.2], /must rise, but 500 nm follows 600 nm/],
  [[400, 500, 700], [0.2, -0.1, 0.3], /at 500 nm must be 0 to 1, got -0.1/],
  [[400, 500, 700], [0.2, Number.NaN, 0.3], /got NaN/],
  [[500, 600], [0.2, 0.3], /must cover 450 to 650 nm/],
])('a spectrum that cannot be is refused: %j', (wavelengthsNm, reflectance, message) => {
  expect(() => reflectanceOfReading({ kind: 'spectral', wavelengthsNm, reflectance })).toThrow(
    message,
  )
})

test('XYZ with Y over 100 is refused', () => {
  expect(() => reflectanceOfReading({ kind: 'xyz', xyz: [95, 101, 108] })).toThrow(
    /this reading's is 101\.0/,
  )
})

test('a hex keeps its colour on its way to a reflectance: ΔE00 0.1 at most, from black to white', () => {
  const steps = [0, 1, 8, 40, 96, 160, 224, 255]
  const moves = steps.flatMap((r) =>
    steps.flatMap((g) =>
      steps.map((b) => {
        const hex = `#${[r, g, b].map((v) => v.toString(16).padStart(2, '0')).join('')}`
        return ciede2000(
          labD65(reflectanceOfReading({ kind: 'srgb', hex })),
          labFromXyz(xyzFromLinearRgb(linearRgbFromHex(hex))),
        )
      }),
    ),
  )
  expect(Math.max(...moves)).toBeLessThan(0.1)
})
