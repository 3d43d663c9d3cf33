import fc from 'fast-check'
import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import type { Lab } from '../colour/lab'
import { reflectanceOfReading } from '../paint/reading'
import { decidingParts, type FinishColour } from './keeper-parts'
import { modelReading } from './pair-reading'
import { isBlackGround, pairingOf } from './pairing'
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
  ['a clean cream ages a greyed carpet of its hue', [78, 2, 22], [76, 2, 6], /makes it look dirty/],
  [
    'a red-brown wall lends a grey stone some green',
    [40, 22, 18],
    [62, 0, 0],
    /towards (blue-green|green|blue)/,
  ],
  ['a quiet grey leaves a stone as it is', [70, 0, 0.5], [62, 8, 12], /leaves it as it is/],
])('%s', (_, wall, finish, words) => {
  expect(wallOnFinish(seen(wall), seen(finish)).words).toMatch(words)
})

const part = (name: string, sharePercent: number, lab: Lab): FinishColour => ({
  part: name,
  sharePercent,
  reflectance: surface(lab),
  source: 'spectral',
})

test('black stone is judged by its flecks, a fleck in a quiet stone is not, a vein that grabs is', () => {
  const names = (colours: readonly FinishColour[]) =>
    decidingParts(noon, colours).map((each) => each.part)
  expect(names([part('ground', 95, [14, 0, 0]), part('fleck', 4, [55, 10, 22])])).toEqual([
    'ground',
    'fleck',
  ])
  expect(names([part('ground', 95, [70, 0, 2]), part('fleck', 4, [66, 2, 6])])).toEqual(['ground'])
  expect(names([part('ground', 92, [80, 0, 2]), part('vein', 8, [48, 18, 16])])).toEqual([
    'ground',
    'vein',
  ])
  expect(() => decidingParts(noon, [])).toThrow(/at least one colour/)
})

test('a black ground quarrels with no wall; its copper fleck rejects what copper rejects', () => {
  const ground = seen([14, 0.5, -1.5])
  expect(isBlackGround(ground)).toBe(true)
  for (const wall of [
    [80, 5, 10],
    [74, -5, 8],
    [60, 4, -12],
  ] as const)
    expect(['connects', 'quiet stretch']).toContain(pairingOf(seen(wall), ground))
  const stone = [part('ground', 92, [14, 0.5, -1.5]), part('fleck', 8, [62, 10, 14])]
  const wall = {
    strengthPercent: 100,
    reflectance: surface([72, -6, 14]),
    source: 'spectral',
  } as const
  expect(modelReading(noon, wall, stone)).toMatchObject({ verdict: 'no', part: 'fleck' })
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
      const said = wallOnFinish(wall, finish)
      expect(said.words).not.toMatch(/undefined|NaN|null/)
      expect(wallOnFinish(wall, finish)).toEqual(said)
    }),
    { numRuns: 300 },
  )
})
