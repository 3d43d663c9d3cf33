import type { Lab } from '../colour/lab'
import { lrvPercent } from '../paint/lrv'
import { reflectanceOfReading } from '../paint/reading'
import { DAYLIGHT } from '../undertone/daylight'
import { undertoneOf } from '../undertone/undertone'
import { unwantedIn } from './will-not-have'

const is = (said: string, lab: Lab): boolean => {
  const surface = reflectanceOfReading({ kind: 'lab', lab })
  return unwantedIn(said).some(
    (each) => each.is(undertoneOf(DAYLIGHT, surface), lrvPercent(surface)) > 0.5,
  )
}

// What words of a household mean among paints (common practice).
test.each<[string, Lab, boolean]>([
  ['No grey that looks like a waiting room.', [70, 0, 0], true],
  ['No grey that looks like a waiting room.', [70, 1, -2], true],
  ['No grey that looks like a waiting room.', [78, 5, 14], false],
  ['nothing cold', [75, -3, -8], true],
  ['nothing cold', [75, 5, 12], false],
  ['No magnolia, please', [88, 3, 11], true],
  ['No magnolia, please', [60, -12, 8], false],
  ['never navy', [25, 1, -20], true],
  ['anything but pink', [80, 14, 1], true],
  ['anything but pink', [80, 0, 14], false],
  ['not dark', [28, 3, 4], true],
  ['not dark', [75, 3, 4], false],
  ['no bright yellow', [82, 2, 42], true],
  ['She hates lilac.', [70, 9, -11], true],
])('“%s” and %j', (said, lab, expected) => {
  expect(is(said, lab)).toBe(expected)
})

test('words that name no colour ask for nothing, and a part of a word is no word', () => {
  expect(unwantedIn('Nothing that shows fingerprints.')).toEqual([])
  expect(unwantedIn('')).toEqual([])
  // "delight" holds "light", "Redford" holds "red".
  expect(unwantedIn('Nothing that would delight Aunt Redford.')).toEqual([])
})
