import type { Reflectance } from '../colour/spectrum'
import { brighterBy, brighterSaid } from './light-effect'

test('white walls give a room more light than dark ones, by the split-flux formula worked by hand', () => {
  const room = {
    northSouthMm: 4000,
    eastWestMm: 4000,
    heightMm: 2500,
    windows: [],
    lamps: [],
  }
  const flat = (share: number): Reflectance => new Float64Array(36).fill(share)
  // Plan 16 m² twice, walls 40 m²; floor 0.3, ceiling 0.8: mean = (16 × 1.1 + 40 ρ) / 72.
  const absorbed = (rho: number): number => 1 - (16 * 1.1 + 40 * rho) / 72
  expect(brighterBy(room, flat(0.5), flat(0.8))).toBeCloseTo(absorbed(0.5) / absorbed(0.8), 6)
  expect(brighterBy(room, null, flat(0.5))).toBeCloseTo(1, 6)
  expect(brighterSaid(brighterBy(room, flat(0.5), flat(0.8)), true)).toMatch(
    /^gives the room \d+ % more light/,
  )
  expect(brighterSaid(brighterBy(room, flat(0.8), flat(0.1)), true)).toMatch(
    /^takes \d+ % of the light/,
  )
  expect(brighterSaid(1.01, false)).toContain('leaves the room as bright')
})
