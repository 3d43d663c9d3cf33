import type { Reason, Verdict } from '../record/verdict'
import { nextAfter, rungNext, wishWords } from './next-after'

// Common practice: what a consultant fetches after each fault.
test.each<[Verdict, Reason[], string[], 'weaker' | 'stronger' | null]>([
  ['works', ['shares-the-undertone'], [], null],
  ['no', [], [], null],
  ['no', ['too-pink'], ['less pink'], null],
  ['no', ['too-strong'], ['quieter'], 'weaker'],
  ['no', ['too-pale'], ['deeper'], 'stronger'],
  ['no', ['too-green', 'too-dark'], ['less green', 'lighter'], 'weaker'],
  // Said twice over it is asked for once.
  ['no', ['too-pink', 'skin-pink', 'dirty', 'muddied'], ['less pink', 'cleaner'], null],
  ['unsure', ['near-miss'], ['lighter', 'deeper'], null],
  ['works-lighter', [], [], 'weaker'],
  ['works-stronger', ['needs-more-undertone'], ['cleaner'], 'stronger'],
  // Weaker for one fault and stronger for the other is neither.
  ['works-lighter', ['too-pale'], ['deeper'], null],
  ['no', ['dated', 'not-in-this-light'], [], null],
])('%s, %j: %j, %s', (verdict, reasons, wishes, strength) => {
  const next = nextAfter(verdict, reasons)
  expect(next.wishes.map(wishWords)).toEqual(wishes)
  expect(next.strength).toBe(strength)
})

test('the next rung is the nearest that way, if there is one', () => {
  const rungs = [150, 125, 100, 75, 50]
  expect(rungNext(100, rungs, 'weaker')).toBe(75)
  expect(rungNext(100, rungs, 'stronger')).toBe(125)
  // Between two rungs, and at the end of the ladder.
  expect(rungNext(80, rungs, 'weaker')).toBe(75)
  expect(rungNext(50, rungs, 'weaker')).toBeNull()
  expect(rungNext(100, [], 'weaker')).toBeNull()
})
