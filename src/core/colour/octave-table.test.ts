import fc from 'fast-check'
import { lookUp, octaveTable, type OctaveTable } from './octave-table'

function at(table: OctaveTable, x: number): number {
  const into = new Float64Array(1)
  lookUp(table, Float64Array.of(x), into, 1)
  return into[0]!
}

test('a tabled power is the power within one part in a thousand million', () => {
  for (const p of [0.42, 0.9, 1.3]) {
    const table = octaveTable((x) => x ** p, -12, 10)
    fc.assert(
      fc.property(
        fc.double({ min: 1e-6, max: 5000, noNaN: true, noDefaultInfinity: true }),
        (x) => {
          expect(Math.abs(at(table, x) / x ** p - 1)).toBeLessThan(1e-9)
          expect(at(table, -x)).toBe(-at(table, x))
        },
      ),
      { numRuns: 500 },
    )
  }
})

test('outside the table the function itself answers', () => {
  const table = octaveTable((x) => x ** 2, 0, 1)
  expect([0, 0.5, 3].map((x) => at(table, x))).toEqual([0, 0.25, 9])
})
