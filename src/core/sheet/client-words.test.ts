import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { leaning } from '../undertone/undertone'
import { howItLooks, stillToLook, whyChosen } from './client-words'
import type { DaySight } from './hand-off'

const morning = (a: number, b: number): DaySight => ({
  ...{ when: 'in the morning', isMidday: false, undertone: leaning(83, a, b) },
})
const midday = (a: number, b: number): DaySight => ({
  ...{ when: 'at midday', isMidday: true, undertone: leaning(83, a, b) },
})
const evening = (a: number, b: number, j = 83): DaySight => ({
  ...{ when: 'of an evening, under lamps', isMidday: false, undertone: leaning(j, a, b) },
})
const said = (...sights: readonly DaySight[]): string =>
  howItLooks('Larkstone', 61, sights, DEFAULT_HOUSE_RULES)

test('what a colour is and how it changes is one sentence, by midday; what nobody notices is not said', () => {
  expect(said(morning(3.5, 9), midday(3, 9), evening(12, 19))).toMatch(
    /^Larkstone is an? .*(beige|greige).*; of an evening, under lamps, it looks like an? (orange|peach|apricot)\.$/,
  )
  expect(said(morning(3, 9), midday(3.5, 9), evening(4, 10))).toMatch(
    /, and stays much the same through the day\.$/,
  )
  // In one light alone there is nothing to compare.
  expect(said(evening(9, 18))).not.toMatch(/stays|turns/)
  expect(said()).toMatch(/not seen in any light/)
})

test('where it would be called something else there, it is said what it looks like', () => {
  const turned = said(midday(3, 9), evening(16, 24))
  expect(turned).toMatch(/ under lamps, it looks like an? [a-z -]+\.$/)
  expect(turned).toMatch(/peach|apricot|orange|coral|terracotta/)
  // A greige that turns a stronger greige is told by what changes.
  expect(said(midday(2, 8), evening(2.5, 11))).toMatch(/it turns /)
})

test('a small change is a little, a large one much', () => {
  expect(said(midday(3, 9), evening(3, 9, 79))).toContain('it turns a little deeper')
  expect(said(midday(-6, -14), evening(-6, -14, 63))).toContain('it turns much deeper')
  expect(said(midday(-6, -14), evening(-6, -14, 74))).toContain('it turns deeper')
})

test('why it was chosen is where it was seen to work, each place once', () => {
  const look = (beside: string, light: string, seen = 'on a board') => ({ seen, beside, light })
  expect(
    whyChosen([look('Oak', 'by day'), look('Slate', 'under the lamps'), look('Oak', 'by day')]),
  ).toBe(
    'It was chosen because it worked on a board beside Oak by day and beside Slate under the lamps.',
  )
  expect(whyChosen([look('Oak', 'by day'), look('Oak', 'by day', 'on a chip')])).toBe(
    'It was chosen because it worked beside Oak by day.',
  )
  expect(whyChosen([])).toBeNull()
})

test('what was not known when it was chosen is what to look at', () => {
  expect(stillToLook(['never beside Cream rail', 'by day only under one sky: clear'])).toBe(
    'On its board, look at it beside Cream rail and on a dull day.',
  )
  expect(stillToLook(['by day only under one sky: overcast'])).toContain('on a clear day')
  expect(stillToLook(['never at 75 %, only at 100 %'])).toBe(
    'On its board, look at it mixed at 75 %.',
  )
  expect(stillToLook(['Old tile leaves: that look counts for nothing to come'])).toBeNull()
  expect(stillToLook([])).toBeNull()
  // Never looked at, it cannot be looked at once more.
  expect(stillToLook(['never looked at in this room'])).toBe(
    'Nobody has seen it on a board yet: have one painted before it goes up.',
  )
  expect(stillToLook(['never under lamps', 'on a chip only, never on a board'])).toBe(
    'Nobody has seen it on a board yet: have one painted and look at it under lamps before it goes up.',
  )
})
