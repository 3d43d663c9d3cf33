import { PLAIN_WINDOW } from '@/core/light/room'
import {
  alongPercentAt,
  draggedSideMm,
  lampAt,
  planGeometry,
  planScale,
  sideMm,
  sideOf,
  WALLS,
} from './plan-geometry'

const room = { northSouthMm: 6000, eastWestMm: 3000, heightMm: 2500, windows: [], lamps: [] }
const window = (bearingDeg: number) => ({
  ...PLAIN_WINDOW,
  bearingDeg,
  widthMm: 1500,
  heightMm: 1200,
})

test('a room twice as long as wide is drawn so, north up', () => {
  expect(planGeometry(room, []).room).toEqual({ x: -30, y: -60, width: 60, height: 120 })
})

test('windows lie in the wall that they face, at their width', () => {
  const [north, east, south, west] = planGeometry(room, [0, 90, 180, 270].map(window)).openings
  expect(north).toEqual({ x1: -15, x2: 15, y1: -60, y2: -60 })
  expect(south).toEqual({ x1: -15, x2: 15, y1: 60, y2: 60 })
  expect(east).toEqual({ x1: 30, x2: 30, y1: -15, y2: 15 })
  expect(west).toEqual({ x1: -30, x2: -30, y1: -15, y2: 15 })
  // A window that faces west by north-west stands in the west wall.
  expect(planGeometry(room, [window(292)]).openings[0]).toMatchObject({ x1: -30, x2: -30 })
})

test('a wall dragged out makes its side longer, in steps of 5 cm, about the middle of the room', () => {
  const scale = planScale(room)
  // The north wall is drawn 60 units up for 3 m of half a side.
  expect(draggedSideMm('north', { x: 17, y: -60 }, scale)).toBe(6000)
  expect(draggedSideMm('north', { x: 0, y: -70 }, scale)).toBe(7000)
  expect(draggedSideMm('east', { x: 41.3, y: 99 }, scale)).toBe(4150)
  expect(draggedSideMm('west', { x: -30, y: 0 }, scale)).toBe(3000)
  // Dragged past the middle it is as small as a room may be.
  expect(draggedSideMm('south', { x: 0, y: -20 }, scale)).toBe(1000)
  expect(sideOf('south')).toBe('northSouthMm')
  expect(sideOf('west')).toBe('eastWestMm')
  expect(sideMm(99_999)).toBe(20_000)
  // Drawn in the scale of before, the wall stays under the finger.
  expect(planGeometry({ ...room, northSouthMm: 7000 }, [], scale).room.height).toBe(140)
})

test('a lamp tapped in the middle hangs there, at the side it stands', () => {
  expect(lampAt(room, { x: 0, y: 20 })).toBe('pendant')
  expect(lampAt(room, { x: 0, y: 50 })).toBe('table')
  expect(lampAt(room, { x: 25, y: 0 })).toBe('table')
})

test('each wall can be tapped along its whole length', () => {
  const share = planGeometry(room, []).share
  const boxes = WALLS.map(({ box }) => box(share))
  expect(boxes[0]).toMatchObject({ left: '35.00%', width: '30.00%' })
  expect(boxes[3]).toMatchObject({ top: '20.00%', height: '60.00%' })
})

test('a window stands where it is said to along its wall, seen from inside; others share what is left evenly', () => {
  const at = (bearingDeg: number, alongPercent: number | null) => ({
    ...window(bearingDeg),
    widthMm: 500,
    alongPercent,
  })
  // A tenth from the left corner: west in the north wall, south in the west wall.
  const [north, west] = planGeometry(room, [at(0, 10), at(270, 10)]).openings
  expect(north).toMatchObject({ x1: -29, x2: -19 })
  expect(west).toMatchObject({ y1: 43, y2: 53 })
  const [left, right] = planGeometry(room, [at(180, null), at(180, null)]).openings
  expect([left!.x1 + left!.x2, right!.x1 + right!.x2]).toEqual([30, -30])
})

test('the walls of a turned room are those that face its windows', () => {
  const turned = { ...room, northDeg: 40 }
  // 130° is the east wall of a house turned by 40°, and the east or south wall of one that is not is nearer to 90° or 180°.
  expect(planGeometry(turned, [window(130)]).openings[0]).toMatchObject({ x1: 30, x2: 30 })
  expect(planGeometry(turned, [window(20)]).openings[0]).toMatchObject({ y1: -60, y2: -60 })
})

test('a place that is tapped is where the opening is drawn, and none goes past a corner', () => {
  const turned = { ...room, northDeg: -33 }
  for (const [wall, bearingDeg] of [
    ['north', 327],
    ['east', 57],
    ['south', 147],
    ['west', 237],
  ] as const)
    for (const alongPercent of [30, 45, 62]) {
      const placed = { ...window(bearingDeg), widthMm: 900, alongPercent }
      const { x1, x2, y1, y2 } = planGeometry(turned, [placed]).openings[0]!
      const middle = { x: (x1 + x2) / 2, y: (y1 + y2) / 2 }
      expect(alongPercentAt(turned, wall, middle, 900)).toBe(alongPercent)
    }
  // Half of 900 mm from the corner of a wall of 3 m.
  expect(alongPercentAt(room, 'north', { x: -500, y: -60 }, 900)).toBe(15)
  expect(alongPercentAt(room, 'south', { x: -500, y: 60 }, 900)).toBe(85)
})
