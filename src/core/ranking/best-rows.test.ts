import fc from 'fast-check'
import { Best, mostFirst } from './best-rows'

// A few values only, so that many are equal.
const someWorths = fc.array(fc.integer({ min: -30, max: 30 }).map((tenth) => tenth / 10))
const sorted = (worths: readonly number[]): number[] =>
  worths.map((_, row) => row).sort((p, q) => worths[q]! - worths[p]! || p - q)

test('rows come from the most on, equals in their order, as a stable sort has them', () => {
  fc.assert(
    fc.property(someWorths, (worths) => {
      expect([...mostFirst(Float64Array.from(worths))]).toEqual(sorted(worths))
    }),
  )
  expect([...mostFirst(Float64Array.of(0.5, 0.500002, -0.000001, 0))]).toEqual([1, 0, 3, 2])
})

test('more rows than a key can hold are refused', () => {
  expect(() => mostFirst(new Float64Array(2 ** 20 + 1))).toThrow(/at most 1048576 rows.*1048577/)
})

test('the best few are those of a whole sort, in whichever order they come, and the bar is the worst of them', () => {
  fc.assert(
    fc.property(someWorths, fc.integer({ min: 1, max: 6 }), (worths, most) => {
      const best = new Best(most)
      for (const row of sorted(worths.map((worth, row) => (row % 2 ? worth : -worth))))
        best.add(row, worths[row]!)
      const should = sorted(worths).slice(0, most)
      expect(best.rows).toEqual(should)
      expect(best.bar).toBe(worths.length < most ? -Infinity : worths[should.at(-1)!])
    }),
  )
})

test('of none nothing is ever taken', () => {
  const best = new Best(0)
  expect(best.bar).toBe(Infinity)
  best.add(3, 1)
  expect(best.rows).toEqual([])
})
