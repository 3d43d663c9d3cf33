import fc from 'fast-check'
import { runs } from '../runs.fixture'
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../advice/house-rules'
import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { ledSpectrum } from '../colour/led'
import type { Lab } from '../colour/lab'
import { reflectanceOfReading, type ReadingSource } from '../paint/reading'
import { isBad, isGood } from './chance'
import type { JudgedKeeper } from './judged-keeper'
import type { KeeperKind } from './keeper-kind'
import { pairReading, type PairReading, type StrengthRung } from './pair-reading'
import { judgePair } from './judge-pair'
import { roleOf, type Texture } from './role'
import { undertoneOf } from '../undertone/undertone'

const noon = prepareLight(daylightSpectrum(6504), 800)
const lamps = prepareLight(ledSpectrum(2700, 82), 120)
const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })

interface Change {
  readonly kind?: KeeperKind
  readonly source?: ReadingSource
  readonly varies?: boolean
  readonly rules?: Partial<HouseRules>
}
type Part = readonly [part: string, sharePercent: number, lab: Lab]

const keeper = (parts: readonly Part[], change: Change = {}): JudgedKeeper => ({
  name: 'keeper',
  role: roleOf(change.kind ?? 'stone', { ...DEFAULT_HOUSE_RULES, ...change.rules }),
  varies: change.varies ?? false,
  colours: parts.map(([part, sharePercent, lab]) => ({
    part,
    sharePercent,
    reflectance: surface(lab),
    source: change.source ?? 'spectral',
  })),
})
const wall = (lab: Lab, source: ReadingSource = 'spectral'): StrengthRung => ({
  strengthPercent: 100,
  reflectance: surface(lab),
  source,
})
const read = (lab: Lab, finish: Lab, change: Change = {}): PairReading =>
  pairReading(noon, wall(lab, change.source), keeper([['ground', 100, finish]], change))

const GRANITE: Lab = [66, 9, 14]
const CREAM: Lab = [91, 0, 11]

// What the trade says of pairs, each with invented colours (common practice).
test.each<[string, Lab, Lab, KeeperKind, 'good' | 'bad', RegExp]>([
  [
    'an orange-pink stone takes a pink beige',
    [86, 4, 8],
    GRANITE,
    'stone',
    'good',
    /hares the undertone of the ground/,
  ],
  [
    'it rejects a green-leaning tan',
    [72, -4, 14],
    GRANITE,
    'stone',
    'bad',
    /quarrels with the ground: too green for it/,
  ],
  [
    'blue-white tile rejects a warm off-white',
    [90, 1, 8],
    [94, -0.5, -3],
    'tile',
    'bad',
    /quarrels .*too yellow/,
  ],
  [
    'an icy white makes cream cupboards look dirty',
    [92, 0, 1.5],
    CREAM,
    'cabinets',
    'bad',
    /^Makes the ground look dirty: the wall is the cleaner/,
  ],
  ['cream trim takes a yellow-leaning tan', [76, 1, 16], CREAM, 'trim', 'good', /quiet relative/],
  [
    'a clear red is too strong for a green-blue cloth',
    [66, 34, 24],
    [48, -22, -12],
    'curtain',
    'bad',
    /too strong beside/,
  ],
  [
    'a muted blue is set off by a terracotta cloth',
    [60, -14, -6],
    [58, 16, 22],
    'curtain',
    'good',
    /^Is set off/,
  ],
])('%s', (_, lab, finish, kind, side, sentence) => {
  const got = read(lab, finish, { kind })
  expect((side === 'good' ? isGood : isBad)(got.chance)).toBe(true)
  expect(got.sentence).toMatch(sentence)
})

test('a role changes what its table says it changes, and nothing else does', () => {
  const chance = (lab: Lab, finish: Lab, kind: KeeperKind) => read(lab, finish, { kind }).chance
  // Common practice: what can be carried out may be set off, a fixture shares.
  expect(isGood(chance([60, -14, -6], [58, 16, 22], 'curtain'))).toBe(true)
  expect(isBad(chance([60, -14, -6], [58, 16, 22], 'tile'))).toBe(true)
  // A texture that was said keeps close tones apart; what is smooth is as its kind was rated.
  const near = (texture: Texture | null) =>
    judgePair(
      { undertone: undertoneOf(noon, surface([93, 0.5, 4.5])), source: 'spectral' },
      { undertone: undertoneOf(noon, surface([94, 1.5, 2])), source: 'spectral' },
      roleOf('trim', DEFAULT_HOUSE_RULES, texture),
    ).score
  expect(near('hewn')).toBeGreaterThan(near('smooth') + 0.5)
  expect(near(null)).toBe(near('smooth'))
})

test('the house rule on what pairs acts by name and says what would be without it', () => {
  const opposites = (pairs: HouseRules['pairs'], kind: KeeperKind) =>
    read([60, -14, -6], [58, 16, 22], { kind, rules: { pairs } })
  expect(opposites('shared-fixed', 'curtain').rule).toBeNull()
  const shared = opposites('shared', 'curtain')
  expect(shared.chance).toBeLessThan(opposites('shared-fixed', 'curtain').chance)
  expect(shared.rule!.chanceWithout).toBeCloseTo(opposites('shared-fixed', 'curtain').chance, 9)
  expect(shared.sentence).toMatch(
    /The house rule wants a shared undertone here.*; without it: works\./,
  )
  const strong = (pairs: HouseRules['pairs']) =>
    read([66, 34, 24], [48, -22, -12], { kind: 'tile', rules: { pairs } })
  expect(strong('opposites').score).toBeGreaterThan(strong('shared-fixed').score + 0.5)
  expect(strong('opposites').rule!.words).toMatch(/lets opposites set each other off/)
})

test('black stone is judged by its flecks; a black ground alone takes any wall', () => {
  const green: Lab = [72, -6, 14]
  const black = keeper([['ground', 100, [14, 0.5, -1.5]]])
  expect(pairReading(noon, wall(green), black).judgement).toBe('works')
  const copper = keeper([
    ['ground', 80, [14, 0.5, -1.5]],
    ['fleck', 20, [64, 6, 8]],
  ])
  expect(pairReading(noon, wall(green), copper)).toMatchObject({ part: 'fleck' })
  expect(isBad(pairReading(noon, wall(green), copper).chance)).toBe(true)
  // A fleck never sets a wall off, however opposite.
  const fleck = (onBlack: number): number =>
    judgePair(
      { undertone: undertoneOf(noon, surface([62, 12, 14])), source: 'spectral' },
      { undertone: undertoneOf(noon, surface([48, -16, -10])), source: 'spectral' },
      { ...roleOf('stone', DEFAULT_HOUSE_RULES), onBlack },
    ).score
  expect(fleck(1)).toBeLessThan(fleck(0) - 0.5)
  // An off-black wall quarrels with nothing either.
  expect(isGood(read([26, -0.4, -2], [55, 18, 30]).chance)).toBe(true)
})

test('the worst part that shows decides, a fleck in a quiet stone hardly', () => {
  const stone = (veinShare: number) =>
    keeper([
      ['ground', 100 - veinShare, [40, 0, 1]],
      ['vein', veinShare, [64, 6, 8]],
    ])
  const green = wall([72, -6, 14])
  const shown = pairReading(noon, green, stone(30))
  expect(shown.part).toBe('vein')
  expect(isBad(shown.chance)).toBe(true)
  expect(isBad(pairReading(noon, green, stone(1)).chance)).toBe(false)
  // It fades in: one per cent of share never moves a chance by more than 0.06.
  for (let share = 0; share < 49; share++) {
    const step =
      pairReading(noon, green, stone(share)).chance -
      pairReading(noon, green, stone(share + 1)).chance
    expect(step).toBeGreaterThanOrEqual(-1e-9)
    expect(step).toBeLessThan(0.06)
  }
  expect(() => pairReading(noon, green, keeper([]))).toThrow(/at least one colour/)
})

test('where another strength would sit, the reading names it; where none would, none', () => {
  const rungs = (half: Lab): StrengthRung[] => [
    wall([72, -4, 14]),
    { ...wall(half), strengthPercent: 50 },
  ]
  const stone = keeper([['stone', 100, GRANITE]])
  const [here] = rungs([86, 4, 8])
  const got = pairReading(noon, here!, stone, rungs([86, 4, 8]))
  expect(got.strength).toEqual({ percent: 50, word: 'lighter' })
  expect(got.sentence).toMatch(/At 50 % it would sit with it/)
  expect(pairReading(noon, here!, stone, rungs([72, -6, 12])).strength).toBeNull()
  expect(read([86, 4, 8], GRANITE).strength).toBeNull()
})

test('a weaker reading is less sure of the same pair, and says what would settle it', () => {
  const by = (source: ReadingSource) => read([92, 0, 1.5], CREAM, { source, kind: 'cabinets' })
  const chances = (['spectral', 'reader', 'screen', 'photo'] as const).map((s) => by(s).chance)
  expect([...chances].sort((p, q) => p - q)).toEqual(chances)
  expect(by('spectral').judgement).toBe('no')
  expect(by('photo').sentence).toMatch(/firmer reading of the ground would settle it/)
  expect(by('spectral').sentence).not.toMatch(/settle/)
  // What varies from piece to piece is known no better than it varies.
  expect(read([82, 5, 11], GRANITE, { varies: true }).chance).toBeLessThan(
    read([82, 5, 11], GRANITE).chance,
  )
})

const any = fc.tuple(
  fc.double({ min: 20, max: 94, noNaN: true }),
  fc.double({ min: -9, max: 9, noNaN: true }),
  fc.double({ min: -9, max: 12, noNaN: true }),
) as fc.Arbitrary<[number, number, number]>
const kinds = fc.constantFrom<KeeperKind>(
  'floor',
  'stone',
  'tile',
  'cabinets',
  'trim',
  'carpet',
  'rug',
)

const rules = fc.constantFrom<HouseRules['pairs']>('shared-fixed', 'shared', 'opposites')

test('a sentence never says the opposite of its judgement, and praise never carries a fault', () => {
  fc.assert(
    fc.property(
      any,
      any,
      any,
      fc.integer({ min: 0, max: 49 }),
      kinds,
      rules,
      fc.constantFrom(noon, lamps),
      (p, q, vein, share, kind, pairs, light) => {
        const parts: Part[] = [
          ['ground', 100 - share, q],
          ['vein', share, vein],
        ]
        const got = pairReading(light, wall(p), keeper(parts, { kind, rules: { pairs } }))
        // What a part is by itself may be said where it hardly shows.
        const said = `${got.sentence} The wall ${got.back.words}.`.replace(
          /By itself it is [^.]*, which hardly shows\./,
          '',
        )
        expect(said).not.toMatch(/undefined|NaN|null/)
        if (isGood(got.chance))
          expect(said).not.toMatch(/[Qq]uarrels|dirty|drab|relief|too \w+ (for|beside)|too near/)
        if (isBad(got.chance))
          expect(said).not.toMatch(/[Ss]hares the|quiet relative|[Bb]ridges|[Ii]s set off|carries/)
      },
    ),
    { numRuns: runs(600) },
  )
})

test('a part that hardly shows is named, and the keeper spoken of by its ground', () => {
  const stone = keeper([
    ['ground', 94, [62, 6, 10]],
    ['vein', 6, [78, -9, 4]],
  ])
  const got = pairReading(noon, wall([84, 7, 8]), stone)
  expect(got).toMatchObject({ part: 'ground', hardlyShows: { part: 'vein' } })
  expect(isGood(got.chance)).toBe(true)
  expect(got.sentence).toMatch(/the ground/)
  expect(got.sentence).toMatch(/By itself it is too pink for the vein, which hardly shows\./)
})

test('where a wall does not work, the nearest strength that clearly does is named, on either side, or none', () => {
  const rung = (strengthPercent: number, lab: Lab): StrengthRung => ({
    ...wall(lab),
    strengthPercent,
  })
  // A tan that is too green beside the granite; pinker, it sits with it.
  const bad = rung(75, [72, -4, 14])
  const [good, stillBad] = [[86, 4, 8] as Lab, [74, -3.5, 14] as Lab]
  const named = (...ladder: StrengthRung[]) =>
    pairReading(noon, bad, keeper([['ground', 100, GRANITE]]), ladder)
  expect(named(rung(25, good), rung(50, good), rung(150, good)).strength).toEqual({
    percent: 50,
    word: 'lighter',
  })
  const stronger = named(rung(25, stillBad), rung(150, good), rung(100, good))
  expect(stronger.strength).toEqual({ percent: 100, word: 'stronger' })
  expect(stronger.sentence).toMatch(/At 100 % it would sit with it\.$/)
  // Its own strength is no other one, whatever stands there.
  const none = named(rung(75, good), rung(50, stillBad))
  expect(none.strength).toBeNull()
  expect(none.sentence).not.toMatch(/would sit/)
})

test('of two parts the worse decides, whichever it is', () => {
  const [pink, quiet] = [GRANITE, [44, 0, 3] as Lab]
  const green: Lab = [72, -4, 14]
  const alone = pairReading(noon, wall(green), keeper([['ground', 100, pink]])).chance
  for (const parts of [
    [
      ['ground', 60, pink],
      ['vein', 40, quiet],
    ],
    [
      ['ground', 60, quiet],
      ['vein', 40, pink],
    ],
  ] as const) {
    const { part, chance } = pairReading(noon, wall(green), keeper(parts))
    expect(part).toBe(parts.find(([, , lab]) => lab === pink)![0])
    expect(chance).toBeCloseTo(alone, 1)
  }
})

test('another strength is named where it lifts the chance clearly, not where it is a little better', () => {
  const path = Array.from({ length: 120 }, (_, i): Lab => [
    72 + (14 * i) / 119,
    -4 + (8 * i) / 119,
    14 - (6 * i) / 119,
  ]).map((lab) => ({ lab, chance: read(lab, GRANITE).chance }))
  const between = (least: number, most: number): Lab =>
    path.find(({ chance }) => chance > least && chance < most)!.lab
  const named = (other: Lab) =>
    pairReading(noon, wall(between(0.47, 0.53)), keeper([['ground', 100, GRANITE]]), [
      { ...wall(other), strengthPercent: 75 },
    ]).strength
  expect(named(between(0.61, 0.66))).toBeNull()
  expect(named(between(0.74, 0.8))).toEqual({ percent: 75, word: 'lighter' })
})

test('a wall that clashes does not age its finish for that', () => {
  const { chance, back } = read([72, -4, 14], GRANITE)
  expect(isBad(chance)).toBe(true)
  expect(back.effect).not.toBe('ages it')
})
