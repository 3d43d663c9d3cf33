import fc from 'fast-check'
import { runs } from '../runs.fixture'
import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import type { Lab } from '../colour/lab'
import { reflectanceOfReading } from '../paint/reading'
import { statedLabPair } from './trade-cases.fixture'
import { leaning, undertoneOf } from '../undertone/undertone'
import { wallOnFinish } from './wall-on-finish'

const noon = prepareLight(daylightSpectrum(6504), 500)
const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })
const seen = (lab: Lab) => undertoneOf(noon, surface(lab))

// A wall works on the finish too (common practice), each with invented colours.
test.each<[string, Lab, Lab, RegExp]>([
  [
    'a blue-violet wall brings out the cream in trim',
    [60, 4, -14],
    [88, 1, 11],
    /brings out its (yellow|orange)/,
  ],
  [
    'a green wall strengthens the pink in a stone',
    [60, -14, 6],
    [62, 9, 3],
    /brings out its (pink|red)/,
  ],
  ['a clear yellow wall greys a cream down', [70, 1, 34], [88, 1, 11], /quiets its yellow/],
  [
    'a red-brown wall lends a grey stone some green',
    [40, 22, 18],
    [62, 0, 0],
    /towards (blue-green|green|blue)/,
  ],
  ['a quiet grey leaves a stone as it is', [70, 0, 0.5], [62, 8, 12], /leaves it as it is/],
])('%s', (_, wall, finish, words) => {
  expect(wallOnFinish(seen(wall), seen(finish), false).words).toMatch(words)
})

test.each([
  // The wall's lean in a and b, the finish's, and what comes of it: the eye lends the opposite.
  [[-10, 0], [8, 0], 'brings out'],
  [[10, 0], [8, 0], 'quiets'],
  [[0, -10], [8, 0], 'tints'],
  [[10, 0], [0, 0], 'tints'],
  [[4, 0], [8, 0], 'leaves it be'],
] as const)('a wall that leans %j beside a finish that leans %j: %s', ([a, b], [c, d], effect) => {
  expect(wallOnFinish(leaning(60, a, b), leaning(70, c, d), false).effect).toBe(effect)
})

test('what ages a finish is said before all else', () => {
  const aged = wallOnFinish(leaning(60, -10, 0), leaning(70, 8, 0), true)
  expect([aged.effect, aged.lean]).toEqual(['ages it', null])
})

test('an icy wall ages cream cupboards, and the reading of the pair says so', () => {
  // Common practice.
  const { back, pairing, looksDirty, chance } = statedLabPair([84, 0, 3], [88, 1, 9], 'cabinets')
  expect(back.words).toMatch(/makes it look dirty/)
  expect([pairing, looksDirty]).toEqual(['one looks dirty', 'finish'])
  expect(chance).toBeLessThan(0.5)
})

test('whatever the two are, something is said and it is the same the next time', () => {
  const any = fc
    .tuple(
      fc.double({ min: 5, max: 100, noNaN: true }),
      fc.double({ min: -40, max: 40, noNaN: true }),
      fc.double({ min: -40, max: 40, noNaN: true }),
    )
    .map(([j, a, b]) => leaning(j, a, b))
  fc.assert(
    fc.property(any, any, (wall, finish) => {
      const said = wallOnFinish(wall, finish, false)
      expect(said.words).not.toMatch(/undefined|NaN|null/)
      expect(wallOnFinish(wall, finish, false)).toEqual(said)
    }),
    { numRuns: runs(300) },
  )
})
