import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { prepareLight } from '../colour/appearance'
import { planckianSpectrum } from '../colour/planckian'
import { daylightSpectrum } from '../colour/daylight'
import type { Reflectance } from '../colour/spectrum'
import { lrvPercent } from '../paint/lrv'
import { reflectanceOfReading } from '../paint/reading'
import { DAYLIGHT } from '../undertone/daylight'
import { undertoneOf } from '../undertone/undertone'
import { ceilingsFor, joineryFor, lowerHalfFor } from './around'
import { accentsFrom } from './accents'
import { closeTones, fabricsFor } from './fabrics'
import { featureWallsFor } from './feature-wall'
import {
  depthPart,
  doorway,
  hallwayOf,
  hallwaySaid,
  threadSaid,
  waysOut,
  type LitWalls,
} from './doorways'
import { brighterBy, brighterSaid } from './light-effect'
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

test('cloth of the wall’s own lean connects, cloth from across the circle sets it off', () => {
  const { connects, setsOff } = fabricsFor(DECK[4]!, DEFAULT_HOUSE_RULES)
  expect(connects.join()).toMatch(/orange|yellow/)
  expect(setsOff.join()).toMatch(/blue|violet/)
  expect(connects.join()).not.toMatch(/\bblue\b/)
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

const lit = (cctK: number, surface: Reflectance): LitWalls => {
  const spectrum = cctK < 4000 ? planckianSpectrum(cctK) : daylightSpectrum(cctK)
  return {
    spectrum,
    prepared: prepareLight(spectrum, 300),
    reflectance: surface,
    source: 'spectral',
    lrvPercent: lrvPercent(surface),
  }
}

test('through a doorway relatives in one light connect, a green-leaning wall beside a pink beige does not, whichever way round', () => {
  const [beige, deeper, green] = [of(80, 3, 9), of(66, 4, 12), of(78, -7, 9)]
  const kin = doorway([lit(6000, beige), lit(6000, deeper)], DEFAULT_HOUSE_RULES)
  expect(kin.judgement).toMatch(/^works/)
  expect(kin.sharesUndertone).toBe(true)
  const clash = doorway([lit(6000, of(78, 7, 9)), lit(6000, green)], DEFAULT_HOUSE_RULES)
  expect(clash.judgement).toMatch(/^no/)
  expect(clash.sharesUndertone).toBe(false)
  const back = doorway([lit(6000, green), lit(6000, of(78, 7, 9))], DEFAULT_HOUSE_RULES)
  expect(back.judgement).toBe(clash.judgement)
  // One paint in two lights is no longer one colour.
  const two = doorway([lit(7500, beige), lit(2700, beige)], DEFAULT_HOUSE_RULES)
  const one = doorway([lit(6000, beige), lit(6000, beige)], DEFAULT_HOUSE_RULES)
  expect(one.stepWords).toContain('hardly a step')
  expect(two.sharesUndertone).toBe(false)
})

test('a house has a light, a bridging and a deep colour, and its hallway wants to be the lighter', () => {
  // Common practice: light from an LRV of about 60, deep under about 30.
  expect([75, 45, 12].map(depthPart)).toEqual(['light', 'bridging', 'deep'])
  const rooms = [
    { id: 'hall', seenFrom: ['a', 'b'] },
    { id: 'a', seenFrom: ['hall'] },
    { id: 'b', seenFrom: ['hall'] },
  ]
  expect(hallwayOf(rooms)!.id).toBe('hall')
  expect(hallwayOf(rooms.slice(1))).toBeNull()
  const hall = { name: 'Hall', lrvPercent: 50 }
  expect(hallwaySaid(hall, [{ name: 'Snug', lrvPercent: 20 }])).toBeNull()
  expect(hallwaySaid(hall, [{ name: 'Study', lrvPercent: 70 }])).toContain('deeper than Study')
})

test('the largest set of walls that lean alike runs through a house, the rest stands apart', () => {
  const walls = [
    ['Hall', of(88, 3, 9)],
    ['Kitchen', of(70, 4, 12)],
    ['Snug', of(30, -2, -14)],
    ['Study', of(50, 4, 11)],
  ].map(([name, surface]) => ({
    name: name as string,
    undertone: undertoneOf(DAYLIGHT, surface as Reflectance),
  }))
  expect(threadSaid(walls)).toBe(
    'One undertone runs through Hall, Kitchen and Study; Snug stands apart.',
  )
  expect(threadSaid(walls.slice(2, 3))).toBe('No two rooms share an undertone.')
  expect(threadSaid([])).toBe('No room has a colour for its walls yet.')
})

test('where two rooms clash the ways out do sit with the other room: a strength, a hue, a bridge', () => {
  const other = seen(-1, of(80, 6, 9))
  const wall = seen(-1, of(62, -7, 9))
  const paler = { ...seen(-1, of(64, 5, 11)), strengthPercent: 25 }
  const deck = [56, 62, 70, 80]
    .flatMap((l) => [-6, -2, 2, 6].flatMap((a) => [-6, 0, 6, 12].map((b) => of(l, a, b))))
    .map((surface, at) => seen(at, surface))
  const ways = waysOut(other, wall, deck, [paler], DEFAULT_HOUSE_RULES)
  expect(ways.map(({ kind }) => kind)).toContain('another strength')
  expect(ways.map(({ kind }) => kind)).toContain('another hue')
  for (const { chance } of ways) expect(chance).toBeGreaterThanOrEqual(0.6)
  for (const { kind, place } of ways)
    if (kind === 'another hue')
      expect(Math.abs(deck[place!]!.lrvPercent - wall.lrvPercent)).toBeLessThanOrEqual(2.5)
})

test('white walls give a room more light than dark ones, by the split-flux formula worked by hand', () => {
  const room = {
    northSouthMm: 4000,
    eastWestMm: 4000,
    heightMm: 2500,
    windows: [],
    lamps: [],
  }
  const flat = (share: number): Reflectance => new Float64Array(36).fill(share)
  // Plan 16 m² twice, walls 40 m²; floor 0.3, ceiling 0.8: mean = (16 × 1.1 + 40 ρ) / 72.
  const absorbed = (rho: number): number => 1 - (16 * 1.1 + 40 * rho) / 72
  expect(brighterBy(room, flat(0.5), flat(0.8))).toBeCloseTo(absorbed(0.5) / absorbed(0.8), 6)
  expect(brighterBy(room, null, flat(0.5))).toBeCloseTo(1, 6)
  expect(brighterSaid(brighterBy(room, flat(0.5), flat(0.8)), true)).toMatch(
    /^gives the room \d+ % more light/,
  )
  expect(brighterSaid(brighterBy(room, flat(0.8), flat(0.1)), true)).toMatch(
    /^takes \d+ % of the light/,
  )
  expect(brighterSaid(1.01, false)).toContain('leaves the room as bright')
})
