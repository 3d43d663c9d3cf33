import { leaning, type Undertone } from '../undertone/undertone'
import { tooMuchOf } from './reason'

const at = (c: number, hueDeg: number, j = 75): Undertone => {
  const angle = (hueDeg * Math.PI) / 180
  return leaning(j, c * Math.cos(angle), c * Math.sin(angle))
}

// Which way a wall must move, as seen among neutrals (common practice): an orange-pink beige beside a pink vein is too
// orange, never too green.
test.each<[string, Undertone, Undertone, string]>([
  ['orange-pink beige beside a pink vein', at(8, 61), at(7, 36), 'too orange'],
  ['a pink taupe beside an orange-pink stone', at(6, 20), at(10, 55), 'too pink'],
  ['a green tan beside an orange-pink stone', at(9, 104), at(11, 49), 'too green'],
  ['a yellow cream beside an orange-pink travertine', at(8, 86), at(8, 61), 'too yellow'],
  ['a pink beige beside cream', at(8, 54), at(8, 88), 'too pink'],
  ['a blue-grey beside an orange floor', at(6, 250), at(16, 68), 'too blue'],
  ['a violet taupe beside gold oak', at(5, 320), at(18, 74), 'too violet'],
  ['the same lean, stronger', at(14, 60), at(6, 58), 'too strong'],
  ['the same lean, weaker', at(3, 60), at(9, 58), 'too pale'],
])('%s', (_, wall, finish, reason) => {
  expect(tooMuchOf(wall, finish)).toBe(reason)
})

test('beside any pink vein an orange-pink beige is never too green', () => {
  for (let vein = 0; vein <= 60; vein += 2)
    for (let wall = 45; wall <= 72; wall += 3)
      expect(tooMuchOf(at(8, wall), at(7, vein))).not.toBe('too green')
})
