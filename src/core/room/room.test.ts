import { roomFigures } from './room-figures.fixture'

// Paths a tile.
const of = roomFigures(300)

const farthestFrom1 = (values: readonly number[]): number =>
  Math.max(...values.map((value) => Math.abs(value - 1)))

describe('view factors', () => {
  // Howell, A Catalog of Radiation Heat Transfer Configuration Factors: a cube has 0.1998 across and 0.2000 aside.
  test('the published forms give a cube its own', () => {
    expect(of.cube[0]).toBeCloseTo(0.1998, 4)
    expect(of.cube[1]).toBeCloseTo(0.2, 4)
  })

  test('of rooms long, low and high are the published ones (C-11, C-14)', () => {
    expect(farthestFrom1(of.factors.flatMap(({ points }) => points))).toBeLessThan(0.01)
    expect(farthestFrom1(of.factors.flatMap(({ tiles }) => tiles))).toBeLessThan(0.02)
  })

  test('of every kind of room: rows sum to 1 within 0.5 %, and what goes there comes back', () => {
    for (const { name, worst, unequal } of of.rows)
      expect([name, worst < 0.005, unequal < 1e-6]).toEqual([name, true, true])
  })
})

test('white furnace: evenly lit all over, every tile has 1 / (1 − ρ) of it', () => {
  expect(of.furnace).toBeLessThan(0.02)
})

// Φ / (A (1 − ρ)), the sphere multiplier (CIE 84, The Measurement of Luminous Flux): it holds for the mean of any closed box.
test('a closed box of one reflectance is an integrating sphere', () => {
  expect(farthestFrom1(of.sphere)).toBeLessThan(0.03)
})

test('as paths followed at random say: the mean within 3 %, 95 of 100 tiles within 10 %', () => {
  for (const { name, mean, within } of of.paths) {
    expect([name, Math.abs(mean - 1) < 0.03]).toEqual([name, true])
    expect([name, within < 0.1]).toEqual([name, true])
  }
})

test('over all surfaces it is what the light core says, within a fifth', () => {
  for (const { name, share } of of.core)
    expect([name, share > 0.8 && share < 1.2]).toEqual([name, true])
})

test('cut more finely the light comes to rest', () => {
  const [coarse, usual, fine] = of.finer as [number, number, number]
  expect(Math.abs(usual / fine - 1)).toBeLessThan(0.02)
  expect(Math.abs(coarse / fine - 1)).toBeLessThan(0.05)
})

test('no light leaks into a room without a window, however bright the day', () => {
  expect(of.leak).toBe(0)
})

test('the sun’s patches are what comes in through their windows, no more and no less', () => {
  expect(farthestFrom1(of.sun)).toBeLessThan(0.02)
})

test('as the minutes go by nothing jumps: no point by more than the edge of a shadow that comes over it', () => {
  expect(of.step).toBeLessThan(0.08)
})

test('walls on the whole look as the four-walls swatch says, within 2', () => {
  for (const difference of of.swatch) expect(difference).toBeLessThan(2)
})
