import {
  adaptationRange,
  DEGREE_RANGE,
  prepareLight,
  screenColour,
  screenColoursOfXyz,
} from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { planckianSpectrum } from '../colour/planckian'
import type { Lab } from '../colour/lab'
import { lrvPercent } from '../paint/lrv'
import { reflectanceOfReading } from '../paint/reading'
import { companionsOf, otherHuesOfSameLrv } from './companions'
import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { extremesOf, finishesItTakes, turnsOf, type DayLight } from './on-trial'
import { trimsFor, type DeckColour } from './trim'
import { hueApartDeg, undertoneOf } from '../undertone/undertone'

const noon = prepareLight(daylightSpectrum(6504), 500)
const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })
const colour = (place: number, lab: Lab): DeckColour => ({
  place,
  lrvPercent: lrvPercent(surface(lab)),
  undertone: undertoneOf(noon, surface(lab)),
})

const STRIP: readonly Lab[] = [
  [92, 1, 4],
  [86, 2, 6],
  [80, 3, 8],
  [70, 4, 10],
  [58, 5, 12],
  [44, 6, 12],
  [30, 6, 10],
  [18, 4, 7],
]
const WHITES: readonly Lab[] = [
  [96, -0.2, 0.8],
  [94, 0, 7],
  [95, -1, -3],
]
const OTHERS: readonly Lab[] = [
  [70, -10, 2],
  [70, 3, -10],
  [70, 9, -3],
  [30, -8, 4],
  [92, -3, 2],
]
const deck = [...STRIP, ...WHITES, ...OTHERS].map((lab, place) => colour(place, lab))
const strip = STRIP.map((_, place) => place)

test('trims of a mid beige: all four kinds, judged, the best pair first', () => {
  const trims = trimsFor(deck[3]!, deck, strip, DEFAULT_HOUSE_RULES)
  expect(trims.map(({ kind }) => kind).sort()).toEqual([
    'clean-white',
    'relative',
    'same',
    'soft-white',
  ])
  expect(trims.map(({ grade }) => grade)).toEqual(
    trims.map(({ grade }) => grade).sort((p, q) => p - q),
  )
  const clean = trims.find(({ kind }) => kind === 'clean-white')!
  expect(clean.lrvRatio).toBeCloseTo(deck[clean.place]!.lrvPercent / deck[3]!.lrvPercent, 1)
})

test('a relative is two strip steps away: deeper beside a light wall, lighter beside a deep one', () => {
  const relative = (place: number) =>
    trimsFor(deck[place]!, deck, strip, DEFAULT_HOUSE_RULES).find(
      ({ kind }) => kind === 'relative',
    )!.place
  expect(relative(2)).toBe(4)
  expect(relative(6)).toBe(4)
  // No strip goes two steps past its end.
  expect(relative(7)).toBe(5)
})

test('the house rule’s trim comes first whatever pairs best', () => {
  for (const school of ['same', 'clean-white', 'soft-white', 'relative'] as const)
    expect(trimsFor(deck[3]!, deck, strip, { ...DEFAULT_HOUSE_RULES, trim: school })[0]!.kind).toBe(
      school,
    )
})

test('companions share the lean, one light, one between, one dark', () => {
  const companions = companionsOf(deck[3]!, deck)
  expect(companions.map(({ part }) => part)).toEqual(['light', 'bridging', 'dark'])
  for (const { place } of companions)
    expect(hueApartDeg(deck[place]!.undertone.hueDeg, deck[3]!.undertone.hueDeg)).toBeLessThan(25)
})

test('the same LRV in another hue is as light and leans elsewhere', () => {
  const others = otherHuesOfSameLrv(deck[3]!, deck)
  expect(others.length).toBeGreaterThanOrEqual(2)
  for (const place of others) {
    expect(Math.abs(deck[place]!.lrvPercent - deck[3]!.lrvPercent)).toBeLessThan(3)
    expect(hueApartDeg(deck[place]!.undertone.hueDeg, deck[3]!.undertone.hueDeg)).toBeGreaterThan(
      59,
    )
  }
})

const day = (lights: readonly (readonly [number, ReturnType<typeof prepareLight>])[]): DayLight[] =>
  lights.map(([minute, prepared]) => ({ minute, prepared }))

test('a turn is told by the hour it begins, a flicker is not', () => {
  const cool = prepareLight(daylightSpectrum(9000), 300)
  const warm = prepareLight(planckianSpectrum(2700), 60)
  // A metameric-prone grey-green: leans one way by day, another under lamps.
  const odd = surface([62, -1.6, 1.2])
  const [byDay, byLamp] = [undertoneOf(cool, odd), undertoneOf(warm, odd)]
  expect(hueApartDeg(byDay.hueDeg, byLamp.hueDeg)).toBeGreaterThan(5)
  const turns = turnsOf(
    day([
      [480, cool],
      [510, cool],
      [540, cool],
      [1200, warm],
      [1230, warm],
      [1260, warm],
    ]),
    odd,
  )
  const flicker = turnsOf(
    day([
      [480, cool],
      [510, cool],
      [540, warm],
      [570, cool],
      [600, cool],
      [630, cool],
    ]),
    odd,
  )
  expect(flicker).toHaveLength(1)
  if (turns.length > 1) expect(turns[1]!.minute).toBe(1200)
  expect(turns[0]!.minute).toBe(480)
})

test('brightness falls to about 0.63 from 300 to 30 lux, and saturation is lost in strong light', () => {
  // The figures of docs/model.md, section on what the eye sees: Q × 0.63, s × 0.87.
  const taupe = surface([60, 4, 6])
  const dim = extremesOf(
    day([
      [0, prepareLight(daylightSpectrum(6504), 300)],
      [1, prepareLight(daylightSpectrum(6504), 30)],
    ]),
    taupe,
  )!
  expect(dim.brightnessKept).toBeGreaterThan(0.58)
  expect(dim.brightnessKept).toBeLessThan(0.68)
  expect(dim.saturationKept).toBeGreaterThan(0.8)
  expect(dim.saturationKept).toBeLessThan(0.95)
  expect(extremesOf([], taupe)).toBeNull()
})

test('a pink beige takes what leans its way and rejects green; a grey rejects little', () => {
  const { takes, rejects } = finishesItTakes(undertoneOf(noon, surface([80, 5, 9])))
  expect(takes).toEqual(expect.arrayContaining(['orange']))
  expect(rejects).toEqual(expect.arrayContaining(['green']))
  expect(finishesItTakes(undertoneOf(noon, surface([80, 0, 0]))).rejects).toEqual([])
})

test('the range over D spans D, and a light that leaves no doubt has no range', () => {
  const lamp = prepareLight(planckianSpectrum(2700), 60)
  const [less, more] = adaptationRange(lamp)
  expect(more.degree - less.degree).toBeCloseTo(
    Math.min(1, lamp.degree + DEGREE_RANGE) - (lamp.degree - DEGREE_RANGE),
    9,
  )
  const [far, near] = [less, more].map((light) => screenColour(light, surface([90, 0, 2])).hex)
  expect(far).not.toBe(near)
})

test('a strong colour has a Display P3 form where sRGB has none, and stays itself inside sRGB', () => {
  // Between the green primaries of IEC 61966-2-1 (x 0.30, y 0.60) and of Display P3 (0.265, 0.690).
  const inside = screenColour(noon, surface([60, 5, 10]))
  expect(inside).toMatchObject({ inGamut: true, p3: null })
  const [beyond] = screenColoursOfXyz(noon, [[18, 40, 4.5]])
  expect(beyond!.inGamut).toBe(false)
  expect(beyond!.p3).toMatch(/^color\(display-p3 0\.\d+ 0\.\d+ 0\.\d+\)$/)
})
