import { flatReflectance } from '@/core/colour/spectrum'
import { bestColours, rankRows } from './room-ranking'
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
})
const DECK = [
  entry('A1', 'A', 'white'),
  entry('A2', 'A', 'deep'),
  entry('B1', 'B', 'white', 'Quilmere'),
]
const BASE = flatReflectance(0.9)
const SURFACES = [flatReflectance(0.7), flatReflectance(0.1), flatReflectance(0.5)]

test('a white base is ranked down to the house rule’s weakest strength, a deep one whole only', () => {
  expect(rankRows(DECK, SURFACES, BASE, 50).of).toEqual([
    { place: 0, strengthPercent: 100 },
    { place: 0, strengthPercent: 75 },
    { place: 0, strengthPercent: 50 },
    { place: 1, strengthPercent: 100 },
    { place: 2, strengthPercent: 100 },
    { place: 2, strengthPercent: 75 },
    { place: 2, strengthPercent: 50 },
  ])
  expect(rankRows(DECK, SURFACES, BASE, 25).of).toHaveLength(9)
})

test('each colour is listed once, at its best strength and as it looks at it', () => {
  const { of, rows } = rankRows(DECK, SURFACES, BASE, 50)
  const reply = {
    id: 1,
    order: Uint32Array.from([2, 0, 5, 3, 1, 4, 6]),
    worst: Float64Array.from([0.3, 0.4, 0.1, 1.2, 0.5, 2.4, 3]),
    worstFinish: new Uint16Array(7),
    worstLight: Uint16Array.from([0, 0, 1, 0, 0, 0, 0]),
  }
  const best = bestColours(of, rows, reply, 3)
  expect(
    best.map(({ place, strengthPercent, verdict }) => [place, strengthPercent, verdict]),
  ).toEqual([
    [0, 50, 'works'],
    [2, 75, 'no'],
    [1, 100, 'unsure'],
  ])
  expect(best[0]!.weakestLight).toBe(1)
  // Half the tint lies between the colour and its base.
  expect(best[0]!.reflectance[10]).toBeGreaterThan(0.7)
  expect(best[0]!.reflectance[10]).toBeLessThan(0.9)
  expect(bestColours(of, rows, reply, 2)).toHaveLength(2)
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
