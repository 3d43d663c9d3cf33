import { BANDS, flatReflectance } from '../colour/spectrum'
import { reflectanceOfRow, rowsOfDecks, type DeckColours } from './deck-rows'
import { bestOfColours } from './whole-ranking'

const flat = (...shares: number[]): Float32Array => {
  const rows = new Float32Array(shares.length * BANDS)
  shares.forEach((share, i) => rows.fill(share, i * BANDS, (i + 1) * BANDS))
  return rows
}
const FAN: DeckColours = {
  full: flat(0.7, 0.1),
  whiteBase: flatReflectance(0.9),
  bases: ['white', 'deep'],
  sources: ['maker', 'screen'],
}
const OTHER: DeckColours = {
  full: flat(0.5),
  whiteBase: flatReflectance(0.6),
  bases: ['white'],
  sources: ['spectral'],
}

test('decks stand one after another, a white base down to the house rule’s weakest strength, a deep one whole only', () => {
  const { places, strengthsPercent, sources, rows } = rowsOfDecks([FAN, OTHER], 50)
  expect(Array.from(places, (place, row) => [place, strengthsPercent[row]])).toEqual([
    [0, 100],
    [0, 75],
    [0, 50],
    [1, 100],
    [2, 100],
    [2, 75],
    [2, 50],
  ])
  expect(sources).toEqual(['maker', 'maker', 'maker', 'screen', 'spectral', 'spectral', 'spectral'])
  // Half the tint lies between the colour and the base of its own deck.
  expect(reflectanceOfRow(rows, 2)[10]).toBeGreaterThan(0.7)
  expect(reflectanceOfRow(rows, 2)[10]).toBeLessThan(0.9)
  expect(reflectanceOfRow(rows, 6)[10]).toBeGreaterThan(0.5)
  expect(reflectanceOfRow(rows, 6)[10]).toBeLessThan(0.6)
  expect(rowsOfDecks([FAN, OTHER], 25).places).toHaveLength(9)
})

test('of a whole ranking each colour stands at the strength it is worth most at', () => {
  const deck = rowsOfDecks([FAN], 50)
  const best = bestOfColours(
    {
      order: Uint32Array.from([2, 3, 0, 1]),
      worths: Float64Array.from([0.1, 0, 0.5, 0.3]),
      works: Uint8Array.from([0, 0, 1, 0]),
    },
    deck,
  )
  expect([...best.strengthsPercent]).toEqual([50, 100])
  expect([...best.works]).toEqual([1, 0])
  expect([...best.worths].map((value) => Number(value.toFixed(2)))).toEqual([0.5, 0.3])
})
