import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { MODEL_VERSION, modelVersion } from '../model-version'
import { pairReading } from '../pairing/pair-reading'
import { roleOf } from '../pairing/role'
import { reflectanceOfReading } from '../paint/reading'
import { DAYLIGHT } from '../undertone/daylight'
import { AS_THE_MODEL, EYE_LIMITS, NO_EYE, type EyeFactors } from './factors'

// A pair for each limit, near enough to it that moving it is felt; invented.
const PAIRS = {
  clashes: { kind: 'stone', finish: [70, 8, 12], wall: [78, 2, 9] },
  dirties: { kind: 'cabinets', finish: [88, 1, 9], wall: [86, 1, 4] },
  'near miss': { kind: 'trim', finish: [93, 0, 2], wall: [86, -1, 3] },
} as const

function chanceOf(limit: keyof typeof PAIRS, factors: EyeFactors | null): number {
  const { kind, finish, wall } = PAIRS[limit]
  const surface = (lab: readonly [number, number, number]) =>
    reflectanceOfReading({ kind: 'lab', lab: [...lab] })
  const rules = factors
    ? { ...DEFAULT_HOUSE_RULES, eye: { version: 2, factors } }
    : DEFAULT_HOUSE_RULES
  return pairReading(
    DAYLIGHT,
    { strengthPercent: 100, reflectance: surface(wall), source: 'reader' },
    {
      ...{ name: kind, varies: false, role: roleOf(kind, rules) },
      colours: [{ part: kind, sharePercent: 100, reflectance: surface(finish), source: 'reader' }],
    },
  ).chance
}

test.each(EYE_LIMITS)('house rules that carry an eye judge by it: %s', (limit) => {
  const own = chanceOf(limit, null)
  const stricter = chanceOf(limit, { ...AS_THE_MODEL, [limit]: 0.7 })
  const laxer = chanceOf(limit, { ...AS_THE_MODEL, [limit]: 1.3 })
  expect(stricter).toBeLessThan(own - 0.02)
  expect(laxer).toBeGreaterThan(own + 0.02)
  expect(chanceOf(limit, AS_THE_MODEL)).toBe(own)
})

test('a reading names the eye that it was judged with, and only then', () => {
  expect(roleOf('stone', DEFAULT_HOUSE_RULES).eye).toBe(NO_EYE)
  expect(modelVersion(NO_EYE)).toBe(MODEL_VERSION)
  const rules = { ...DEFAULT_HOUSE_RULES, eye: { version: 2, factors: AS_THE_MODEL } }
  expect(modelVersion(roleOf('stone', rules).eye)).toBe(`${MODEL_VERSION}, eye 2`)
})
