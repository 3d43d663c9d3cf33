import {
  adaptationRange,
  DEGREE_RANGE,
  prepareLight,
  screenColour,
  screenColoursTogether,
} from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { planckianSpectrum } from '../colour/planckian'
import type { Lab } from '../colour/lab'
import { lrvPercent } from '../paint/lrv'
import { reflectanceOfReading } from '../paint/reading'
import { companionsOf, otherHuesOfSameLrv } from './companions'
import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { asHere, finishesItTakes, turnsOf, warming, type DayLight } from './on-trial'
import { trimsFor, type DeckColour } from './trim'
import { hueName } from '../undertone/hue-name'
import { hueApartDeg, leaning, undertoneOf } from '../undertone/undertone'

const noon = prepareLight(daylightSpectrum(6504), 500)
const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })
const colour = (place: number, lab: Lab): DeckColour => ({
  place,
  lrvPercent: lrvPercent(surface(lab)),
  undertone: undertoneOf(noon, surface(lab)),
  source: 'maker',
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
  [38, -9, -5],
]
const deck = [...STRIP, ...WHITES, ...OTHERS].map((lab, place) => colour(place, lab))
const strip = STRIP.map((_, place) => place)

const kindsOf = (place: number, washesOut = false) =>
  trimsFor(deck[place]!, deck, strip, DEFAULT_HOUSE_RULES, washesOut).map(({ kind }) => kind)

test('trims of a mid beige: every kind, judged, the likeliest first', () => {
  const trims = trimsFor(deck[3]!, deck, strip, DEFAULT_HOUSE_RULES)
  expect(trims.map(({ kind }) => kind).sort()).toEqual([
    'clean-white',
    'complement',
    'relative',
    'same',
    'soft-white',
  ])
  // A complement is offered last: it is for those who ask for it.
  expect(trims.at(-1)!.kind).toBe('complement')
  const chances = trims.slice(0, -1).map(({ chance }) => chance)
  expect(chances).toEqual([...chances].sort((p, q) => q - p))
  const clean = trims.find(({ kind }) => kind === 'clean-white')!
  expect(clean.lrvRatio).toBeCloseTo(deck[clean.place]!.lrvPercent / deck[3]!.lrvPercent, 1)
  for (const { words, judgement } of trims)
    if (judgement === 'works') expect(words).not.toMatch(/dirty|clash|near miss|too /)
})

test('a white trim is never the wall’s own colour, nor one that nobody could tell from it', () => {
  // The softened white of the deck as the wall, then a near copy of it.
  const soft = STRIP.length + 1
  for (const near of [
    [94, 0, 7],
    [94.5, 0.3, 6.5],
  ] as const) {
    const copy = [...deck, colour(deck.length, [...near])]
    for (const trim of trimsFor(copy[soft]!, copy, strip, DEFAULT_HOUSE_RULES))
      if (trim.kind !== 'same') expect([soft, deck.length]).not.toContain(trim.place)
  }
})

test('a pale wall in a very bright room is kept by a clean white trim', () => {
  expect(kindsOf(0, true)[0]).toBe('clean-white')
  const [first] = trimsFor(deck[0]!, deck, strip, DEFAULT_HOUSE_RULES, true)
  expect(first!.words).toMatch(/keeps a pale wall in a very bright room/)
})

test('a deep complement is deep, clear and from across the circle; a wall without a lean has none', () => {
  const complement = trimsFor(deck[3]!, deck, strip, DEFAULT_HOUSE_RULES).find(
    ({ kind }) => kind === 'complement',
  )!
  const { undertone, lrvPercent: lrv } = deck[complement.place]!
  expect(lrv).toBeLessThanOrEqual(25)
  expect(hueApartDeg(undertone.hueDeg, deck[3]!.undertone.hueDeg)).toBeGreaterThanOrEqual(120)
  const grey = [...deck, colour(deck.length, [70, 0, 0])]
  expect(
    trimsFor(grey.at(-1)!, grey, strip, DEFAULT_HOUSE_RULES).map(({ kind }) => kind),
  ).not.toContain('complement')
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

const ANYWHERE = {
  chanceWithStaying: () => 1,
  speaksAgainst: () => false,
  rules: DEFAULT_HOUSE_RULES,
}

test('companions share the lean, one light, one between, one dark', () => {
  const companions = companionsOf(deck[3]!, deck, ANYWHERE)
  expect(companions.map(({ part }) => part)).toEqual(['light', 'bridging', 'dark'])
  for (const { place } of companions)
    expect(hueApartDeg(deck[place]!.undertone.hueDeg, deck[3]!.undertone.hueDeg)).toBeLessThan(25)
})

test('companions know what stays and what the room’s light says', () => {
  const light = (room: Partial<typeof ANYWHERE>) =>
    companionsOf(deck[3]!, deck, { ...ANYWHERE, ...room }).find(({ part }) => part === 'light')!
      .place
  const first = light({})
  // What stays rejects the nearest, or the light speaks against it: another is taken.
  expect(
    light({ chanceWithStaying: ((at: number) => (at === first ? 0.1 : 0.9)) as () => number }),
  ).not.toBe(first)
  expect(light({ speaksAgainst: ((at: number) => at === first) as () => boolean })).not.toBe(first)
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
  // A green-grey that leans yellow-green by day and green under lamps.
  const odd = surface([62, -2, 3.46])
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
  expect(turns).toHaveLength(2)
  expect(turns[1]!.minute).toBe(1200)
  expect(turns[1]!.lean).not.toBe(turns[0]!.lean)
  expect(turns[0]!.minute).toBe(480)
})

test('the warmest light of the day is named, and what it does', () => {
  const cool = prepareLight(daylightSpectrum(9000), 300)
  const sun = prepareLight(planckianSpectrum(2700), 200)
  const greige = surface([80, 1, 6])
  const got = warming(
    day([
      [480, cool],
      [1100, sun],
      [1130, cool],
    ]),
    greige,
  )!
  expect(got.minute).toBe(1100)
  expect(got.units).toBeGreaterThan(3)
  expect(warming(day([[480, cool]]), greige)!.units).toBe(0)
  expect(warming([], greige)).toBeNull()
})

test('a pink beige takes what leans its way and rejects green; a grey rejects little', () => {
  const { takes, rejects } = finishesItTakes(
    undertoneOf(noon, surface([80, 5, 9])),
    DEFAULT_HOUSE_RULES,
  )
  expect(takes).toEqual(expect.arrayContaining(['orange']))
  expect(rejects).toEqual(expect.arrayContaining(['violet']))
  expect(
    finishesItTakes(undertoneOf(noon, surface([80, 0, 0])), DEFAULT_HOUSE_RULES).rejects,
  ).toEqual([])
})

test('what it asks of finishes is never other than it sits with one that is there', () => {
  const most = { takes: ['orange', 'yellow'], rejects: ['violet', 'blue'] } as const
  const orange = leaning(60, 7, 12)
  const blue = leaning(60, 0, -9)
  expect([orange, blue].map(({ hueDeg }) => hueName(hueDeg))).toEqual(['orange', 'blue'])
  expect(asHere(most, [{ undertone: orange, chance: 0.2 }])).toEqual({
    takes: ['yellow'],
    rejects: ['violet', 'blue'],
  })
  expect(asHere(most, [{ undertone: blue, chance: 0.7 }])).toEqual({
    takes: ['orange', 'yellow'],
    rejects: ['violet'],
  })
  // What is unsure speaks against neither.
  const unsure = [orange, blue].map((undertone) => ({ undertone, chance: 0.5 }))
  expect(asHere(most, unsure)).toEqual(most)
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
  const [beyond] = screenColoursTogether([{ light: noon, xyz: [18, 40, 4.5] }])
  expect(beyond!.inGamut).toBe(false)
  expect(beyond!.p3).toMatch(/^color\(display-p3 0\.\d+ 0\.\d+ 0\.\d+\)$/)
})
