import Color from 'colorjs.io'
import { p3Bytes } from './appearance'
import { labFromXyz, xyzFromLab } from './lab'
import { hexFromLinearRgb, linearRgbFromHex, linearRgbFromXyz, xyzFromLinearRgb } from './srgb'

test('every tenth grey and the corners come back from XYZ as they went', () => {
  const hexes = ['#ff0000', '#00ff00', '#0000ff', '#ffff00', '#00ffff', '#ff00ff']
  for (let v = 0; v < 256; v += 10) hexes.push(hexFromLinearRgb([v / 255, v / 255, v / 255]))
  for (const hex of hexes)
    expect(hexFromLinearRgb(linearRgbFromXyz(xyzFromLinearRgb(linearRgbFromHex(hex))))).toBe(hex)
})

test('L*a*b* under D65 agrees with a general-purpose library', () => {
  // colorjs.io's lab-d65; the whites differ in the fifth digit.
  for (const hex of ['#efebe0', '#9aa58d', '#3b4a63', '#c46a4d', '#010203']) {
    const theirs = new Color(hex).to('lab-d65').coords
    const ours = labFromXyz(xyzFromLinearRgb(linearRgbFromHex(hex)))
    ours.forEach((value, i) => expect(Math.abs(value - theirs[i]!)).toBeLessThan(0.02))
  }
})

test('bytes of Display P3 agree with a general-purpose library, inside sRGB and out of it', () => {
  for (const hex of ['#ff0000', '#9aa58d', '#3b4a63', '#c46a4d', '#010203', '#ffffff'])
    expect(p3Bytes({ hex, inGamut: true, p3: null })).toEqual(
      new Color(hex).to('p3').coords.map((channel) => Math.round(255 * channel!)),
    )
  const wide = { hex: '#ff0000', inGamut: false, p3: 'color(display-p3 1.0000 0.0000 0.2510)' }
  expect(p3Bytes(wide)).toEqual([255, 0, 64])
})

test('L*a*b* round trip through black and white', () => {
  for (const lab of [
    [0, 0, 0],
    [5, 3, -8],
    [50, -40, 30],
    [100, 0, 0],
  ] as const)
    labFromXyz(xyzFromLab(lab)).forEach((v, i) => expect(v).toBeCloseTo(lab[i]!, 9))
})

test.each(['#12345', 'abcdeg', '', '#1234567'])(
  'a hex of the wrong shape is refused: %j',
  (hex) => {
    expect(() => linearRgbFromHex(hex)).toThrow(/3 or 6 digits/)
  },
)
