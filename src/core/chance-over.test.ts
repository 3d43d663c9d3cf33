import { chanceOver } from './chance-over'

// Abramowitz and Stegun, Handbook of Mathematical Functions (1964), table 26.1.
test.each([
  [0, 0.5],
  [0.5, 0.6914624613],
  [1, 0.8413447461],
  [1.64, 0.9494974165],
  [1.96, 0.9750021049],
  [2.5, 0.9937903347],
  [3.2, 0.9993128621],
])('Φ(%d) and its mirror image', (x, share) => {
  expect(chanceOver(x)).toBeCloseTo(share, 4)
  expect(chanceOver(-x)).toBeCloseTo(1 - share, 4)
})

test('far out it is certain, and it never falls', () => {
  expect(chanceOver(40)).toBe(1)
  expect(chanceOver(-40)).toBe(0)
  expect(chanceOver(Number.NaN)).toBe(0)
  for (let x = -7; x < 7; x += 0.01)
    expect(chanceOver(x + 0.01)).toBeGreaterThanOrEqual(chanceOver(x))
})
