import { isRuledOut, leanOf, leanWords } from './lean'
import { leaning } from './undertone'

test('none of this lean: its siblings are out, and nothing else', () => {
  const pinkBeige = leanOf(leaning(80, 4, 5))!
  expect(pinkBeige).toEqual({ lean: 'pink', strong: false })
  expect(isRuledOut([pinkBeige], leaning(60, 3, 3.5))).toBe(true)
  expect(isRuledOut([pinkBeige], leaning(80, -1, 6))).toBe(false)
  expect(isRuledOut([pinkBeige], leaning(80, 0.2, 0.2))).toBe(false)
  // A strong pink is a colour, not a sibling of a neutral.
  expect(isRuledOut([pinkBeige], leaning(60, 20, 22))).toBe(false)
  expect(isRuledOut([], leaning(60, 3, 3.5))).toBe(false)
  expect(leanOf(leaning(80, 0.1, 0))).toBeNull()
  expect([pinkBeige, leanOf(leaning(60, 20, 22))!].map(leanWords)).toEqual([
    'pink leans',
    'strong pinks',
  ])
})
