import fc from 'fast-check'
import { packsFor, packsSaid, priceOf, type Pack } from './packs'

const pack = (ml: number, price: number | null = null): Pack => ({ name: `${ml} ml`, ml, price })

/** Every way to hold at least so much with up to eight of each, the cheapest of them, then by packs. */
function bestByHand(
  needed: number,
  packs: readonly Pack[],
): readonly [cost: number, count: number] {
  let best: readonly [number, number] = [Infinity, Infinity]
  const go = (at: number, ml: number, cost: number, count: number): void => {
    if (at === packs.length) {
      if (ml >= needed && (cost < best[0] || (cost === best[0] && count < best[1])))
        best = [cost, count]
      return
    }
    const { ml: size, price } = packs[at]!
    for (let n = 0; n <= 8; n++) go(at + 1, ml + n * size, cost + n * price!, count + n)
  }
  go(0, 0, 0, 0)
  return best
}

test('no other set of whole packs that holds enough costs less', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 4000 }),
      fc.uniqueArray(fc.integer({ min: 5, max: 25 }), { minLength: 1, maxLength: 3 }),
      fc.integer({ min: 1, max: 90 }),
      (needed, sizes, dear) => {
        const packs = sizes.map((size, i) =>
          pack(size * 100, Math.round(size * (3 + ((dear * (i + 1)) % 5)))),
        )
        const taken = packsFor(needed, packs)
        const total = taken.reduce((sum, each) => sum + each.count * each.pack.ml, 0)
        expect(total).toBeGreaterThanOrEqual(needed)
        const count = taken.reduce((sum, each) => sum + each.count, 0)
        expect([priceOf(taken), count]).toEqual([...bestByHand(needed, packs)])
      },
    ),
    { numRuns: 60 },
  )
})

test('without prices one large tin comes before several small ones, and none is bought for nothing', () => {
  const tins = [pack(1000), pack(2500), pack(5000)]
  expect(packsSaid(packsFor(4400, tins))).toBe('1 × 5000 ml')
  expect(packsSaid(packsFor(900, tins))).toBe('1 × 1000 ml')
  for (let needed = 100; needed < 16_000; needed += 370) {
    const taken = packsFor(needed, tins)
    const total = taken.reduce((sum, each) => sum + each.count * each.pack.ml, 0)
    for (const { pack: each } of taken) expect(total - each.ml).toBeLessThan(needed)
  }
  expect(packsSaid(packsFor(6200, tins))).toBe('1 × 5000 ml, 2 × 1000 ml')
  expect(packsSaid(packsFor(7400, tins))).toBe('1 × 5000 ml, 1 × 2500 ml')
  expect(packsFor(0, tins)).toEqual([])
  expect(priceOf(packsFor(2000, tins))).toBeNull()
})

test.each([
  ['a size that is none', () => packsFor(100, [pack(0)])],
  ['no sizes', () => packsFor(100, [])],
  ['an amount that is none', () => packsFor(Number.NaN, [pack(100)])],
  ['more than a house takes', () => packsFor(3e6, [pack(100)])],
])('%s is refused', (_, asked) => {
  expect(asked).toThrow(RangeError)
})
