import { rowSum, worksIn, type SummedCell } from './row-sum'
import type { Verdict } from './verdict'

const cell = (room: string, verdict: Verdict | null, isUp = true): SummedCell => ({
  room,
  verdict,
  isUp,
})

test.each<[string, SummedCell[], string]>([
  ['proposed nowhere', [cell('Hall', 'works', false)], 'proposed nowhere'],
  ['seen nowhere', [cell('Hall', null), cell('Snug', null)], 'not seen yet'],
  ['works everywhere', [cell('Hall', 'works'), cell('Snug', 'works')], 'works in 2 of 2'],
  [
    'another strength is named by its room',
    [
      cell('Hall', 'works'),
      cell('Snug', 'works-stronger'),
      cell('Study', 'works-lighter'),
      cell('Landing', 'works-lighter'),
      cell('Attic', null),
      cell('Cellar', 'works', false),
    ],
    'works in 1 of 5, lighter in Study and Landing, stronger in Snug, not seen in 1',
  ],
  ['a no is no work', [cell('Hall', 'no'), cell('Snug', 'unsure')], 'works in 0 of 2'],
])('%s', (_, cells, says) => {
  expect(rowSum(cells)).toBe(says)
})

test('what is not proposed in a room any more does not count there', () => {
  expect(worksIn([cell('Hall', 'works'), cell('Cellar', 'works', false)])).toBe(1)
})
