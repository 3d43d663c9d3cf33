import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import type { Reflectance } from '../colour/spectrum'
import { lrvPercent } from '../paint/lrv'
import { reflectanceOfReading } from '../paint/reading'
import { DAYLIGHT } from '../undertone/daylight'
import { undertoneOf } from '../undertone/undertone'
import { ceilingsFor, joineryFor, lowerHalfFor } from './around'
import { accentsFrom } from './accents'
import { closeTones, fabricsFor } from './fabrics'
import { featureWallsFor } from './feature-wall'
import type { DeckColour } from './trim'

const of = (l: number, a: number, b: number): Reflectance =>
  reflectanceOfReading({ kind: 'lab', lab: [l, a, b] })

const seen = (place: number, surface: Reflectance, light = DAYLIGHT): DeckColour => ({
  place,
  lrvPercent: lrvPercent(surface),
  undertone: undertoneOf(light, surface),
  source: 'spectral',
})

// A strip of a warm beige, light to deep, a clean white, and a blue far from it.
const STRIP = [
  of(92, 1, 6),
  of(86, 2, 9),
  of(78, 3, 12),
  of(68, 4, 15),
  of(56, 5, 17),
  of(42, 6, 17),
]
const DECK = [...STRIP, of(95, 0, 1), of(58, -3, -22), of(78, -9, 6)].map((surface, at) =>
  seen(at, surface),
)
const PLACES = STRIP.map((_, at) => at)
const [CLEAN, BLUE, GREEN] = [6, 7, 8]
const ROOM = {
  rules: DEFAULT_HOUSE_RULES,
  treatment: 'plain',
  wear: { washed: false },
} as const

test('a ceiling is a clean white, a paler relative, or the wall carried up; a deep wall carried up encloses', () => {
  const wall = DECK[2]!
  expect(ceilingsFor(wall, DECK, PLACES, ROOM).map(({ place }) => place)).toEqual([CLEAN, 0, 2])
  expect(ceilingsFor(wall, DECK, PLACES, ROOM).at(-1)!.words).toContain('seems higher')
  expect(ceilingsFor(DECK[5]!, DECK, PLACES, ROOM).at(-1)!.words).toContain('encloses')
  expect(ceilingsFor(wall, DECK, PLACES, ROOM).every(({ sheen }) => sheen === 'matt')).toBe(true)
})

test('a half wall takes a deeper relative below, and a deep wall a paler one above', () => {
  expect(lowerHalfFor(DECK[2]!, DECK, PLACES, ROOM)).toMatchObject([
    { surface: 'lower half', place: 4 },
  ])
  expect(lowerHalfFor(DECK[5]!, DECK, PLACES, ROOM)).toMatchObject([
    { surface: 'upper half', place: 3 },
  ])
  expect(lowerHalfFor(DECK[BLUE]!, DECK, PLACES, ROOM)).toEqual([])
})

test('an island goes a step further from the wall than the cabinets', () => {
  const relative = (surface: 'cabinets' | 'island'): number =>
    joineryFor(surface, DECK[1]!, DECK, PLACES, ROOM).find(({ name }) => name.includes('relative'))!
      .place
  expect([relative('cabinets'), relative('island')]).toEqual([3, 4])
})

test('the wall that the leading piece stands at is set apart first, then the one least cut up; a strong colour is balanced opposite', () => {
  const walls = [
    { wall: 'north', opposite: 'south', open: 0.3, things: [], oppositeThings: [] },
    {
      wall: 'east',
      opposite: 'west',
      open: 0.1,
      things: [{ name: 'Chest', leads: true }],
      oppositeThings: ['Chair'],
    },
    { wall: 'south', opposite: 'north', open: 0, things: [], oppositeThings: [] },
  ] as const
  const order = featureWallsFor(walls, DECK[2]!)
  expect(order.map(({ wall }) => wall)).toEqual(['east', 'south', 'north'])
  expect(order[0]!.words).not.toContain('balanced')
  expect(featureWallsFor(walls, DECK[BLUE]!)[0]!.words).toContain(
    'balanced on the west side by something of its kind, at Chair',
  )
})

test('cloth for a wall: a near relative for curtains, a deeper one for seats, its opposite in cushions', () => {
  const [wall, nearly] = [DECK[2]!, DECK[3]!]
  const uses = (known: readonly DeckColour[]) =>
    fabricsFor(wall, DECK, (colour) => known.includes(colour), DEFAULT_HOUSE_RULES)
  expect(uses([]).map(({ use, colour }) => [use, colour.place])).toEqual([
    ['Curtains or blinds', 3],
    ['A sofa or chairs', 5],
    ['Cushions', BLUE],
  ])
  for (const { chance } of uses([])) expect(chance).toBeGreaterThan(0.6)
  // A green as light as the wall is none of them, and nothing is invented where a deck has nothing.
  expect(fabricsFor(wall, [DECK[GREEN]!, nearly], () => false, DEFAULT_HOUSE_RULES)).toHaveLength(1)
  // Of two that do as well, the one that was nearly chosen for the wall.
  const twin = { ...DECK[5]!, place: 9 }
  const [, seat] = fabricsFor(
    wall,
    [...DECK, twin],
    ({ place }) => place === 9,
    DEFAULT_HOUSE_RULES,
  )
  expect(seat!.colour.place).toBe(9)
})

test('only tones that come near in lightness and lean ask for texture', () => {
  const things = [STRIP[2]!, STRIP[4]!, DECK[GREEN]].map((surface, at) => ({
    name: `thing ${at}`,
    undertone:
      surface instanceof Float64Array ? undertoneOf(DAYLIGHT, surface) : surface!.undertone,
  }))
  expect(closeTones(DECK[2]!.undertone, things).map(({ name }) => name)).toEqual(['thing 0'])
})

test('accents are two at most of what also works, none without a lean, each in two places', () => {
  const accents = accentsFrom(
    DECK[1]!,
    [DECK[CLEAN]!, DECK[BLUE]!, DECK[4]!, DECK[GREEN]!],
    DEFAULT_HOUSE_RULES,
  )
  expect(accents.length).toBeLessThanOrEqual(2)
  expect(accents.map(({ colour }) => colour.place)).toContain(BLUE)
  expect(accents.map(({ colour }) => colour.place)).not.toContain(CLEAN)
  for (const { uses } of accents) expect(new Set(uses).size).toBe(2)
})
