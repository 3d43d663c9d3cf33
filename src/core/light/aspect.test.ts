import { aspectOf, compassPoint, compassWord, isCoolAndEven } from './aspect'
import { PLAIN_WINDOW, type LitRoom } from './room'

const room = (...windows: (readonly [bearingDeg: number, widthMm: number])[]): LitRoom => ({
  northSouthMm: 4000,
  eastWestMm: 4000,
  heightMm: 2500,
  windows: windows.map(([bearingDeg, widthMm]) => ({ ...PLAIN_WINDOW, bearingDeg, widthMm })),
  lamps: [],
})
const NORTHERN = { latitudeDeg: 52, longitudeDeg: 0 }
const SOUTHERN = { latitudeDeg: -37, longitudeDeg: 145 }

test.each([
  [0, 'N'],
  [22, 'N'],
  [23, 'NE'],
  [180, 'S'],
  [337, 'NW'],
  [338, 'N'],
  [-90, 'W'],
  [720, 'N'],
])('%d° is %s', (bearingDeg, point) => {
  expect(compassPoint(bearingDeg)).toBe(point)
})

test('the largest window gives a room its aspect, each direction once', () => {
  expect(aspectOf(room([90, 900], [270, 2000], [92, 1500]))).toEqual(['W', 'E'])
  expect(aspectOf(room())).toEqual([])
  expect(compassWord(200)).toBe('south')
})

test('a room turned from the sun is cool and even: north here, south below the equator', () => {
  expect(isCoolAndEven(room([10, 1000], [350, 1000]), NORTHERN)).toBe(true)
  expect(isCoolAndEven(room([0, 1000], [90, 1000]), NORTHERN)).toBe(false)
  expect(isCoolAndEven(room([180, 1000]), NORTHERN)).toBe(false)
  expect(isCoolAndEven(room([180, 1000]), SOUTHERN)).toBe(true)
  expect(isCoolAndEven(room(), NORTHERN)).toBe(false)
})
