import fc from 'fast-check'
import { runs } from '../runs.fixture'
import { flatReflectance } from '../colour/spectrum'
import {
  filmReflectance,
  insideReflectance,
  kOverS,
  opaqueReflectance,
  outsideReflectance,
} from './kubelka-munk'
import { lrvPercent } from './lrv'
import { labD65, reflectanceOfReading } from './reading'
import {
  atStrength,
  mostStrengthPercent,
  ladderOf,
  nearestStrength,
  strengthForLrv,
  strengthWords,
  whyNoLadder,
} from './strength'

// The white base of the check values: 0.895 in the first band, 0.001 more in each.
const WHITE_BASE = flatReflectance(0).map((_, band) => 0.895 + 0.001 * band)

// Single-constant Kubelka–Munk with Saunderson in the specular-excluded form, by an independent
// implementation over that base: L*a*b* and LRV of a sage and an off-white.
test.each([
  ['#9aa58d', 25, [79.026, -6.1, 8.143], 54.973],
  ['#9aa58d', 50, [73.211, -7.287, 9.703], 45.487],
  ['#9aa58d', 75, [69.294, -7.942, 10.568], 39.755],
  ['#9aa58d', 125, [63.843, -8.676, 11.539], 32.609],
  ['#efebe0', 50, [94.361, -0.385, 4.248], 86.115],
  ['#efebe0', 150, [92.092, -0.634, 6.907], 80.912],
] as const)('%s at %i %%', (hex, strength, lab, lrv) => {
  const mixed = atStrength(reflectanceOfReading({ kind: 'srgb', hex }), WHITE_BASE, strength)
  labD65(mixed).forEach((value, i) => expect(Math.abs(value - lab[i]!)).toBeLessThan(0.15))
  expect(Math.abs(lrvPercent(mixed) - lrv)).toBeLessThan(0.15)
})

test('Kubelka and Munk: K/S of 0.5 reflects 0.382, of 0.1 reflects 0.642', () => {
  // R = 1 + K/S − √((K/S)² + 2 K/S), handbook values to three figures.
  expect(opaqueReflectance(0.5)).toBeCloseTo(0.382, 3)
  expect(opaqueReflectance(0.1)).toBeCloseTo(0.642, 3)
  expect(kOverS(0.382)).toBeCloseTo(0.5, 3)
})

test('the two ends: no tint is the base, the whole formula is the colour', () => {
  const full = reflectanceOfReading({ kind: 'lab', lab: [46, 28, 30] })
  atStrength(full, WHITE_BASE, 0).forEach((r, i) => expect(r).toBeCloseTo(WHITE_BASE[i]!, 9))
  expect(atStrength(full, WHITE_BASE, 100)).toBe(full)
})

test('more tint never reflects more where the colour is darker than its base', () => {
  fc.assert(
    fc.property(
      fc.tuple(
        fc.integer({ min: 35, max: 85 }),
        fc.integer({ min: -20, max: 20 }),
        fc.integer({ min: -15, max: 25 }),
      ),
      fc.integer({ min: 0, max: 140 }),
      (lab, strength) => {
        const full = reflectanceOfReading({ kind: 'lab', lab })
        const less = atStrength(full, WHITE_BASE, strength)
        const more = atStrength(full, WHITE_BASE, strength + 10)
        const misfits = [...more].filter(
          (r, i) => !(r > 0 && r < 1) || (full[i]! <= WHITE_BASE[i]! && r > less[i]! + 1e-12),
        )
        expect(misfits).toEqual([])
      },
    ),
    { numRuns: runs(100) },
  )
})

test('the surface correction goes there and back and keeps navy representable', () => {
  for (const measured of [0.005, 0.03, 0.2, 0.93])
    expect(outsideReflectance(insideReflectance(measured))).toBeCloseTo(measured, 12)
  expect(insideReflectance(0.005)).toBeGreaterThan(0)
})

test('half strength is not half way to white: tint is far stronger than that', () => {
  const terracotta = reflectanceOfReading({ kind: 'lab', lab: [46, 28, 30] })
  const halfTint = lrvPercent(atStrength(terracotta, WHITE_BASE, 50))
  const halfBlend = (lrvPercent(terracotta) + lrvPercent(WHITE_BASE)) / 2
  expect(halfTint).toBeLessThan(halfBlend - 20)
})

test('bases without white say why they have no ladder', () => {
  expect(whyNoLadder('white')).toBeNull()
  for (const base of ['mid', 'deep', 'clear'] as const)
    expect(whyNoLadder(base)).toMatch(
      new RegExp(
        `^A ${base} base holds little white.* costs hiding .* paler relative on its strip`,
      ),
    )
})

test('strengths off the scale are refused', () => {
  expect(() => atStrength(WHITE_BASE, WHITE_BASE, 151)).toThrow(/0 to 150 %, got 151/)
  expect(() => atStrength(WHITE_BASE, WHITE_BASE, -1)).toThrow(/0 to 150 %, got -1/)
  expect(() => atStrength(WHITE_BASE, WHITE_BASE, Number.NaN)).toThrow(/got NaN/)
  expect(() => strengthWords(-5)).toThrow(/a strength/)
})

test('a film of nothing shows its ground, a thick one only itself', () => {
  // Kubelka 1948: the limits of his hyperbolic solution.
  expect(filmReflectance(0.3, 0, 0.85)).toBeCloseTo(0.85, 12)
  expect(filmReflectance(0.3, 0, 0.01)).toBeCloseTo(0.01, 12)
  for (const ground of [0, 0.5, 1])
    expect(filmReflectance(0.3, 50, ground)).toBeCloseTo(opaqueReflectance(0.3), 9)
  // Without absorption a film over black reflects SX / (1 + SX).
  expect(filmReflectance(1e-9, 3, 0)).toBeCloseTo(3 / 4, 4)
})

const TERRACOTTA = reflectanceOfReading({ kind: 'lab', lab: [46, 28, 30] })

test('the strength that comes nearest to a wanted lightness is found again', () => {
  for (const wanted of [30, 75, 140]) {
    const goal = lrvPercent(atStrength(TERRACOTTA, WHITE_BASE, wanted))
    expect(strengthForLrv(TERRACOTTA, WHITE_BASE, 'white', goal)).toBe(wanted)
  }
  const toBlack = (mixed: Float64Array) => lrvPercent(mixed)
  expect(nearestStrength(TERRACOTTA, WHITE_BASE, 'mid', toBlack)).toBe(mostStrengthPercent('mid'))
  // Where several come as near, the one with the least tint.
  expect(nearestStrength(TERRACOTTA, WHITE_BASE, 'white', () => 0)).toBe(1)
})

test('a white base has rungs on both sides of full strength, the others none', () => {
  expect(ladderOf('white')).toEqual([150, 125, 100, 75, 50, 25])
  expect([ladderOf('mid'), ladderOf('deep'), ladderOf('clear')]).toEqual([[100], [100], [100]])
})

test('strengths are said both ways', () => {
  expect(strengthWords(75)).toBe('at 75 %, with 25 % less tint')
  expect(strengthWords(125)).toBe('at 125 %, with 25 % more tint')
  expect(strengthWords(100)).toBe('at full strength')
})
