import Color from 'colorjs.io'
import { cam16, cam16Viewing, ucsOf } from './cam16'
import { cat16Matrix, degreeOfAdaptation, multiply } from './cat16'
import type { Xyz } from './spectrum'

const D65: Xyz = [95.05, 100, 108.88]

test('the documented example of the model: a grey under 318.31 cd/m²', () => {
  // Documentation example of an open-source colour library, recalled from memory.
  const degree = degreeOfAdaptation(318.31)
  const got = cam16([19.01, 20, 21.78], cam16Viewing(D65, 318.31, degree))
  expect(got.J).toBeCloseTo(41.7312079, 4)
  expect(got.C).toBeCloseTo(0.1033557, 4)
  expect(got.h).toBeCloseTo(217.0679597, 3)
  expect(got.s).toBeCloseTo(2.345015, 4)
  expect(got.Q).toBeCloseTo(195.3717089, 3)
  expect(got.M).toBeCloseTo(0.1074367, 4)
})

test('incomplete adaptation to a warm lamp', () => {
  // Computed by an independent implementation of Li et al. 2017, D set by hand.
  const lamp: Xyz = [111.99647252, 100, 31.54652088]
  const got = ucsOf(cam16([25.00276573, 30.82283512, 40.34144667], cam16Viewing(lamp, 10, 0.8)))
  expect(got[0]).toBeCloseTo(64.074253, 3)
  expect(got[1]).toBeCloseTo(-13.766236, 3)
  expect(got[2]).toBeCloseTo(-33.126517, 3)
})

test('agrees with a general-purpose library on a spread of colours', () => {
  // colorjs.io's CAM16: white D65 at 95.047/100/108.883, L_A = 64/π · 0.2, average surround.
  const la = (64 / Math.PI) * 0.2
  const viewing = cam16Viewing([95.0455927, 100, 108.9057751], la, degreeOfAdaptation(la))
  for (const hex of ['#efebe0', '#9aa58d', '#3b4a63', '#c46a4d', '#808080', '#2b2523']) {
    const color = new Color(hex)
    const xyz = color.to('xyz-d65').coords.map((v) => 100 * v!) as [number, number, number]
    const [j, m, h] = color.to('cam16-jmh').coords as number[]
    const got = cam16(xyz, viewing)
    expect(got.J).toBeCloseTo(j!, 2)
    expect(got.M).toBeCloseTo(m!, 2)
    if (m! > 1) expect(Math.abs(got.h - h!)).toBeLessThan(0.1)
  }
})

// CAT16 in the one-step form, by an independent implementation; D = 1 also by colorjs.io.
test.each([
  ['D65 to A, full', [109.84899312, 100, 35.58247363], 1, [56.326927, 50.288901, 15.031763]],
  ['D65 to D50, 0.8', [96.41248711, 100, 82.49857199], 0.8, [48.849268, 50.287861, 37.582069]],
  ['D65 to a lamp, 0.8', [111.99647252, 100, 31.54652088], 0.8, [55.579673, 50.291324, 19.970894]],
] as const)('adaptation %s', (_, to, degree, expected) => {
  const matrix = cat16Matrix([95.047, 100, 108.883], to, degree)
  const got = multiply(matrix, [48.07741352, 50.29414453, 46.70208669])
  expected.forEach((value, i) => expect(got[i]).toBeCloseTo(value, 3))
})

test('the eye adapts further in brighter rooms', () => {
  // CAM16's D formula at 4.074 and 318.31 cd/m², as colorjs.io and the published example have it.
  expect(degreeOfAdaptation(4.07436654)).toBeCloseTo(0.83165539, 6)
  expect(degreeOfAdaptation(318.31)).toBeCloseTo(0.99446878, 6)
})
