import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import type { Lab } from '../colour/lab'
import { reflectanceOfReading } from '../paint/reading'
import { partsOf, roleOfPart, type FinishColour } from './parts'
import { roleOf } from './role'

const noon = prepareLight(daylightSpectrum(6504), 800)
const GREY: Lab = [62, 0, 1]
const BLACK: Lab = [12, 0, 0]
const PINK_VEIN: Lab = [40, 34, 12]
const DULL_VEIN: Lab = [72, 0, 2]

const colour = (part: string, sharePercent: number, lab: Lab): FinishColour => ({
  part,
  sharePercent,
  reflectance: reflectanceOfReading({ kind: 'lab', lab }),
  source: 'spectral',
})
const parts = (ground: Lab, vein: Lab, percent: number) =>
  partsOf(noon, [colour('vein', percent, vein), colour('ground', 100 - percent, ground)])
const shows = (ground: Lab, vein: Lab, percent: number) => parts(ground, vein, percent)[1]!.shows

test('the ground comes first, whoever was entered first, and shows whole', () => {
  const three = partsOf(noon, [
    colour('fleck', 5, PINK_VEIN),
    colour('ground', 70, GREY),
    colour('vein', 25, DULL_VEIN),
  ])
  expect(three.map(({ part }) => part)).toEqual(['ground', 'vein', 'fleck'])
  expect([three[0]!.shows, three[0]!.onBlack]).toEqual([1, 0])
  expect(() => partsOf(noon, [])).toThrow(/at least one colour/)
})

// Common practice: size shows, and what is clear and apart from its ground shows at less; both are chances' middles.
test('a part shows the more the larger it is, a clear one apart from its ground at less', () => {
  let last = 0
  for (const percent of [1, 4, 8, 13, 20, 40]) {
    const clear = shows(GREY, PINK_VEIN, percent)
    expect(clear).toBeGreaterThan(last)
    expect(clear).toBeGreaterThan(shows(GREY, DULL_VEIN, percent))
    last = clear
  }
  expect(shows(GREY, PINK_VEIN, 8)).toBeCloseTo(0.5, 1)
  expect(shows(GREY, DULL_VEIN, 13)).toBeCloseTo(0.5, 1)
  expect(shows(GREY, DULL_VEIN, 1)).toBeLessThan(0.1)
  // Clear, and hardly apart from a ground as clear.
  expect(shows([42, 33, 11], PINK_VEIN, 8)).toBeCloseTo(shows(GREY, DULL_VEIN, 8), 1)
})

test('on a black ground any fleck shows at little, and none is an opposite that sets the wall off', () => {
  expect(shows(BLACK, DULL_VEIN, 8)).toBeCloseTo(0.5, 1)
  const fleck = parts(BLACK, PINK_VEIN, 8)[1]!
  expect(fleck.onBlack).toBeGreaterThan(0.9)
  for (const ground of [GREY, [24, 26, 8] as Lab])
    expect(parts(ground, PINK_VEIN, 8)[1]!.onBlack).toBeLessThan(0.1)
  const role = roleOf('curtain', DEFAULT_HOUSE_RULES)
  expect(roleOfPart(role, { onBlack: 0.25 })).toEqual({ ...role, setOff: 0.75, opposes: 0.75 })
  expect(roleOfPart(role, { onBlack: 0 })).toBe(role)
})
