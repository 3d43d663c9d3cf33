import { flatReflectance } from '@/core/colour/spectrum'
import type { AskedRoom } from '@/core/ranking/asked-room'
import type { BestCompromise } from '@/core/ranking/best-compromise'
import { reflectanceOfRow } from '@/core/ranking/rank-for-room'
import { compromiseWords, deckRows } from './room-ranking'
import { findPlaces, stripsOf, type DeckEntry } from './deck-strips'

const entry = (
  code: string,
  strip: string,
  base: DeckEntry['base'],
  name = `Name ${code}`,
): DeckEntry => ({
  id: code,
  code,
  name,
  strip,
  base,
  source: base === 'deep' ? 'screen' : 'maker',
})
const DECK = [
  entry('A1', 'A', 'white'),
  entry('A2', 'A', 'deep'),
  entry('B1', 'B', 'white', 'Quilmere'),
]
const BASE = flatReflectance(0.9)
const SURFACES = [flatReflectance(0.7), flatReflectance(0.1), flatReflectance(0.5)]

test('a white base is ranked down to the house rule’s weakest strength, a deep one whole only', () => {
  const { places, strengthsPercent, sources, rows } = deckRows(DECK, SURFACES, BASE, 50)
  expect(places.map((place, row) => [place, strengthsPercent[row]])).toEqual([
    [0, 100],
    [0, 75],
    [0, 50],
    [1, 100],
    [2, 100],
    [2, 75],
    [2, 50],
  ])
  expect(sources).toEqual(['maker', 'maker', 'maker', 'screen', 'maker', 'maker', 'maker'])
  // Half the tint lies between the colour and its base.
  const half = reflectanceOfRow(rows, 2)
  expect(half[10]).toBeGreaterThan(0.7)
  expect(half[10]).toBeLessThan(0.9)
  expect(deckRows(DECK, SURFACES, BASE, 25).places).toHaveLength(9)
})

test('the compromise is said aloud with what stands in its way, and only where there is one', () => {
  const deck = deckRows(DECK, SURFACES, BASE, 100)
  const room = {
    finishes: [
      { keeperId: 'a', name: 'Stone counter' },
      { keeperId: 'b', name: 'Green tile' },
    ],
    lights: [{ name: 'at midday' }, { name: 'under lamps' }],
  } as unknown as AskedRoom
  const best = {
    row: 2,
    worth: 0.1,
    reasons: [],
    chance: 0.3,
    weighed: 0.3,
    finish: 1,
    light: 1,
  }
  const words = (lift: BestCompromise['lift']) =>
    compromiseWords({ ...best, lift }, DECK, deck, room)
  expect(words(null)).toBe(
    'Nothing works with all that stays. Best compromise: Quilmere at 100 %, weakest beside Green tile under lamps.',
  )
  expect(words({ keeperId: 'b', chance: 0.9 })).toMatch(/With another Green tile it would work\.$/)
  expect(words({ keeperId: 'b', chance: 0.5 })).toMatch(/Another Green tile would help most\.$/)
  expect(compromiseWords(null, DECK, deck, room)).toBeNull()
})

test('strips keep the deck’s order, and a search goes by the beginning of a code or any part of a name', () => {
  expect(stripsOf(DECK)).toEqual([
    { strip: 'A', places: [0, 1] },
    { strip: 'B', places: [2] },
  ])
  expect(findPlaces(DECK, ' a ')).toEqual([0, 1])
  expect(findPlaces(DECK, 'MERE')).toEqual([2])
  expect(findPlaces(DECK, '  ')).toEqual([])
})
