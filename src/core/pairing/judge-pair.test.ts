import { DEFAULT_HOUSE_RULES, type HouseRules } from '../advice/house-rules'
import type { Lab } from '../colour/lab'
import { AS_THE_MODEL } from '../eye/factors'
import { reflectanceOfReading, type ReadingSource } from '../paint/reading'
import { seededRandom } from '../seeded-random'
import { DAYLIGHT } from '../undertone/daylight'
import { leaning, undertoneOf } from '../undertone/undertone'
import { KEEPER_KINDS, type KeeperKind } from './keeper-kind'
import { judgePair, type SeenReading } from './judge-pair'
import { ratedRole, roleOf } from './role'
import { speaksFor } from './said-of-pair'

const read = (lab: Lab, source: ReadingSource = 'spectral'): SeenReading => ({
  undertone: undertoneOf(DAYLIGHT, reflectanceOfReading({ kind: 'lab', lab })),
  source,
})
const at = (j: number, a: number, b: number): SeenReading => ({
  undertone: leaning(j, a, b),
  source: 'spectral',
})
const rules = (change: Partial<HouseRules> = {}): HouseRules => ({
  ...DEFAULT_HOUSE_RULES,
  ...change,
})
const beside = (wall: Lab, kind: KeeperKind, stays: Lab, change: Partial<HouseRules> = {}) =>
  judgePair(read(wall), read(stays), roleOf(kind, rules(change)))

// Common practice: pairs that every consultant knows, none of them among the ratings.
test.each<[string, boolean, Lab, KeeperKind, Lab]>([
  ['sage beside cream woodwork', true, [68, -8, 10], 'trim', [91, 0, 10]],
  ['navy and brass', true, [24, -1, -16], 'metal', [62, 6, 34]],
  ['olive and brass', true, [42, -4, 20], 'metal', [64, 6, 34]],
  ['slate blue and an oatmeal carpet', true, [48, -4, -10], 'carpet', [76, 3, 12]],
  ['cream walls on terracotta', true, [90, 1, 11], 'tile', [52, 24, 28]],
  ['charcoal and pale oak', true, [32, 0, -1], 'floor', [76, 5, 20]],
  [
    'a full-strength red beside a full-strength green rug',
    false,
    [42, 54, 34],
    'rug',
    [48, -36, 24],
  ],
  ['a brown as deep as its oak floor', false, [52, 8, 22], 'floor', [53, 10, 26]],
  ['a pink beige beside a green-grey stone', false, [76, 8, 10], 'stone', [70, -6, 6]],
  ['an icy white by old red brick', false, [96, -1, -3], 'fireplace', [44, 24, 22]],
  ['brilliant white beside cream cupboards', false, [97, -1, 0], 'cabinets', [89, 1, 14]],
])('%s: works %p', (_, works, wall, kind, stays) => {
  const { chance, pairing } = beside(wall, kind, stays)
  expect(chance > 0.5).toBe(works)
  expect(speaksFor(pairing)).toBe(works)
})

test('which way a wall is wrong, as it would be said beside the thing', () => {
  expect(beside([78, -4, 8], 'tile', [76, 5, 9]).direction).toBe('too green')
  expect(beside([80, 6, 5], 'tile', [78, -3, 9]).direction).toBe('too pink')
  expect(beside([80, -2, -4], 'stone', [77, 4, 14]).direction).toMatch(/too (blue|grey)/)
})

const random = seededRandom(11)
const between = (low: number, high: number): number => low + (high - low) * random()
const anywhere = (): SeenReading => at(between(15, 99), between(-14, 16), between(-14, 22))
const anyKind = (): KeeperKind => KEEPER_KINDS[Math.floor(random() * KEEPER_KINDS.length)]!

test('a step of a tenth of a unit, of wall or finish, moves no chance by more than 0.05', () => {
  let most = 0
  for (let n = 0; n < 250; n++) {
    const [wall, stays, as] = [anywhere(), anywhere(), roleOf(anyKind(), rules())]
    const here = judgePair(wall, stays, as).chance
    for (const axis of ['j', 'a', 'b'] as const) {
      const step = ({ undertone: u }: SeenReading): SeenReading => {
        return at(
          u.j + (axis === 'j' ? 0.1 : 0),
          u.a + (axis === 'a' ? 0.1 : 0),
          u.b + (axis === 'b' ? 0.1 : 0),
        )
      }
      const moved = step(wall)
      most = Math.max(most, Math.abs(judgePair(moved, stays, as).chance - here))
      const other = step(stays)
      most = Math.max(most, Math.abs(judgePair(wall, other, as).chance - here))
    }
  }
  expect(most).toBeLessThan(0.05)
})

test('a quiet wall made strong beside a strong finish never gets better by more than a point', () => {
  for (let n = 0; n < 250; n++) {
    const as = roleOf(anyKind(), rules())
    const turn = between(0, 2 * Math.PI)
    const wall = (c: number): SeenReading => at(55, c * Math.cos(turn), c * Math.sin(turn))
    const angle = between(0, 2 * Math.PI)
    const stays = at(between(25, 85), 22 * Math.cos(angle), 22 * Math.sin(angle))
    expect(judgePair(wall(24), stays, as).score).toBeLessThan(
      judgePair(wall(5), stays, as).score + 1,
    )
  }
})

test('where two walls meet as equals nothing hangs on who is named first', () => {
  const as = ratedRole('neighbour', rules())
  for (let n = 0; n < 100; n++) {
    const [one, other] = [anywhere(), anywhere()]
    expect(judgePair(one, other, as).score).toBeCloseTo(judgePair(other, one, as).score, 9)
  }
})

test('the less firmly something was read, the nearer to even odds, and never across', () => {
  for (const [wall, kind, stays] of [
    [[68, -8, 10], 'trim', [91, 0, 10]],
    [[76, 8, 10], 'stone', [70, -6, 6]],
  ] as const) {
    const chances = (['spectral', 'reader', 'eye', 'photo'] as const).map(
      (source) =>
        judgePair(read([...wall]), read([...stays], source), roleOf(kind, rules())).chance,
    )
    const fromEven = chances.map((chance) => Math.abs(chance - 0.5))
    expect(fromEven).toEqual([...fromEven].sort((p, q) => q - p))
    expect(fromEven[3]).toBeLessThan(fromEven[0]!)
    expect(new Set(chances.map((chance) => chance > 0.5)).size).toBe(1)
  }
})

test('a house rule acts by name, only where it changes something, and the middle school is the fit', () => {
  const teal: Lab = [45, -20, -10]
  const orange: Lab = [58, 20, 36]
  const [fit, shared] = [
    beside(teal, 'floor', orange),
    beside(teal, 'floor', orange, { pairs: 'shared' }),
  ]
  expect(fit.rule).toBeNull()
  expect(shared.rule!.points).toBeCloseTo(shared.score - fit.score, 9)
  expect(shared.rule!.points).toBeLessThan(-0.5)
  expect(shared.rule!.words).toMatch(/shared undertone.*opposites count for nothing/)
  // Two greys of one lean are none of its business.
  expect(beside([80, 1, 4], 'floor', [60, 2, 9], { pairs: 'shared' }).rule).toBeNull()
})

test('an eye that lets more pass before two leans clash says works where the model does not, and of that alone', () => {
  const eye = { version: 1, factors: { ...AS_THE_MODEL, clashes: 1.3 } }
  const score = (wall: Lab, kind: KeeperKind, stays: Lab, own: object = {}): number =>
    judgePair(read(wall), read(stays), roleOf(kind, { ...rules(), ...own })).score
  const clash = [[76, 8, 10], 'stone', [70, -6, 6]] as const
  expect(score([...clash[0]], clash[1], [...clash[2]], { eye })).toBeGreaterThan(
    score([...clash[0]], clash[1], [...clash[2]]) + 0.15,
  )
  const aged = [[97, -1, 0], 'cabinets', [89, 1, 14]] as const
  expect(score([...aged[0]], aged[1], [...aged[2]], { eye })).toBeCloseTo(
    score([...aged[0]], aged[1], [...aged[2]]),
    0,
  )
})
