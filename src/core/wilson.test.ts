import { wilson } from './wilson'

// Newcombe, "Two-sided confidence intervals for the single proportion", Statistics in Medicine 17 (1998), 857, table I,
// method 3 (from memory).
test.each([
  [81, 263, 0.2553, 0.3662],
  [15, 148, 0.0624, 0.1605],
  [0, 20, 0, 0.1611],
  [1, 29, 0.0061, 0.1718],
])('%d of %d lies between %d and %d', (count, of, low, high) => {
  const known = wilson(count, of)
  expect(known.low).toBeCloseTo(low, 4)
  expect(known.high).toBeCloseTo(high, 4)
  expect(known.share).toBe(count / of)
})

test('a share of nothing, or of more than there is, is refused', () => {
  expect(() => wilson(0, 0)).toThrow('got 0 of 0')
  expect(() => wilson(3, 2)).toThrow('got 3 of 2')
})
