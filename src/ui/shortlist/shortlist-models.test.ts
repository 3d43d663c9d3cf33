import { DEFAULT_HOUSE_RULES } from '@/core/advice/house-rules'
import { BANDS } from '@/core/colour/spectrum'
import type { Lab } from '@/core/colour/lab'
import { reflectanceOfReading } from '@/core/paint/reading'
import { isGood } from '@/core/pairing/chance'
import type { BestOfColours } from '@/core/ranking/whole-ranking'
import type { FetchedDeck, ListedColour } from '@/workers/fetch-deck'
import { decidingParts } from './deciding-parts'
import { ListedDecks, namesakesOf } from '../deck/listed-decks'
import { withStepBetween } from './step-between'
import { fittingPlaces, isAskedFor, NO_FILTER } from './tone-filter'

const STRIPS: Readonly<Record<string, readonly Lab[]>> = {
  Pink: [
    [60, 8, 6],
    [85, 4, 4],
    [72, 6, 5],
    [45, 9, 7],
  ],
  Grey: [
    [80, 0, 0],
    [50, 0, 0],
  ],
  Green: [[70, -8, 6]],
}

function deckOf(id: string, name: (code: string) => string): FetchedDeck {
  const all = Object.entries(STRIPS).flatMap(([strip, labs]) =>
    labs.map((lab, i) => ({ strip, lab, code: `${strip[0]!}${i}` })),
  )
  const full = new Float32Array(all.length * BANDS)
  all.forEach(({ lab }, i) => full.set(reflectanceOfReading({ kind: 'lab', lab }), i * BANDS))
  const colours = all.map(({ strip, code }, i): ListedColour => ({
    id: `${id}${code}`,
    code,
    name: name(code),
    strip,
    base: i === 3 ? 'deep' : 'white',
    source: 'maker',
    printedLrvPercent: null,
    sheens: null,
    mayBeRefused: false,
  }))
  return { id, maker: `Maker ${id}`, name: 'Fan', whiteBase: [96, 0, 1], colours, full }
}
const decks = new ListedDecks([
  deckOf('one', (code) => `Name ${code}`),
  deckOf('two', (code) => (code === 'P1' ? 'name P1' : `Other ${code}`)),
])
const codes = (places: readonly number[]): string[] => places.map((at) => decks.colours[at]!.code)

test('strips stand in tone order, each from light to deep, deck by deck', () => {
  expect(decks.strips.map(({ deck, strip, tone }) => [deck.id, strip, tone])).toEqual([
    ['one', 'Grey', 'quiet'],
    ['two', 'Grey', 'quiet'],
    ['one', 'Pink', 'pink'],
    ['two', 'Pink', 'pink'],
    ['one', 'Green', 'green'],
    ['two', 'Green', 'green'],
  ])
  expect(codes(decks.strips[2]!.places)).toEqual(['P1', 'P2', 'P0', 'P3'])
  expect(decks.stripOf(0)).toBe(decks.strips[2])
})

test('one name in two decks is two paints', () => {
  expect(namesakesOf(decks, 1).map(({ deck, code }) => [deck.id, code])).toEqual([['two', 'P1']])
  expect(namesakesOf(decks, 0)).toEqual([])
  // Where one deck is in use, nobody has to be told which.
  expect(decks.nameOf(1)).toBe('Name P1 P1 (Maker one, Fan)')
  expect(new ListedDecks([deckOf('one', (code) => code)]).nameOf(1)).toBe('P1 P1')
})

test('a colour is found by its id, whichever decks are in use beside its own', () => {
  const one = deckOf('one', (code) => `Name ${code}`)
  const two = deckOf('two', (code) => `Other ${code}`)
  const wanted = 'twoG0'
  const places = [[one, two], [two], [one]].map((inUse) => {
    const listed = new ListedDecks(inUse)
    const place = listed.placeOf(wanted)
    return place === null ? null : [place, listed.colours[place]!.id]
  })
  // With the first deck put aside it stands elsewhere; without its own it is not there.
  expect(places[0]![0]).not.toBe(places[1]![0])
  expect(places.map((each) => each?.[1])).toEqual([wanted, wanted, undefined])
})

test('a search goes by the beginning of a code or any part of a name', () => {
  expect(codes(decks.find(' g0 '))).toEqual(['G0', 'G0', 'G0', 'G0'])
  expect(decks.find('OTHER G')).toHaveLength(3)
  expect(decks.find('  ')).toEqual([])
})

test('with a step between, it marks the next that stands visibly apart, one left out at least', () => {
  const strip = decks.strips[2]!
  const place = (code: string): number =>
    strip.places.find((at) => decks.colours[at]!.code === code)!
  expect(codes(withStepBetween(decks, strip, place('P1')))).toEqual(['P0'])
  expect(codes(withStepBetween(decks, strip, place('P3')))).toEqual(['P2'])
  expect(withStepBetween(decks, decks.strips[0]!, place('P1'))).toEqual([])
})

const whole = (of: (place: number) => number): BestOfColours => {
  const count = decks.colours.length
  const each = Array.from({ length: count }, (_, place) => of(place))
  return {
    strengthsPercent: new Uint8Array(count).fill(100),
    worths: Float32Array.from(each),
    works: Uint8Array.from(each, (chance) => (isGood(chance) ? 1 : 0)),
  }
}

test('what fits works with what stays, is worth hardly less than the best, and its lean is not out', () => {
  const fitting = (ranked: BestOfColours, without = [] as Parameters<typeof fittingPlaces>[2]) =>
    [...fittingPlaces(decks, ranked, without)].flatMap((is, place) => (is ? [place] : []))
  const some = whole((place) => [0.9, 0.8, 0.7, 0.2][place] ?? 0.1)
  expect(fitting(some)).toEqual([0, 1])
  const noPink = fitting(some, [{ lean: 'pink', strong: false }])
  expect(noPink.filter((place) => [0, 1, 2, 3].includes(place))).toEqual([])
  // Where nothing works the best stand for it.
  expect(fitting(whole((place) => (place === 5 ? 0.3 : 0.1)))).toContain(5)
})

test('filters go by depth, base, family, undertone and fit', () => {
  const asked = (filter: Partial<typeof NO_FILTER>, ranked: BestOfColours | null = null) =>
    new Set(
      codes(
        decks.colours
          .map(({ place }) => place)
          .filter((place) =>
            isAskedFor({ ...NO_FILTER, ...filter }, decks, place, DEFAULT_HOUSE_RULES, ranked),
          ),
      ),
    )
  expect(asked({ base: 'deep' })).toEqual(new Set(['P3']))
  // L* 85 is an LRV of 66: between 60 and 72.
  expect(asked({ depth: 4 })).toEqual(new Set(['P1']))
  expect(asked({ tone: 'green' })).toEqual(new Set(['G0']))
  expect(asked({ family: 'grey' })).toEqual(new Set(['G1']))
  expect(asked({ family: 'off-white' })).toEqual(new Set(['P1']))
  expect(
    asked(
      { fits: true },
      whole((place) => (place === 2 ? 0.7 : 0.2)),
    ),
  ).toEqual(new Set(['P2']))
})

test('the keeper decides that the first are oftenest weakest beside, else the weightiest', () => {
  const finishes = [
    { keeperId: 'floor', part: 'boards', matters: 1 },
    { keeperId: 'stone', part: 'ground', matters: 0.6 },
    { keeperId: 'stone', part: 'vein', matters: 0.6 },
  ] as unknown as Parameters<typeof decidingParts>[0]['finishes']
  const parts = (first: Parameters<typeof decidingParts>[1]) =>
    decidingParts({ finishes }, first).map(({ part }) => part)
  expect(parts(null)).toEqual(['boards'])
  const laidOut = [{ finish: 1 }, { finish: 2 }, { finish: 0 }] as never
  expect(parts({ laidOut, compromise: null })).toEqual(['ground', 'vein'])
  expect(decidingParts({ finishes: [] }, null)).toEqual([])
})
