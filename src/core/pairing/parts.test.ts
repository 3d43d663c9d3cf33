import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import type { Lab } from '../colour/lab'
import { reflectanceOfReading } from '../paint/reading'
import { BLACK_GROUND, partsOf, roleOfPart, type FinishColour } from './parts'
import { DAYLIGHT } from '../undertone/daylight'
import { undertoneOf, type Undertone } from '../undertone/undertone'
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

/** A colour between two, for which something of its undertone by daylight is so much. */
function where(from: Lab, to: Lab, of: (seen: Undertone) => number, much: number): Lab {
  let [low, high] = [0, 1]
  const at = (t: number): Lab => [0, 1, 2].map((i) => from[i]! + t * (to[i]! - from[i]!)) as never
  const value = (t: number) =>
    of(undertoneOf(DAYLIGHT, reflectanceOfReading({ kind: 'lab', lab: at(t) }))) - much
  const rises = value(1) > value(0)
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (value(middle) > 0 === rises) high = middle
    else low = middle
  }
  return at(low)
}

// Tables of the normal distribution: one spread over a limit is 0.8413 of the way.
const ONE_SPREAD = 0.8413

test('black is black the surer the deeper and the greyer it is', () => {
  const onBlack = (ground: Lab) => parts(ground, DULL_VEIN, 8)[1]!.onBlack
  const { jBelow, leanBelow, spread } = BLACK_GROUND
  const deep = where([5, 0, 0], [60, 0, 0], ({ j }) => j, jBelow - spread)
  expect(onBlack(deep)).toBeCloseTo(ONE_SPREAD, 2)
  const grey = where([8, 0, 0], [8, 30, 0], ({ c }) => c, leanBelow - spread)
  expect(onBlack(grey)).toBeCloseTo(ONE_SPREAD, 2)
  expect(parts(BLACK, DULL_VEIN, 8)[0]!.onBlack).toBe(0)
})

test('the eye is caught by a lean and by a distance, each as sure as it is clear of its limit', () => {
  // Shares of a part that surely catches the eye, and of one that surely does not, by the tables: Φ(0) and Φ(−5/7).
  const caught = ONE_SPREAD * 0.5 + (1 - ONE_SPREAD) * 0.2375
  const lean = where([85, 0, 0], [70, 40, 40], ({ c }) => c, 6 + 2.5)
  expect(shows([45, 0, 0], lean, 8)).toBeCloseTo(caught, 2)
  const ground: Lab = [50, 6, 18]
  const from = undertoneOf(DAYLIGHT, reflectanceOfReading({ kind: 'lab', lab: ground }))
  const away = ({ j, a, b }: Undertone) => Math.hypot(j - from.j, a - from.a, b - from.b)
  for (const towards of [
    [40, 30, -45],
    [50, 55, 10],
    [70, 40, 40],
  ] as const)
    expect(shows(ground, where(ground, towards, away, 18 + 2.5), 8)).toBeCloseTo(caught, 2)
  // Far away and without a lean it catches nobody's eye.
  expect(shows([45, 0, 0], [95, 0, 0], 8)).toBeCloseTo(0.2375, 2)
  // The ground shows whole, however little of it there is.
  const flecked = [30, 25, 25, 20].map((percent, i) => colour(`${i}`, percent, DULL_VEIN))
  expect(partsOf(noon, flecked)[0]!.shows).toBe(1)
})

test('on a black ground any fleck shows at little, and none is an opposite that sets the wall off', () => {
  expect(shows(BLACK, DULL_VEIN, 8)).toBeCloseTo(0.5, 1)
  const fleck = parts(BLACK, PINK_VEIN, 8)[1]!
  expect(fleck.onBlack).toBeGreaterThan(0.9)
  for (const ground of [GREY, [24, 26, 8] as Lab])
    expect(parts(ground, PINK_VEIN, 8)[1]!.onBlack).toBeLessThan(0.1)
  const role = roleOf('curtain', DEFAULT_HOUSE_RULES)
  expect(roleOfPart(role, { onBlack: 0.25 })).toEqual({ ...role, onBlack: 0.25 })
  expect(roleOfPart(role, { onBlack: 0 })).toBe(role)
})
