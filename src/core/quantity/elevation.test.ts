import { PLAIN_WINDOW } from '../light/room'
import { USUAL_JOINERY, type PaintedRoom } from './areas'
import { partShares, wallElevation } from './elevation'

const ROOM: PaintedRoom = {
  northSouthMm: 4000,
  eastWestMm: 5000,
  heightMm: 2500,
  windows: [{ ...PLAIN_WINDOW, bearingDeg: 0, widthMm: 1200, heightMm: 1400, sillMm: 800 }],
  lamps: [],
  doors: [{ bearingDeg: 90, widthMm: 800, heightMm: 2000 }],
}

const shares = (
  wall: 'north' | 'east' | 'south',
  joinery = USUAL_JOINERY,
  things: Parameters<typeof wallElevation>[3] = [],
  hasHalf = false,
) => partShares(wallElevation(ROOM, joinery, wall, things, hasHalf))

test('a bare wall is drawn at its real shares, and all of a drawing is something', () => {
  // 5 m × 2.5 m of wall between 0.3 m of ceiling and 0.25 m of floor; skirting of 0.12 m on it.
  const bare = shares('south')
  expect(bare.get('wall')).toBeCloseTo((2.5 - 0.12) / 3.05, 9)
  expect(bare.get('baseboard')).toBeCloseTo(0.12 / 3.05, 9)
  for (const wall of ['north', 'east', 'south'] as const)
    expect([...shares(wall).values()].reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 9)
})

test('a window shows its glass inside its casing, a door stands on the floor', () => {
  const north = shares('north')
  expect(north.get('window')).toBeCloseTo((1.2 * 1.4) / (5 * 3.05), 9)
  expect(north.get('casing')).toBeCloseTo((1.34 * 1.54 - 1.2 * 1.4) / (5 * 3.05), 9)
  const east = shares('east')
  expect(east.get('door')).toBeCloseTo((0.8 * 2) / (4 * 3.05), 9)
})

test('what stands before a wall hides it, what hangs leaves the skirting free', () => {
  const sofa = shares('south', USUAL_JOINERY, [
    { id: 'sofa', kind: 'upholstery', viewShare: 'much' },
  ])
  expect(sofa.get('sofa')).toBeCloseTo((0.4 * 5 * 0.85) / (5 * 3.05), 9)
  expect(sofa.get('baseboard')!).toBeLessThan(shares('south').get('baseboard')!)
  const art = shares('south', USUAL_JOINERY, [{ id: 'art', kind: 'art', viewShare: 'some' }])
  expect(art.get('baseboard')).toBeCloseTo(shares('south').get('baseboard')!, 9)
  const floor = shares('south', USUAL_JOINERY, [{ id: 'oak', kind: 'floor', viewShare: 'much' }])
  expect(floor.get('oak')).toBeCloseTo(0.25 / 3.05, 9)
})

test('cabinets and island stand at their real size, as far as the wall goes, and not where nobody has said it', () => {
  const fronts = (joinery: typeof USUAL_JOINERY) =>
    partShares(wallElevation(ROOM, joinery, 'south', [], false, ['cabinets', 'island']))
  const known = fronts({ ...USUAL_JOINERY, cabinetsM2: 1.8, islandM2: 0.9 })
  expect(known.get('cabinets')).toBeCloseTo(1.8 / (5 * 3.05), 9)
  // From 2 m to 3 m, before the end of nothing: the cabinets reach to 2 m.
  expect(known.get('island')).toBeCloseTo(0.9 / (5 * 3.05), 9)
  expect(fronts({ ...USUAL_JOINERY, cabinetsM2: 50 }).get('cabinets')).toBeCloseTo(0.9 / 3.05, 9)
  expect(fronts(USUAL_JOINERY).has('cabinets')).toBe(false)
})

test('a half wall reaches as high as it is said', () => {
  const half = shares('south', { ...USUAL_JOINERY, halfHeightMm: 1100 }, [], true)
  expect(half.get('lower half')! + half.get('baseboard')!).toBeCloseTo(1.1 / 3.05, 9)
})
