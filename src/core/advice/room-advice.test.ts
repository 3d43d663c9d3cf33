import { reflectanceOfReading } from '../paint/reading'
import { BANDS } from '../colour/spectrum'
import { lrvPercent } from '../paint/lrv'
import { DAYLIGHT } from '../undertone/daylight'
import { nameOf } from '../undertone/name'
import { leaning, undertoneOf } from '../undertone/undertone'
import { warmthWord } from '../undertone/warmth'
import type { Lab } from '../colour/lab'
import { DEFAULT_HOUSE_RULES, HOUSE_RULE_NAMES, HOUSE_RULES, type HouseRules } from './house-rules'
import { inDullLight, pointsAgainst, roomAdvice, saidOf, type Advice } from './room-advice'
import { ORDINARY_ROOM } from './ordinary-room.fixture'
import type { RoomCharacter } from './room-character'

const rules = (change: Partial<HouseRules> = {}): HouseRules => ({
  ...DEFAULT_HOUSE_RULES,
  ...change,
})
const COOL_GREY: Lab = [70, -2, -6]
const CREAM: Lab = [93, 0, 11]
const GREY: Lab = [70, 0, 0]
const said = (
  lab: Lab,
  room: Partial<RoomCharacter> = {},
  change: Partial<HouseRules> = {},
): readonly Advice[] =>
  saidOf(
    roomAdvice(
      reflectanceOfReading({ kind: 'lab', lab }),
      { ...ORDINARY_ROOM, ...room },
      rules(change),
    ),
  )
const kinds = (...args: Parameters<typeof said>) => said(...args).map(({ kind }) => kind)

test('every default is one of its rule’s schools, and every school says what it holds', () => {
  for (const name of HOUSE_RULE_NAMES) {
    const rule = HOUSE_RULES[name]
    expect(Object.keys(rule.schools)).toContain(rule.default)
    for (const { says } of Object.values(rule.schools)) expect(says).toMatch(/\.$/)
  }
})

// Remedies by light, common practice.
test('a dim room holds greys back, an ordinary one does not', () => {
  expect(kinds(GREY, { daylightFactorPercent: 1 })).toEqual(['dingy'])
  expect(said(GREY, { daylightFactorPercent: 1 })[0]!.words).toMatch(/more colour or better lamps/)
  expect(said(GREY)).toEqual([])
})

test('of whites the cool ones go dingy too, a clean or a creamy one does not', () => {
  // Common practice: greys and cool whites go dingy in dim rooms.
  const dim = { daylightFactorPercent: 0.8 }
  expect(kinds([92, -0.5, -3], dim)).toEqual(['dingy'])
  expect(kinds([95, 0, 0.5], dim)).toEqual([])
  expect(kinds([93, 0, 11], dim)).not.toContain('dingy')
})

test('whatever is advised reads after “it”', () => {
  const verb = /^(goes|loses|washes|leans|is) /
  for (const north of ['warm-up', 'lean-in', 'no-whites'] as const)
    for (const bright of ['computed', 'any', 'creamy', 'washes-out'] as const) {
      const all = roomAdvice(
        reflectanceOfReading({ kind: 'lab', lab: CREAM }),
        { ...ORDINARY_ROOM, coolAndEven: true, hasCarpet: true },
        rules({ 'north-room': north, 'bright-whites': bright }),
      )
      for (const { words } of all) expect(words).toMatch(verb)
    }
})

test('nothing is a constant of the room: what a dim one does hangs on the colour', () => {
  const dim = { daylightFactorPercent: 0.8 }
  const all = (
    [
      [70, 0, 0],
      [80, 5, 14],
      [94.3, -0.6, 8.5],
      [59, 15, 41],
      [30, 0, -2],
    ] as Lab[]
  ).map((lab) => kinds(lab, dim).join())
  expect(new Set(all).size).toBeGreaterThanOrEqual(4)
})

test('a cool even room goes by its school, and the advice names it', () => {
  const north = { coolAndEven: true }
  const [advice] = said(COOL_GREY, north)
  expect(advice).toMatchObject({ rule: 'north-room' })
  expect(advice!.words).toContain('house rule “A cool, even room: warm it up”')
  expect(said(CREAM, north)).toEqual([])
  const leanIn = { 'north-room': 'lean-in' } as const
  expect(said(COOL_GREY, north, leanIn)).toEqual([])
  expect(kinds(CREAM, north, leanIn)).toEqual(['warm in the cool'])
  const noWhites = { 'north-room': 'no-whites' } as const
  expect(kinds(CREAM, north, noWhites)).toEqual(['too pale'])
  expect(said([70, 0, 11], north, noWhites)).toEqual([])
})

test('whites in a bright room go by theirs, and the way out is a clean white beside it', () => {
  const bright = { daylightFactorPercent: 12 }
  const hint: Lab = [92, 1, 3]
  expect(kinds(hint, bright)).toEqual(['washes out'])
  expect(said(hint, bright)[0]!.words).toMatch(/really clean white/)
  expect(said([30, 0, -2], bright)).toEqual([])
  expect(said(hint, bright, { 'bright-whites': 'any' })).toEqual([])
  expect(said(CREAM, bright, { 'bright-whites': 'creamy' })).toEqual([])
  expect(kinds(hint, bright, { 'bright-whites': 'creamy' })).toEqual(['not creamy'])
  expect(kinds(CREAM, bright, { 'bright-whites': 'washes-out' })).toEqual(['pale in bright light'])
})

test('a room without a window is judged by its lamps', () => {
  const cellar = { daylightFactorPercent: 0, lamps: { cctK: 2700, illuminanceLux: 60 } }
  expect(said(GREY, cellar)[0]!.words).toMatch(/dingy under its lamps/)
  expect(said(GREY, { ...cellar, lamps: { cctK: 2700, illuminanceLux: 500 } })).toEqual([])
})

test('what is said costs worth, flat as plain, and the clearest is said first', () => {
  const dim = { daylightFactorPercent: 0.8, coolAndEven: true, hasCarpet: true }
  const bright = { daylightFactorPercent: 12 }
  const labs: Lab[] = [COOL_GREY, CREAM, GREY, [92, 1, 3], [30, 0, -2], [62, 12, 48], [89, 0, 6]]
  const surfaces = labs.map((lab) => reflectanceOfReading({ kind: 'lab', lab }))
  const rows = new Float64Array(surfaces.length * BANDS)
  surfaces.forEach((surface, i) => rows.set(surface, i * BANDS))
  for (const character of [dim, bright])
    for (const house of [
      rules(),
      rules({ 'bright-whites': 'creamy', 'north-room': 'no-whites' }),
    ]) {
      const room = { ...ORDINARY_ROOM, ...character }
      const dull = inDullLight(room, rows)
      const points = surfaces.map((surface, i) => {
        const colour = {
          undertone: undertoneOf(DAYLIGHT, surface),
          lrvPercent: lrvPercent(surface),
        }
        const sum = roomAdvice(surface, room, house).reduce(
          (all, { strength, weight }) => all + strength * weight,
          0,
        )
        const flat = pointsAgainst(colour, dull[i]!, room, house)
        expect(flat).toBeCloseTo(sum, 6)
        return flat
      })
      expect(Math.max(...points) - Math.min(...points)).toBeGreaterThan(0.1)
    }
  const strengths = said(COOL_GREY, dim).map(({ strength }) => strength)
  expect([...strengths].sort((p, q) => q - p)).toEqual(strengths)
})

test('names and warmth on which schools differ', () => {
  const [cream, coolGrey] = [leaning(94, 0, 9), leaning(75, -2, -4)]
  const greenGrey = leaning(70, -3, 1)
  expect(warmthWord(greenGrey, rules())).toBeNull()
  expect(warmthWord(greenGrey, rules({ 'green-grey': 'warm' }))).toBe('warm')
  expect(warmthWord(cream, rules({ 'green-grey': 'cool' }))).toBe('warm')
  expect(warmthWord(coolGrey, rules())).toBeNull()
  expect(warmthWord(coolGrey, rules({ 'green-grey': 'warm' }))).toBe('cool')
  const deepBeige = leaning(70, 6, 10)
  expect(nameOf(deepBeige, 38, rules()).name).toBe('beige')
  expect(nameOf(deepBeige, 38, rules({ 'beige-tan': 'lightness' })).name).toBe('tan')
  const paleGreige = leaning(83, 0.5, 5.5)
  expect(nameOf(paleGreige, 71, rules()).name).toBe('greige')
  expect(nameOf(paleGreige, 71, rules({ greige: 'warm-grey' })).name).toBe('off-white')
})
