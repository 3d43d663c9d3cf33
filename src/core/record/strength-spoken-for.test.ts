import type { Look } from './look'
import { look } from './look.fixture'
import { strengthSpokenFor } from './strength-spoken-for'
import type { Verdict } from './verdict'

/** A look at a board mixed at a strength, of a paint that was taken up at another. */
const at = (strengthPercent: number, verdict: Verdict, takenUpAt = 100): Look => {
  const plain = look(verdict, { seen: { as: 'sample', held: 'board', strengthPercent } })
  return { ...plain, candidate: { ...plain.candidate, strengthPercent: takenUpAt } }
}

test.each<[string, Look[], Verdict, number | null]>([
  ['no lighter one was looked at', [at(100, 'works-lighter')], 'works-lighter', null],
  ['a lighter one works', [at(100, 'works-lighter'), at(75, 'works', 75)], 'works-lighter', 75],
  [
    'its sample was lighter than it was taken up at',
    [at(100, 'works-lighter'), at(50, 'works')],
    'works-lighter',
    50,
  ],
  [
    'of two that work the nearer',
    [at(50, 'works', 50), at(75, 'works', 75), at(125, 'works', 125)],
    'works-lighter',
    75,
  ],
  [
    'the nearer was a no in the end, so the next',
    [at(75, 'works', 75), at(75, 'no', 75), at(50, 'works', 50)],
    'works-lighter',
    50,
  ],
  [
    'stronger is the other way',
    [at(125, 'works', 125), at(75, 'works', 75)],
    'works-stronger',
    125,
  ],
  [
    'the screen speaks for none',
    [look('works', { seen: { as: 'screen' } })],
    'works-lighter',
    null,
  ],
  ['as it is it needs no other', [at(75, 'works', 75)], 'works', null],
])('%s', (_, looks, verdict, strength) => {
  expect(strengthSpokenFor(looks, verdict, 100)).toBe(strength)
})

test('a strength that failed beside something else is not spoken for', () => {
  const failed = { ...at(75, 'no', 75), against: { kind: 'wall', plane: 'north' } as const }
  expect(strengthSpokenFor([at(75, 'works', 75), failed], 'works-lighter', 100)).toBeNull()
})
