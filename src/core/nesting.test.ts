import { isDeeperThan } from './nesting'

const nested = (depth: number): unknown => JSON.parse('['.repeat(depth) + ']'.repeat(depth))

test('what is nested within the bound may pass, what is deeper may not, however deep', () => {
  expect(isDeeperThan({ a: [1, { b: 'c' }], d: null })).toBe(false)
  expect(isDeeperThan(nested(4), 5)).toBe(false)
  expect(isDeeperThan(nested(9), 5)).toBe(true)
  expect(isDeeperThan({ a: { b: nested(100_000) } })).toBe(true)
  expect(isDeeperThan('a text')).toBe(false)
})
