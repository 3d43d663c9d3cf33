import fc from 'fast-check'
import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import type { Lab } from '../colour/lab'
import { reflectanceOfReading, type ReadingSource } from '../paint/reading'
import type { FinishColour } from './keeper-parts'
import { modelReading, type StrengthRung } from './pair-reading'
import { measurePair } from './pairing'
import { undertoneOf } from '../undertone/undertone'

const noon = prepareLight(daylightSpectrum(6504), 800)
const seen = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })
const read = (wall: Lab, finish: Lab) =>
  modelReading(noon, { strengthPercent: 100, reflectance: seen(wall), source: 'reader' }, [
    { part: 'stone', sharePercent: 100, reflectance: seen(finish), source: 'reader' },
  ])

const ORANGE_PINK_STONE: Lab = [68, 9, 14]
const BLUE_WHITE_TILE: Lab = [94, -0.5, -3]
const CREAM_TRIM: Lab = [91, 0, 11]

// What the trade says of pairs, each with invented colours (common practice).
test.each<[string, Lab, Lab, string[], RegExp]>([
  ['an orange-pink stone takes a pink beige', [80, 5, 9], ORANGE_PINK_STONE, ['works'], /./],
  ['it rejects a green-leaning tan', [72, -4, 14], ORANGE_PINK_STONE, ['no'], /too green/],
  [
    'a violet-flecked stone rejects yellow-green',
    [75, -7, 18],
    [60, 5, -7],
    ['no'],
    /too green|too yellow/,
  ],
  [
    'blue-white tile makes a warm off-white look dirty',
    [90, 1, 8],
    BLUE_WHITE_TILE,
    ['no'],
    /dirty/,
  ],
  [
    'a washed-out off-white looks insipid beside cream',
    [92, 0, 1.5],
    CREAM_TRIM,
    ['no'],
    /insipid/,
  ],
  ['cream trim takes a yellow-leaning tan', [76, 1, 16], CREAM_TRIM, ['works'], /./],
  ['coral sets off blue-green', [66, 34, 24], [48, -22, -12], ['works'], /Sets the stone off/],
  ['a grey of black and white sits with another', [70, 0, 0], [50, 0, 0], ['works'], /Connects/],
])('%s', (_, wall, finish, verdicts, sentence) => {
  const got = read(wall, finish)
  expect(verdicts).toContain(got.verdict)
  expect(got.sentence).toMatch(sentence)
})

test('the worst of a stone’s two colours decides, a fleck does not', () => {
  const stone = (veinShare: number): FinishColour[] => [
    {
      part: 'ground',
      sharePercent: 100 - veinShare,
      reflectance: seen([70, 0, 1]),
      source: 'reader',
    },
    { part: 'vein', sharePercent: veinShare, reflectance: seen([62, 9, 12]), source: 'reader' },
  ]
  const green = { strengthPercent: 100, reflectance: seen([72, -5, 12]), source: 'maker' } as const
  expect(modelReading(noon, green, stone(30)).part).toBe('vein')
  expect(modelReading(noon, green, stone(30)).verdict).toBe('no')
  expect(modelReading(noon, green, stone(5)).part).toBe('ground')
})

test('where another strength would sit, the reading names it', () => {
  const ladder: StrengthRung[] = [
    { strengthPercent: 100, reflectance: seen([72, -4, 14]), source: 'maker' },
    { strengthPercent: 50, reflectance: seen([82, 4, 8]), source: 'maker' },
  ]
  const got = modelReading(
    noon,
    ladder[0]!,
    [{ part: 'stone', sharePercent: 100, reflectance: seen(ORANGE_PINK_STONE), source: 'reader' }],
    ladder,
  )
  expect(got.verdict).toBe('works-lighter')
  expect(got.sentence).toMatch(/At 50 % it would sit with it/)
})

test('the conflict is the same both ways and nothing is ever NaN', () => {
  const near = fc.tuple(
    fc.double({ min: 35, max: 92, noNaN: true }),
    fc.double({ min: -15, max: 15, noNaN: true }),
    fc.double({ min: -10, max: 20, noNaN: true }),
  )
  fc.assert(
    fc.property(near, near, (p, q) => {
      const [wall, finish] = [undertoneOf(noon, seen(p)), undertoneOf(noon, seen(q))]
      const there = measurePair(wall, finish)
      const back = measurePair(finish, wall)
      expect(there.conflict).toBeCloseTo(back.conflict, 9)
      expect(there.conflict).toBeGreaterThanOrEqual(0)
      expect(Object.values(there).every(Number.isFinite)).toBe(true)
      expect(there.lightness).toBeCloseTo(-back.lightness, 9)
    }),
    { numRuns: 100 },
  )
})

test('a photo alone is too weak for what a reader may say, a spectrum is not', () => {
  const by = (source: ReadingSource) =>
    modelReading(noon, { strengthPercent: 100, reflectance: seen([92, 0, 1.5]), source }, [
      { part: 'trim', sharePercent: 100, reflectance: seen(CREAM_TRIM), source },
    ])
  expect(by('spectral')).toMatchObject({ verdict: 'no', firm: true })
  expect(by('photo')).toMatchObject({ verdict: 'unsure', firm: false })
  expect(by('photo').sentence).toMatch(/readings are too weak/)
  expect(by('photo').plusMinus).toBeGreaterThan(2 * by('spectral').plusMinus)
})

test('what is said of a pair that connects is true of its leans', () => {
  expect(read([80, 5, 9], [91, 5, 10]).sentence).not.toMatch(/lean apart/)
  expect(read([70, 0, 0], [50, 0, 0]).sentence).toMatch(/both are quiet/)
  // A warm off-white over a cool slate leans the other way, only slightly.
  const overSlate = read([93.2, 0.33, 4.86], [38, -1, -3])
  expect(overSlate.pairing).toBe('connects')
  expect(overSlate.sentence).toMatch(/lean apart, but too slightly/)
  expect(read([80, 4, 9], [94, 0, 0.5]).sentence).not.toMatch(/same way/)
})
