import {
  averageDaylightFactorPercent,
  daylightFactorPercent,
  dimness,
  skyAngleDeg,
} from './daylight-factor'
import { PLAIN_WINDOW, type RoomWindow } from './room'

const window = (change: Partial<RoomWindow> = {}): RoomWindow => ({
  ...PLAIN_WINDOW,
  bearingDeg: 180,
  heightMm: 1000,
  ...change,
})

// BS 8206-2 / CIBSE LG10, three rooms worked by an independent implementation.
test.each([
  [0.68, 4, 65, 75.7, 0.55, 3.34844],
  [0.65, 1.4, 50, 53.28, 0.5, 1.13864],
  [0.6, 2.2, 35, 76.96, 0.45, 0.75274],
])('T %d, %d m² of glass, %d° of sky', (t, glass, sky, area, r, expected) => {
  expect(averageDaylightFactorPercent(t, glass, sky, area, r)).toBeCloseTo(expected, 4)
})

test('BS 8206-2: under 2 % dim, over 5 % bright', () => {
  expect([0, 1.9, 2, 5, 5.1].map(dimness)).toEqual([
    'dark',
    'dim',
    'moderate',
    'moderate',
    'bright',
  ])
})

// BS 8206-2: the angle of visible sky in the section through the middle of the window.
test.each<[string, Partial<RoomWindow>, number]>([
  ['open', {}, 90],
  ['a front up to 30°', { opposite: 'brick', oppositeDeg: 30 }, 60],
  ['a front that is none', { opposite: 'sky', oppositeDeg: 30 }, 90],
  ['an overhang as deep as the glass is high', { overhangMm: 1000 }, 26.565],
  ['both', { opposite: 'brick', oppositeDeg: 20, overhangMm: 1000 }, 6.565],
  ['nothing left', { opposite: 'brick', oppositeDeg: 60, overhangMm: 1000 }, 0],
  ['a roof window', { pitchDeg: 30 }, 150],
])('angle of sky: %s', (_, change, deg) => {
  expect(skyAngleDeg(window(change))).toBeCloseTo(deg, 3)
})

test('windows add up, but for the wall that each has less of', () => {
  const room = { northSouthMm: 4000, eastWestMm: 5000, heightMm: 2500, lamps: [] }
  const of = (...windows: RoomWindow[]) => daylightFactorPercent({ ...room, windows })
  const [one, other] = [window(), window({ widthMm: 700, overhangMm: 300 })]
  expect(of(one, other) / (of(one) + of(other))).toBeGreaterThan(0.98)
  expect(of(one, other) / (of(one) + of(other))).toBeLessThan(1)
  expect(of(one)).toBeGreaterThan(of(other))
  expect(of()).toBe(0)
})

test('figures that make no daylight factor are refused by name', () => {
  expect(() => averageDaylightFactorPercent(Number.NaN, 1, 90, 80, 0.5)).toThrow(
    /figures of a daylight factor/,
  )
  expect(() => averageDaylightFactorPercent(0.6, 1, 90, 0, 0.5)).toThrow(
    /surfaceAreaM2 must be above 0, got 0/,
  )
  expect(() => averageDaylightFactorPercent(0.6, 1, 90, 80, 1)).toThrow(/meanReflectance/)
  expect(() => dimness(Number.NaN)).toThrow(/a daylight factor/)
})
