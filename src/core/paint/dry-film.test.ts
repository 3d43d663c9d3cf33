import fc from 'fast-check'
import { dryFilm, hidingOver } from './dry-film'
import { labD65, reflectanceOfReading } from './reading'
import { atStrength } from './strength'

const of = (...lab: readonly [number, number, number]) => reflectanceOfReading({ kind: 'lab', lab })
const WHITE_BASE = of(96.6, -0.5, 2)
const TERRACOTTA = of(46, 28, 30)
const NAVY = of(25, 0, -18)
const GREIGE = of(72, 2, 10)
const COLOURS = [TERRACOTTA, NAVY, GREIGE, of(60, -12, 12), of(82, 1, 9)] as const

test('two coats of a good white hide at the ratio that they claim', () => {
  // EN 13300, class 2: 98 % and more in two coats, under 99.5 %, which is class 1.
  const { contrastRatio } = dryFilm(WHITE_BASE, WHITE_BASE, 'white', 0)
  expect(contrastRatio).toBeGreaterThanOrEqual(0.98)
  expect(contrastRatio).toBeLessThan(0.995)
  expect(dryFilm(WHITE_BASE, WHITE_BASE, 'white', 0, 1).contrastRatio).toBeLessThan(0.96)
})

/**
 * The ladder of a white base with two constants, reckoned apart from the code, after Kubelka and Munk 1931 and Saunderson
 * 1942: the tint's scattering beside the white's is given.
 */
function apart(full: Float64Array, percent: number, tintScatters: number): Float64Array {
  const inside = (r: number): number => r / (0.96 * 0.4 + 0.6 * r)
  const ks = (r: number): number => (1 - inside(r)) ** 2 / (2 * inside(r))
  return full.map((r, band) => {
    const base = ks(WHITE_BASE[band]!)
    const tint = ks(r) * (1 + tintScatters) - base
    const q = (base + (percent / 100) * tint) / (1 + (percent / 100) * tintScatters)
    const infinite = 1 + q - Math.sqrt(q * q + 2 * q)
    return (0.96 * 0.4 * infinite) / (1 - 0.6 * infinite)
  })
}

test('the ladder of the white base is within 2 L* of one with two constants, over the range a tint may scatter', () => {
  const misses = COLOURS.flatMap((colour) =>
    [25, 50, 75, 125, 150].flatMap((percent) =>
      [0, 0.06, 0.12].map(
        (scatters) =>
          labD65(atStrength(colour, WHITE_BASE, percent))[0] -
          labD65(apart(colour, percent, scatters))[0],
      ),
    ),
  )
  expect(Math.max(...misses.map(Math.abs))).toBeLessThan(2)
})

test('half the tint in a deep or clear base costs hiding and less depth than in a white one', () => {
  for (const colour of [TERRACOTTA, GREIGE])
    for (const base of ['deep', 'clear'] as const) {
      const lift = (of: typeof base | 'white'): number =>
        labD65(dryFilm(colour, WHITE_BASE, of, 50).reflectance)[0] -
        labD65(dryFilm(colour, WHITE_BASE, of, 100).reflectance)[0]
      expect(lift(base)).toBeLessThan(0.9 * lift('white'))
      const [whole, half] = [100, 50].map(
        (percent) => dryFilm(colour, WHITE_BASE, base, percent).contrastRatio,
      )
      expect(half!).toBeLessThan(whole! - 0.005)
    }
})

test('the less white a base holds, the more hiding a cut costs; the white base always hides', () => {
  const ratios = (['white', 'mid', 'deep', 'clear'] as const).map(
    (base) => dryFilm(GREIGE, WHITE_BASE, base, 50).contrastRatio,
  )
  expect(ratios).toEqual([...ratios].sort((p, q) => q - p))
  expect(ratios[0]).toBeGreaterThan(0.98)
  expect(ratios[3]).toBeLessThan(0.8)
})

test('more tint and more coats hide better, and a film at full strength is the colour (property)', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...COLOURS),
      fc.constantFrom('white', 'mid', 'deep', 'clear'),
      fc.integer({ min: 5, max: 90 }),
      fc.integer({ min: 1, max: 4 }),
      (colour, base, strength, coats) => {
        const ratio = (percent: number, n: number): number =>
          dryFilm(colour, WHITE_BASE, base, percent, n).contrastRatio
        expect(ratio(strength + 10, coats)).toBeGreaterThanOrEqual(ratio(strength, coats) - 1e-9)
        expect(ratio(strength, coats + 1)).toBeGreaterThanOrEqual(ratio(strength, coats) - 1e-9)
        expect(ratio(strength, coats)).toBeLessThanOrEqual(1 + 1e-9)
      },
    ),
    { numRuns: 60 },
  )
  const [l, a, b] = labD65(dryFilm(TERRACOTTA, WHITE_BASE, 'white', 100).reflectance)
  expect(Math.hypot(l - 46, a - 28, b - 30)).toBeLessThan(0.5)
})

describe('over an old colour', () => {
  test('an off-white over navy takes more coats than navy over off-white, and than over its like', () => {
    const pale = of(90, 0, 6)
    const overNavy = hidingOver(pale, WHITE_BASE, 'white', 100, NAVY)
    expect(overNavy.coats).toBeGreaterThanOrEqual(2)
    expect(hidingOver(NAVY, WHITE_BASE, 'deep', 100, pale).coats).toBe(1)
    expect(hidingOver(pale, WHITE_BASE, 'white', 100, of(89, 0, 7)).coats).toBe(1)
    expect(hidingOver(pale, WHITE_BASE, 'white', 100, pale).leftAfter[0]).toBeLessThan(0.3)
  })

  test('every further coat leaves less of it, and a base without white leaves most', () => {
    const left = (['white', 'deep', 'clear'] as const).map((base) => {
      const { leftAfter } = hidingOver(GREIGE, WHITE_BASE, base, 100, NAVY)
      leftAfter.forEach((after, i) => expect(after).toBeLessThan((leftAfter[i - 1] ?? 100) + 1e-9))
      return leftAfter[1]!
    })
    expect(left).toEqual([...left].sort((p, q) => p - q))
  })

  test('what five coats do not hide has no number of coats', () => {
    expect(hidingOver(of(80, 4, 60), WHITE_BASE, 'clear', 25, of(8, 0, 0)).coats).toBeNull()
  })
})

test('strengths and coats off the scale are refused', () => {
  expect(() => dryFilm(NAVY, WHITE_BASE, 'deep', -1)).toThrow(/0 to 150 %, got -1/)
  expect(() => dryFilm(NAVY, WHITE_BASE, 'deep', 50, 0)).toThrow(/coats must be above 0/)
  expect(() => hidingOver(NAVY, WHITE_BASE, 'deep', 200, NAVY)).toThrow(RangeError)
})
