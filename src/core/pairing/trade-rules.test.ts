import { jittered, ownRuleCases } from './own-rules.fixture'
import type { TradeCase } from './trade-cases.fixture'

// The shares that hold may only rise.
const share = (cases: readonly TradeCase[]): number => {
  const misses = cases.filter(({ holds }) => !holds)
  if (misses.length > 0)
    console.log([...new Set(misses.map(({ says, said }) => `${says}: ${said}`))].join('\n'))
  return (100 * (cases.length - misses.length)) / cases.length
}

test('the half that was looked at while setting the numbers', () => {
  expect(share(ownRuleCases('tuned'))).toBeGreaterThanOrEqual(95)
})

test('the half that was never looked at', () => {
  expect(share(ownRuleCases('untuned'))).toBeGreaterThanOrEqual(90)
})

test('both halves with every colour moved by ΔE 1 in a random direction', () => {
  const moved = jittered()
  const cases = Array.from({ length: 5 }, () => ownRuleCases(undefined, moved)).flat()
  expect(share(cases)).toBeGreaterThanOrEqual(90)
})
