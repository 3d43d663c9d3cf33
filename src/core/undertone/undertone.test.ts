import { flatReflectance } from '../colour/spectrum'
import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { planckianSpectrum } from '../colour/planckian'
import { reflectanceOfReading } from '../paint/reading'
import { hueName, undertoneWords } from './hue-name'
import { lightnessWord } from './lightness-word'
import { undertoneOf } from './undertone'

const noon = prepareLight(daylightSpectrum(6504), 1000)
const lamp = prepareLight(planckianSpectrum(2700), 60)
const lab = (l: number, a: number, b: number) =>
  undertoneOf(noon, reflectanceOfReading({ kind: 'lab', lab: [l, a, b] }))

test('a neutral has no undertone in any light', () => {
  for (const light of [noon, lamp])
    for (const share of [0.05, 0.3, 0.8])
      expect(undertoneOf(light, flatReflectance(share)).c).toBeLessThan(1e-6)
})

// Directions of L*a*b* and what they are called (common practice).
test.each([
  [75, 6, -1, /pink|violet/],
  [75, 6, 8, /orange|pink/],
  [75, 0, 10, /yellow/],
  [75, -7, 5, /green/],
  [75, -1, -7, /blue/],
  [75, 5, -7, /violet/],
])('L*a*b* %d %d %d', (l, a, b, words) => {
  expect(undertoneWords(lab(l, a, b))).toMatch(words)
})

test('a slight lean is said to be slight, a trace is none, a colour outright is one', () => {
  expect(undertoneWords(lab(80, 1.6, 0.8))).toMatch(/^slight \S+ undertone$/)
  expect(undertoneWords(lab(80, 0.2, 0.2))).toBe('no undertone')
  expect(undertoneWords(lab(46, 28, 30))).toBe('a red outright')
})

test('the names of the circle meet around it', () => {
  expect([0, 359].map(hueName)).toEqual(['pink', 'pink'])
})

test('lightness words at the trade’s LRVs', () => {
  // Common practice: 3 true black, 8 off-black, 55 mid, 74 and up off-white.
  expect([3, 8, 20, 55, 74, 90].map(lightnessWord)).toEqual([
    'black',
    'off-black',
    'deep',
    'medium-light',
    'off-white',
    'white',
  ])
})
