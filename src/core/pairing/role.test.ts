import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { NO_EYE, type EyeInForce } from '../eye/factors'
import { isSmooth, ratedRole, roleOf, ruleWords, weightsOf, type Role } from './role'
import { WEIGHTS } from './score'
import { TERM_NAMES, type Term } from './terms'

const floor = ratedRole('floor', DEFAULT_HOUSE_RULES)
const weight = (role: Role, term: Term): number => weightsOf(role)[TERM_NAMES.indexOf(term)]!
/** The terms whose weight is another than the fit's. */
const changed = (role: Role): readonly Term[] =>
  TERM_NAMES.filter((term, i) => weight(role, term) !== WEIGHTS[i])

test('by the ratings’ own school nothing is changed; the two others change opposites only', () => {
  expect(changed(floor)).toEqual([])
  expect(ruleWords(floor)).toBeNull()

  const shared = { ...floor, pairs: 'shared' as const }
  expect(changed(shared).map((term) => weight(shared, term))).toEqual([0, 0, 0])
  expect(changed(shared)).toContain('a colour set off by its opposite')
  expect(ruleWords(shared)).toMatch(/opposites count for nothing/)

  const opposites = { ...floor, pairs: 'opposites' as const }
  expect(changed(opposites)).toEqual(
    expect.arrayContaining(['strong against its opposite', 'both strong']),
  )
  expect(weight(opposites, 'strong against its opposite')).toBeCloseTo(0, 12)
  expect(ruleWords(opposites)).toMatch(/however strong/)
})

test('a fleck on black is no opposite; half on black, half of one', () => {
  const of = (onBlack: number): number =>
    weight({ ...floor, onBlack }, 'a colour set off by its opposite')
  expect(of(0)).not.toBe(0)
  expect(of(0.5)).toBeCloseTo(of(0) / 2, 12)
  expect(of(1)).toBeCloseTo(0, 12)
  expect(weight({ ...floor, onBlack: 1 }, 'neutrals quarrel')).toBe(
    weight(floor, 'neutrals quarrel'),
  )
})

test('who lets more pass minds it less, and minds nothing else less', () => {
  const eye: EyeInForce = { ...NO_EYE, factors: { ...NO_EYE.factors, dirties: 1.25 } }
  const own = { ...floor, eye }
  expect(weight(own, 'ages creamed paintwork')).toBeCloseTo(
    0.8 * weight(floor, 'ages creamed paintwork'),
    12,
  )
  expect(changed(own).every((term) => /ages|cream|icy/.test(term))).toBe(true)
})

test('what was said to be rough misses nothing by coming near; what was not is as its kind is', () => {
  // Common practice: a weave or a grain keeps two close tones apart, polish and paint do not.
  const trim = roleOf('trim', DEFAULT_HOUSE_RULES, 'hewn')
  expect(weight(trim, 'near miss with paintwork')).toBeCloseTo(0, 12)
  expect(weight(roleOf('trim', DEFAULT_HOUSE_RULES, 'smooth'), 'near miss with paintwork')).toBe(
    weight(roleOf('trim', DEFAULT_HOUSE_RULES), 'near miss with paintwork'),
  )
  const smooth = (...role: Parameters<typeof roleOf>): boolean => isSmooth(roleOf(...role))
  expect(smooth('tile', DEFAULT_HOUSE_RULES)).toBe(true)
  expect(smooth('tile', DEFAULT_HOUSE_RULES, 'hewn')).toBe(false)
  expect(smooth('rug', DEFAULT_HOUSE_RULES)).toBe(false)
  expect(smooth('rug', DEFAULT_HOUSE_RULES, 'smooth')).toBe(true)
})
