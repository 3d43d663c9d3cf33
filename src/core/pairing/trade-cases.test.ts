import { pairRuleCases, scenePairs, sceneParts, type TradeCase } from './trade-cases.fixture'

// Scenes and rules of the trade (common practice, no published source), handed over as check values; the numbers of the
// judge were set on published limits and on rules of our own, see trade-rules.test.ts. The shares may only rise.
test.each<[string, () => TradeCase[], number]>([
  ['scenes', scenePairs, 33],
  ['mixed finishes', sceneParts, 4],
  ['rules', pairRuleCases, 32],
])('%s', (_, cases, atLeast) => {
  const all = cases()
  const misses = all.filter(({ holds }) => !holds).map(({ says, said }) => `${says}: ${said}`)
  expect({ misses, enough: all.length - misses.length >= atLeast }).toMatchObject({ enough: true })
})
