import { DEFAULT_HOUSE_RULES, HOUSE_RULE_NAMES, HOUSE_RULES, type HouseRules } from './house-rules'
import { familyOf } from '../undertone/family'
import { mayBeSetOff } from '../pairing/keeper-kind'
import { roomAdvice, type RoomCharacter } from './room-advice'
import { leaning } from '../undertone/undertone'
import { warmthWord } from '../undertone/warmth'

const ORDINARY: RoomCharacter = { daylightFactorPercent: 3, coolAndEven: false, hasCarpet: false }
const rules = (change: Partial<HouseRules> = {}): HouseRules => ({
  ...DEFAULT_HOUSE_RULES,
  ...change,
})
const coolGrey = leaning(75, -2, -4)
const cream = leaning(94, 0, 9)
const grey = leaning(75, 0.2, 0.3)
const against = (...args: Parameters<typeof roomAdvice>): number =>
  roomAdvice(...args).reduce((sum, each) => sum + each.against, 0)

test('every default is one of its rule’s schools, and every school says what it holds', () => {
  for (const name of HOUSE_RULE_NAMES) {
    const rule = HOUSE_RULES[name]
    expect(Object.keys(rule.schools)).toContain(rule.default)
    for (const { says } of Object.values(rule.schools)) expect(says).toMatch(/\.$/)
  }
})

// Remedies by light, common practice.
test('a dim room holds greys back, an ordinary one does not', () => {
  expect(against(grey, 50, { ...ORDINARY, daylightFactorPercent: 1 }, rules())).toBeGreaterThan(0)
  expect(against(grey, 50, ORDINARY, rules())).toBe(0)
})

test('a cool even room goes by its school, and the advice names it', () => {
  const north = { ...ORDINARY, coolAndEven: true }
  const [advice] = roomAdvice(coolGrey, 50, north, rules())
  expect(advice).toMatchObject({ rule: 'north-room' })
  expect(advice!.words).toContain('house rule “A cool, even room: warm it up”')
  expect(against(cream, 50, north, rules())).toBe(0)
  const leanIn = rules({ 'north-room': 'lean-in' })
  expect(against(coolGrey, 50, north, leanIn)).toBe(0)
  expect(against(cream, 50, north, leanIn)).toBeGreaterThan(0)
  const noWhites = rules({ 'north-room': 'no-whites' })
  expect(against(cream, 85, north, noWhites)).toBeGreaterThan(0)
  expect(against(cream, 50, north, noWhites)).toBe(0)
})

test('whites in a bright room go by theirs', () => {
  const bright = { ...ORDINARY, daylightFactorPercent: 7 }
  const hint = leaning(95, 0.5, 2)
  expect(against(hint, 86, bright, rules())).toBeGreaterThan(0)
  expect(against(cream, 86, bright, rules())).toBe(0)
  expect(against(hint, 86, bright, rules({ 'bright-whites': 'any' }))).toBe(0)
  expect(against(cream, 86, bright, rules({ 'bright-whites': 'creamy' }))).toBe(0)
  expect(against(cream, 86, bright, rules({ 'bright-whites': 'washes-out' }))).toBeGreaterThan(0)
})

test('names and warmth on which schools differ', () => {
  const greenGrey = leaning(70, -3, 1)
  expect(warmthWord(greenGrey, rules())).toBeNull()
  expect(warmthWord(greenGrey, rules({ 'green-grey': 'warm' }))).toBe('warm')
  expect(warmthWord(cream, rules({ 'green-grey': 'cool' }))).toBe('warm')
  expect(warmthWord(coolGrey, rules())).toBe('cool')
  const deepBeige = leaning(55, 7, 11)
  expect(familyOf(deepBeige, 22, rules()).kind).toBe('beige')
  expect(familyOf(deepBeige, 22, rules({ 'beige-tan': 'lightness' })).kind).toBe('tan')
  const paleGreige = leaning(92, 1, 5.5)
  expect(familyOf(paleGreige, 79, rules()).kind).toBe('greige')
  expect(familyOf(paleGreige, 79, rules({ greige: 'warm-grey' })).kind).toBe('off-white')
})

test('what may be set off by an opposite', () => {
  const may = (change: Partial<HouseRules>) => [
    mayBeSetOff('floor', rules(change)),
    mayBeSetOff('rug', rules(change)),
  ]
  expect(may({})).toEqual([false, true])
  expect(may({ pairs: 'shared' })).toEqual([false, false])
  expect(may({ pairs: 'opposites' })).toEqual([true, true])
})
