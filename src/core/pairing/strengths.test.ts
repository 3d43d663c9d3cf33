import fc from 'fast-check'
import { runs } from '../runs.fixture'
import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { KEEPER_KINDS, type KeeperKind } from './keeper-kind'
import { chanceOf } from './pairing'
import { roleOf } from './role'
import { emptyStrengths, pairStrengths, type PairStrengths } from './strengths'
import { emptySurface, fillSurface } from './surface'

type Place = readonly [j: number, a: number, b: number]

const strengths = (wall: Place, finish: Place, kind: KeeperKind, radius = 0): PairStrengths =>
  pairStrengths(
    fillSurface(emptySurface(), ...wall, radius, radius),
    fillSurface(emptySurface(), ...finish, radius, radius),
    roleOf(kind, DEFAULT_HOUSE_RULES),
    emptyStrengths(),
  )

const at = (j: number, c: number, hueDeg: number): Place => {
  const angle = (hueDeg * Math.PI) / 180
  return [j, c * Math.cos(angle), c * Math.sin(angle)]
}
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const kind = fc.constantFrom(...KEEPER_KINDS)

test('no step of 0.1 unit in either colour moves a chance by more than 0.06', () => {
  const place = fc.tuple(number(8, 99), number(-26, 26), number(-26, 30))
  const direction = fc.tuple(number(-1, 1), number(-1, 1), number(-1, 1))
  const near = fc.tuple(number(-14, 14), number(-5, 5), number(-5, 5))
  fc.assert(
    fc.property(
      place,
      place,
      near,
      fc.boolean(),
      direction,
      kind,
      (wall, far, by, close, way, kind) => {
        // Half of the finishes lie close to the wall, where most conditions meet.
        const finish: Place = close ? [wall[0] + by[0], wall[1] + by[1], wall[2] + by[2]] : far
        const length = Math.hypot(...way) * 10 || 1
        const step = (from: Place): Place => [
          from[0] + way[0] / length,
          from[1] + way[1] / length,
          from[2] + way[2] / length,
        ]
        const here = strengths(wall, finish, kind).works
        expect(Math.abs(strengths(step(wall), finish, kind).works - here)).toBeLessThan(0.06)
        expect(Math.abs(strengths(wall, step(finish), kind).works - here)).toBeLessThan(0.06)
      },
    ),
    { numRuns: runs(2500) },
  )
})

test('a pair that is cut short never works less than it is said to, and its own chance is not under what was enough', () => {
  const place = fc.tuple(number(8, 99), number(-20, 20), number(-20, 26))
  const near = fc.tuple(number(-12, 12), number(-5, 5), number(-5, 5))
  let cut = 0
  fc.assert(
    fc.property(
      place,
      near,
      kind,
      number(0.05, 0.95),
      fc.boolean(),
      (wall, by, kind, enough, shared) => {
        const finish: Place = [wall[0] + by[0], wall[1] + by[1], wall[2] + by[2]]
        const role = roleOf(kind, { pairs: shared ? 'shared' : DEFAULT_HOUSE_RULES.pairs })
        const [w, f] = [wall, finish].map((at) => fillSurface(emptySurface(), ...at, 0.5, 0.5))
        const whole = chanceOf(pairStrengths(w!, f!, role, emptyStrengths()), role)
        const short = chanceOf(pairStrengths(w!, f!, role, emptyStrengths(), enough), role)
        if (short === whole) return
        cut++
        expect(short).toBeGreaterThanOrEqual(enough)
        expect(short).toBeLessThanOrEqual(whole + 1e-12)
      },
    ),
    { numRuns: runs(2500) },
  )
  expect(cut).toBeGreaterThan(runs(2500) / 25)
})

// The monotonicities of a pair, at equal gates of the surfaces themselves. Steps stand for the last digits of a gradient
// that is taken at a point, not over the whole spread.
const ROUNDING = 0.01

test('a clash never falls as two leans turn apart', () => {
  fc.assert(
    fc.property(
      number(35, 84),
      number(2, 7),
      number(2, 7),
      number(0, 300),
      (j, wallC, finishC, hue) => {
        let last = 0
        for (let apart = 0; apart <= 75; apart += 5) {
          const { clashes } = strengths(at(j, wallC, hue + apart), at(j + 4, finishC, hue), 'stone')
          expect(clashes).toBeGreaterThanOrEqual(last - ROUNDING)
          last = clashes
        }
      },
    ),
    { numRuns: runs(200) },
  )
})

test('a wall looks no cleaner beside a cleaner finish', () => {
  fc.assert(
    fc.property(number(40, 80), number(1, 6), number(0, 360), (j, wallC, hue) => {
      let last = 0
      for (let finishC = 1; finishC < 20; finishC++) {
        const { dirties } = strengths(at(j, wallC, hue), at(j + 2, finishC, hue), 'stone')
        expect(dirties).toBeGreaterThanOrEqual(last - 1e-6)
        last = dirties
      }
    }),
    { numRuns: runs(200) },
  )
})

test('two colours clash no more for lying further apart in lightness', () => {
  fc.assert(
    fc.property(
      number(2, 14),
      number(2, 14),
      number(20, 180),
      fc.boolean(),
      (wallC, finishC, apart, up) => {
        const gates = (place: Place): number => {
          const { felt, black } = fillSurface(emptySurface(), ...place, 0, 0)
          return felt * (1 - black)
        }
        let last = 1
        for (let dj = 0; dj <= 40; dj += 2) {
          const pair = [at(60, wallC, apart), at(60 + (up ? dj : -dj) / 2, finishC, 0)] as const
          const { clashes } = strengths(...pair, 'stone')
          const ungated = clashes / (gates(pair[0]) * gates(pair[1]))
          expect(ungated).toBeLessThanOrEqual(last + ROUNDING)
          last = ungated
        }
      },
    ),
    { numRuns: runs(200) },
  )
})

test('an off-white washes out no less for losing its lean', () => {
  fc.assert(
    fc.property(number(88, 95), number(5, 12), number(0, 360), (j, finishC, hue) => {
      let last = 0
      for (let wallC = 8; wallC >= 0; wallC -= 0.5) {
        const { washesOut } = strengths(at(j + 1, wallC, hue), at(j, finishC, hue), 'cabinets')
        expect(washesOut).toBeGreaterThanOrEqual(last - ROUNDING)
        last = washesOut
      }
    }),
    { numRuns: runs(200) },
  )
})

// One pair for each condition, and a neighbour of it for which the condition is gone (common practice).
test.each<[keyof PairStrengths, KeeperKind, Place, Place, Place]>([
  ['clashes', 'stone', at(75, 8, 110), at(70, 9, 40), at(75, 8, 48)],
  ['dirties', 'tile', at(92, 6, 95), at(96, 1, 240), at(92, 1, 95)],
  ['dirties', 'stone', at(72, 4, 140), at(78, 17, 150), at(72, 14, 140)],
  ['ages', 'stone', at(74, 18, 85), at(72, 4, 85), at(74, 6, 85)],
  ['washesOut', 'cabinets', at(94, 1.5, 90), at(92, 9, 88), at(94, 8, 90)],
  ['nearMiss', 'trim', at(94, 4, 90), at(94, 3, 20), at(78, 4, 90)],
  ['contrasts', 'stone', at(68, 24, 35), at(58, 20, 200), at(68, 24, 180)],
  ['contrasts', 'curtain', at(45, 4, 130), at(70, 15, 10), at(45, 4, 20)],
  ['contrasts', 'trim', at(66, 7, 50), at(46, 11, 200), at(66, 7, 190)],
  ['bridges', 'stone', at(90, 4, 70), at(60, 3, 260), at(64, 4, 70)],
  ['quiet', 'stone', at(84, 5, 62), at(72, 9, 60), at(60, 5, 62)],
  ['quiet', 'stone', at(84, 5, 62), at(72, 9, 60), at(84, 0.3, 62)],
])('%s beside a %s', (condition, kind, wall, finish, without) => {
  expect(strengths(wall, finish, kind)[condition]).toBeGreaterThan(0.6)
  expect(strengths(without, finish, kind)[condition]).toBeLessThan(0.4)
})

test('a black ground on either side ends a quarrel, a lean on it does not', () => {
  const quarrel = strengths(at(70, 10, 120), at(50, 10, 20), 'stone').clashes
  expect(quarrel).toBeGreaterThan(0.9)
  for (const [wall, finish] of [
    [at(70, 10, 120), at(26, 3, 20)],
    [at(26, 3, 120), at(50, 10, 20)],
  ] as const)
    expect(strengths(wall, finish, 'stone').clashes).toBeLessThan(0.15)
  expect(strengths(at(45, 10, 120), at(30, 12, 20), 'stone').clashes).toBeGreaterThan(0.7)
})

test('what is known worse is less sure, in both directions', () => {
  const [sits, quarrels] = [
    [at(80, 8, 60), at(70, 9, 58)],
    [at(75, 8, 110), at(70, 9, 40)],
  ] as const
  const works = (pair: readonly [Place, Place], radius: number) =>
    strengths(...pair, 'stone', radius).works
  expect(works(sits, 2)).toBeLessThan(works(sits, 0) - 0.1)
  expect(works(quarrels, 2)).toBeGreaterThan(works(quarrels, 0) + 0.02)
})

test('whatever the two are, every strength is a chance', () => {
  const place = fc.tuple(number(0, 102), number(-60, 60), number(-60, 60))
  fc.assert(
    fc.property(place, place, kind, number(0, 5), (wall, finish, kind, radius) => {
      for (const strength of Object.values(strengths(wall, finish, kind, radius))) {
        expect(strength).toBeGreaterThanOrEqual(-1e-9)
        expect(strength).toBeLessThanOrEqual(1 + 1e-9)
      }
    }),
    { numRuns: runs(500) },
  )
})

test('two greys without any lean are judged too', () => {
  for (const strength of Object.values(strengths([70, 0, 0], [60, 0, 0], 'stone')))
    expect(Number.isFinite(strength)).toBe(true)
})

test('what is not worth the sums is under a thousandth', () => {
  // Nine units apart in lightness, over the limit of six, it is still a near miss now and then.
  expect(strengths(at(80, 1.5, 0), at(71, 1.5, 180), 'metal').nearMiss).toBeGreaterThan(0.005)
})

test('a trim bridges the surer the further it is, by what both readings leave open', () => {
  // Tables of the normal distribution, at 3.23 units of spread a side: the trim is slight (Φ(1.11)) and far by one spread of
  // what parts them (6 of √(20.9 + 1.2² · 10.4)); the wall itself is hardly slight (Φ(−1.05)), and then far enough.
  const trim = 0.867 * 0.841
  const wall = 0.147 * 0.995
  const { bridges } = strengths(at(84.8, 9, 90), at(60, 2, 250), 'trim', 3)
  expect(bridges).toBeCloseTo(1 - (1 - wall) * (1 - trim), 2)
})

test('at the edge of what is light, a yellower wall still dirties beside a clean finish', () => {
  expect(strengths(at(86, 6, 95), at(89, 1, 120), 'tile').dirties).toBeGreaterThan(0.2)
})
