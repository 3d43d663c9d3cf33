import fc from 'fast-check'
import { runs } from '../runs.fixture'
import { PLAIN_WINDOW, type LitRoom } from './room'
import { roomLights } from './room-light'
import { PLANES, spotOf, windowFrame } from './spot'
import { sunPatch } from './sun-patch'
import { alongWallMm, bearingOf, turnOf, wallFacing, WALL_NAMES, wallWidthMm } from './walls'

const ROOM: LitRoom = {
  northSouthMm: 6000,
  eastWestMm: 4000,
  heightMm: 2600,
  windows: [{ ...PLAIN_WINDOW, bearingDeg: 180, widthMm: 1800 }],
  lamps: [],
}
/** The same house turned clockwise, its windows with it. */
const turned = (byDeg: number): LitRoom => ({
  ...ROOM,
  northDeg: byDeg,
  windows: ROOM.windows.map((window) => ({
    ...window,
    bearingDeg: (window.bearingDeg + byDeg + 360) % 360,
  })),
})

test('each wall faces itself, a bearing between two the one clockwise', () => {
  for (const wall of WALL_NAMES) {
    expect(wallFacing(ROOM, turnOf(wall))).toBe(wall)
    expect(wallFacing(ROOM, turnOf(wall) + 44.9)).toBe(wall)
    expect(wallFacing(ROOM, turnOf(wall) - 45)).toBe(wall)
    expect(wallFacing(ROOM, turnOf(wall) + 360)).toBe(wall)
  }
  expect(wallFacing({ northDeg: 30 }, 80)).toBe('east')
  expect(wallFacing({ northDeg: 30 }, 70)).toBe('north')
  expect(() => wallFacing(ROOM, NaN)).toThrow(/a bearing must be a number, got NaN/)
})

test('frame, width and name of a window’s wall agree at every bearing and turn (property)', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 359.99, noNaN: true }),
      fc.integer({ min: -45, max: 45 }),
      fc.option(fc.integer({ min: 0, max: 100 })),
      (bearingDeg, northDeg, alongPercent) => {
        const window = { ...PLAIN_WINDOW, bearingDeg, alongPercent }
        const room = { ...ROOM, northDeg, windows: [window] }
        const wall = wallFacing(room, bearingDeg)
        // No other wall faces nearer.
        const away = (name: typeof wall): number =>
          Math.abs(((bearingDeg - bearingOf(room, name) + 540) % 360) - 180)
        for (const other of WALL_NAMES) expect(away(wall)).toBeLessThanOrEqual(away(other) + 1e-9)
        const { at, right, normal } = windowFrame(room, window)
        const radians = (turnOf(wall) * Math.PI) / 180
        expect(normal[0]).toBeCloseTo(-Math.sin(radians), 9)
        expect(normal[1]).toBeCloseTo(-Math.cos(radians), 9)
        // Within the wall, from corner to corner.
        const along = at[0] * right[0] + at[1] * right[1]
        expect(along).toBeCloseTo(alongWallMm(room, window), 6)
        expect(Math.abs(along) + window.widthMm / 2).toBeLessThanOrEqual(
          wallWidthMm(room, wall) / 2 + 1e-6,
        )
      },
    ),
    { numRuns: runs(300) },
  )
})

test('a house and a sky turned together look the same: light at every spot, and the patch of sun', () => {
  // A dull sky has no side, so a house may be turned under it at any hour.
  const spots = PLANES.map((plane) => spotOf(`${plane}-back`))
  const at = (room: LitRoom): number[] =>
    roomLights(
      room,
      { latitudeDeg: 52, longitudeDeg: 0 },
      { utcMs: Date.UTC(2026, 5, 21, 9), sky: 'overcast', lampsOn: false },
      spots,
    ).map((light) => light!.illuminanceLux)
  const square = at(ROOM)
  at(turned(30)).forEach((lux, i) => expect(Math.abs(lux / square[i]! - 1)).toBeLessThan(0.01))
  const sun = { altitudeDeg: 30, azimuthDeg: 195 }
  const patch = sunPatch(ROOM, ROOM.windows[0]!, sun)!
  const room = turned(25)
  sunPatch(room, room.windows[0]!, { altitudeDeg: 30, azimuthDeg: 220 })!.forEach((point, i) =>
    point.forEach((v, k) => expect(v).toBeCloseTo(patch[i]![k]!, 6)),
  )
})

test('a turned house is lit at another hour: its south window looks east of south and has the morning’s sun', () => {
  const lux = (northDeg: number, hour: number): number =>
    roomLights(
      turned(northDeg),
      { latitudeDeg: 52, longitudeDeg: 0 },
      { utcMs: Date.UTC(2026, 2, 21, hour), sky: 'clear', lampsOn: false },
      ['walls'],
    )[0]!.illuminanceLux
  expect(lux(-40, 8)).toBeGreaterThan(1.2 * lux(0, 8))
  expect(lux(40, 8)).toBeLessThan(lux(0, 8))
  expect(lux(40, 16)).toBeGreaterThan(1.2 * lux(0, 16))
})
