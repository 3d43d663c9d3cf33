import { looksDirtyOf, reasonOf } from './reason'
import { canBe } from './said-of-pair'

const at = (j: number, a: number, b: number) => ({ j, a, b })

// What cannot be, whatever the ratings' shares (common practice).
test.each([
  ['nothing quiet is too strong', 'too strong', at(70, 3, 4), at(50, 2, 3), false],
  ['a clear colour may be', 'too strong', at(70, 9, 9), at(50, 2, 3), true],
  ['only two strong ones are both strong', 'both strong', at(50, 20, 0), at(50, 3, 0), false],
  ['the other way round as well', 'both strong', at(50, 3, 0), at(50, 20, 0), false],
  ['two of them may be', 'both strong', at(50, 20, 0), at(50, -18, 0), true],
  ['what lies far apart in depth has relief', 'no relief', at(85, 2, 5), at(50, 2, 5), false],
  ['either way', 'no relief', at(50, 2, 5), at(85, 2, 5), false],
  ['what lies at one depth may have none', 'no relief', at(60, 2, 5), at(52, 2, 5), true],
  ['nothing far apart is almost the same', 'almost the same', at(80, 2, 5), at(60, 2, 5), false],
  ['what lies near may be', 'almost the same', at(70, 2, 5), at(66, 3, 6), true],
  ['only one colour is carried through', 'carried through', at(70, 2, 5), at(66, 3, 8), false],
  ['the rest is not held back', 'drab', at(70, 2, 5), at(20, 9, 9), true],
] as const)('%s', (_, reason, wall, stays, may) => {
  expect(canBe(reason, wall, stays)).toBe(may)
})

test('beside a light, clean wall what is creamier looks dirty; elsewhere the wall does', () => {
  expect(looksDirtyOf({ j: 92, b: 1 }, { b: 9 })).toBe('finish')
  expect(looksDirtyOf({ j: 92, b: 9 }, { b: 1 })).toBe('wall')
  expect(looksDirtyOf({ j: 60, b: 1 }, { b: 9 })).toBe('wall')
  // As creamy as the wall it does not look dirty beside it.
  expect(looksDirtyOf({ j: 92, b: 8.5 }, { b: 9 })).toBe('wall')
})

test('what is kept is why, or where that is told by the way it is wrong, which way', () => {
  expect(reasonOf('too strong', 'too pink')).toBe('too-strong')
  expect(reasonOf('undertones quarrel', 'too pink')).toBe('too-pink')
  expect(reasonOf('one looks dirty', 'too dirty')).toBe('dirty')
})
