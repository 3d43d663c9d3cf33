import { heldOutCases } from './held-out.fixture'
import { jittered, ownRuleCases } from './own-rules.fixture'
import type { TradeCase } from './trade-cases.fixture'

// The shares that hold may only rise.
const share = (cases: readonly TradeCase[]): number => {
  const misses = cases.filter(({ holds }) => !holds)
  if (misses.length > 0)
    console.log([...new Set(misses.map(({ says, said }) => `${says}: ${said}`))].join('\n'))
  return (100 * (cases.length - misses.length)) / cases.length
}

test('our own rules, all of them looked at while the numbers were set', () => {
  expect(share(ownRuleCases())).toBeGreaterThanOrEqual(95)
})

test('the same with every colour moved by ΔE 1 in a random direction', () => {
  const moved = jittered()
  const cases = Array.from({ length: 5 }, () => ownRuleCases(moved)).flat()
  expect(share(cases)).toBeGreaterThanOrEqual(90)
})

test('pairs that nothing was tuned to: 21 of 24 held when they were first asked', () => {
  const cases = heldOutCases()
  expect(cases).toHaveLength(24)
  expect(cases.filter(({ holds }) => holds).length).toBeGreaterThanOrEqual(21)
})
