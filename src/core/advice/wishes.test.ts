import type { Want } from './brief'
import { allWishes, wishesIn } from './wishes'

// Made-up wishes, as they are said.
test.each<[string, readonly Want[]]>([
  ['A calm kitchen, and the hall brighter.', ['calmer', 'brighter']],
  ['warm with no yellow in it', ['warm, no yellow']],
  ['Warm, but nothing yellow please; restful', ['warm, no yellow', 'calmer']],
  ['Fresher, more open', ['fresher']],
  ['something moody for the evenings', ['more drama']],
  ['cosy and warm', ['cosier']],
  ['nothing bright, not too moody', []],
  ['we like the sea', []],
  ['', []],
])('%s', (said, wants) => {
  expect(wishesIn(said)).toEqual(wants)
})

test('what was ticked stays, and is not said twice', () => {
  expect(allWishes(['calmer', 'cosier'], 'Calm, and a little drama')).toEqual([
    'calmer',
    'cosier',
    'more drama',
  ])
})
