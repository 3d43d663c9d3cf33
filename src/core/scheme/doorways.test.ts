import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { planckianSpectrum } from '../colour/planckian'
import type { Reflectance } from '../colour/spectrum'
import { lrvPercent } from '../paint/lrv'
import { reflectanceOfReading } from '../paint/reading'
import { DAYLIGHT } from '../undertone/daylight'
import { undertoneOf } from '../undertone/undertone'
import {
  depthPart,
  doorway,
  hallwayOf,
  hallwaySaid,
  threadSaid,
  waysOut,
  type LitWalls,
} from './doorways'
import type { DeckColour } from './trim'

const of = (l: number, a: number, b: number): Reflectance =>
  reflectanceOfReading({ kind: 'lab', lab: [l, a, b] })

const seen = (place: number, surface: Reflectance): DeckColour => ({
  place,
  lrvPercent: lrvPercent(surface),
  undertone: undertoneOf(DAYLIGHT, surface),
  source: 'spectral',
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
  expect(['works', 'likely-works']).toContain(kin.judgement)
  expect(kin.sharesUndertone).toBe(true)
  const clash = doorway([lit(6000, of(78, 7, 9)), lit(6000, green)], DEFAULT_HOUSE_RULES)
  expect(['no', 'likely-not']).toContain(clash.judgement)
  expect(clash.sharesUndertone).toBe(false)
  const back = doorway([lit(6000, green), lit(6000, of(78, 7, 9))], DEFAULT_HOUSE_RULES)
  expect(back.judgement).toBe(clash.judgement)
  // One paint in two lights is one colour carried through, whose undertone turns between them.
  const two = doorway([lit(7500, beige), lit(2700, beige)], DEFAULT_HOUSE_RULES)
  const one = doorway([lit(6000, beige), lit(6000, beige)], DEFAULT_HOUSE_RULES)
  for (const carried of [one, two])
    expect(carried).toMatchObject({ why: 'carried through', stepWords: 'one colour runs through' })
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
  expect(threadSaid(walls.slice(2, 3))).toBe(
    `Only ${walls[2]!.name} has a colour for its walls yet.`,
  )
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
  // What an eye refused is no way out.
  const refused = ways.flatMap(({ place }) => place ?? [])
  const others = waysOut(other, wall, deck, [], DEFAULT_HOUSE_RULES, new Set(refused))
  expect(refused.length).toBeGreaterThan(0)
  for (const { place } of others) expect(refused).not.toContain(place)
  for (const { kind, place } of ways)
    if (kind === 'another hue')
      expect(Math.abs(deck[place!]!.lrvPercent - wall.lrvPercent)).toBeLessThanOrEqual(2.5)
})
