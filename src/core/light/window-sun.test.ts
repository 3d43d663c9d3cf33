import { PLAIN_WINDOW, type RoomWindow } from './room'
import { luxOf } from './sky-vault'
import { OUTSIDE, type Outside } from './surface-colours'
import {
  addReflected,
  cosineOn,
  emptyLightSum,
  entersRoom,
  groundReceives,
  oppositeReceives,
  outdoors,
  spectrumOf,
  viewOf,
  windowLight,
} from './window-light'

const RAD = Math.PI / 180
const SOUTH = 180

const out = (altitudeDeg: number, azimuthDeg = SOUTH) =>
  outdoors('clear', { altitudeDeg, azimuthDeg })
const window = (change: Partial<RoomWindow> = {}): RoomWindow => ({
  ...PLAIN_WINDOW,
  bearingDeg: SOUTH,
  heightMm: 1000,
  ...change,
})
/** Share of the sun on its open glass that a window gets. */
const sunShare = (altitudeDeg: number, change: Partial<RoomWindow>, azimuthDeg = SOUTH): number => {
  const sky = out(altitudeDeg, azimuthDeg)
  const [shaded, open] = [window(change), window({ pitchDeg: change.pitchDeg ?? 90 })]
  return windowLight(sky, shaded).sunLux / windowLight(sky, open).sunLux
}
/** What a window gets by way of something outside. */
const by = (which: Outside, altitudeDeg: number, change: Partial<RoomWindow>) => {
  const at = OUTSIDE.indexOf(which)
  const { diffuse } = windowLight(out(altitudeDeg), window(change))
  return { skyLux: luxOf(diffuse.sky[at]!), sunLux: diffuse.sun[at]! }
}

test('on open glass the sun is its beam by the cosine of incidence', () => {
  for (const [altitude, azimuth] of [
    [30, 180],
    [30, 240],
    [60, 180],
    [1.5, 180],
  ] as const) {
    const sky = out(altitude, azimuth)
    const cosine = Math.cos(altitude * RAD) * Math.cos((azimuth - SOUTH) * RAD)
    expect(windowLight(sky, window()).sunLux).toBeCloseTo(sky.directNormalLux * cosine, 6)
    const flat = windowLight(sky, window({ pitchDeg: 0 })).sunLux
    expect(flat).toBeCloseTo(sky.directNormalLux * Math.sin(altitude * RAD), 6)
  }
  expect(windowLight(out(30, 0), window()).sunLux).toBe(0)
  expect(cosineOn({ altitudeDeg: -1, azimuthDeg: SOUTH }, SOUTH, 90)).toBe(0)
})

// The shadow of an overhang falls by its depth times the tangent of the profile angle (shadow-line method of the ASHRAE
// Handbook, Fundamentals; the formula from memory).
test('an overhang shades the glass from the top by its depth times the tangent of the profile angle', () => {
  expect(sunShare(45, { overhangMm: 400 })).toBeCloseTo(0.6, 9)
  expect(sunShare(30, { overhangMm: 400 })).toBeCloseTo(1 - 0.4 * Math.tan(30 * RAD), 9)
  expect(sunShare(60, { overhangMm: 700 })).toBe(0)
  // Across the wall the profile angle is steeper than the sun is high.
  const profile = Math.atan(Math.tan(30 * RAD) / Math.cos(50 * RAD))
  expect(sunShare(30, { overhangMm: 400 }, 230)).toBeCloseTo(1 - 0.4 * Math.tan(profile), 9)
  // A roof window sees past the zenith; what hangs over it is between it and a sun from there.
  expect(sunShare(80, { overhangMm: 400, pitchDeg: 20 }, 0)).toBe(0)
})

test('a front twelve metres off uncovers the glass as the sun climbs over its edge, half of it at the edge itself', () => {
  const front = { opposite: 'brick', oppositeDeg: 20 } as const
  // Its top stands 12 tan 20° over the middle of the glass: the rays past it to the upper and the lower edge of the glass.
  const edge = 12 * Math.tan(20 * RAD)
  const [first, last] = [edge - 0.5, edge + 0.5].map((high) => Math.atan(high / 12) / RAD)
  expect(sunShare(20, front)).toBeCloseTo(0.5, 9)
  expect(sunShare(first! - 0.4, front)).toBe(0)
  expect(sunShare(last! + 0.4, front)).toBe(1)
  for (const [at, share] of [
    [first!, 0],
    [last!, 1],
    [(first! + 20) / 2, 0.25],
    [(last! + 20) / 2, 0.75],
  ] as const)
    // The sun's own half degree softens both ends.
    expect(Math.abs(sunShare(at, front) - share)).toBeLessThan(0.07)
  // Wider than the glass alone would make it.
  expect(sunShare(first!, front)).toBeGreaterThan(0.03)
  expect(sunShare(last!, front)).toBeLessThan(0.97)
  expect(sunShare(4, { opposite: 'sky', oppositeDeg: 20 })).toBe(1)
})

test('direct sun enters where more than half of it comes through and no flatter than 80°', () => {
  const enters = (altitudeDeg: number, azimuthDeg: number, lux = 1e9) =>
    entersRoom(out(altitudeDeg, azimuthDeg), window(), lux)
  expect([enters(30, 180), enters(20, 255), enters(20, 262)]).toEqual([true, true, false])
  const beam = out(30).directNormalLux * Math.cos(30 * RAD)
  expect([0.49, 0.51].map((share) => enters(30, 180, share * beam))).toEqual([false, true])
})

test('what hides the sky from a window is said in angles', () => {
  expect(viewOf(window({ overhangMm: 1000 })).hiddenAboveDeg).toBeCloseTo(Math.atan(0.5) / RAD, 9)
  expect(viewOf(window({ opposite: 'brick', oppositeDeg: 25 }))).toEqual({
    hiddenBelowDeg: 25,
    hiddenAboveDeg: 90,
  })
  expect(viewOf(window({ opposite: 'sky', oppositeDeg: 25 })).hiddenBelowDeg).toBe(0)
})

test('the ground fills half of an upright window’s view, none of one that lies flat', () => {
  const sky = out(40)
  const ground = groundReceives(sky, SOUTH)
  const upright = by(PLAIN_WINDOW.ground, 40, {})
  expect(upright.skyLux).toBeCloseTo(luxOf(ground.sky) / 2, 6)
  expect(upright.sunLux).toBeCloseTo(ground.sunLux / 2, 6)
  expect(by(PLAIN_WINDOW.ground, 40, { pitchDeg: 0 })).toEqual({ skyLux: 0, sunLux: 0 })
})

test('with the sun behind the house the ground lies in the shadow of two storeys, as far as that reaches', () => {
  // Six metres high; the window looks down from two: of what it sees the part beyond the shadow is sunlit.
  const sunlit = (shadowM: number) => 2 / Math.hypot(2, shadowM)
  for (const [altitude, azimuth, shadowM] of [
    [45, 180, 6],
    [45, 225, 6 * Math.SQRT1_2],
    [30, 180, 6 / Math.tan(30 * RAD)],
    [45, 0, 0],
    // Longer than three hundred metres no shadow is.
    [0.5, 180, 300],
  ] as const) {
    const sky = out(altitude, azimuth)
    const open = sky.directNormalLux * Math.sin(altitude * RAD)
    expect(groundReceives(sky, 0).sunLux).toBeCloseTo(open * sunlit(shadowM), 6)
  }
  expect(groundReceives(out(45, 135), 300).sunLux).toBeCloseTo(
    out(45, 135).directNormalLux * Math.SQRT1_2 * sunlit(6 * Math.cos(15 * RAD)),
    6,
  )
})

test('sunlight alone is a spectrum too', () => {
  const sum = emptyLightSum()
  const { sunlight } = out(30)
  addReflected(sum, 'sky', { sky: [0, 0, 0], sunLux: 100 }, 0.5)
  const spectrum = spectrumOf(sum, sunlight)
  for (const i of [10, 40, 70]) expect(spectrum[i]).toBeCloseTo(50 * sunlight[i]!, 9)
})

test('a front is lit from where the window looks, and fills the view up to its height', () => {
  const sky = out(30)
  // It looks back at a north window from the north: its face is the sun's.
  expect(oppositeReceives(sky, 0).sunLux).toBeCloseTo(sky.directNormalLux * Math.cos(30 * RAD), 6)
  expect(oppositeReceives(sky, SOUTH).sunLux).toBe(0)
  const north = { bearingDeg: 0, opposite: 'brick', oppositeDeg: 30 } as const
  const received = oppositeReceives(sky, 0)
  // View factor of a long front from the horizon to h on an upright plane: sin h / 2 (Hottel's crossed strings).
  const upright = by('brick', 30, north)
  expect(upright.sunLux).toBeCloseTo(received.sunLux * 0.25, 6)
  expect(upright.skyLux).toBeCloseTo(luxOf(received.sky) * 0.25, 6)
  // A plane of 45° that looks up loses what its own slope hides: (sin 75° − sin 45°) / 2.
  expect(by('brick', 30, { ...north, pitchDeg: 45 }).sunLux).toBeCloseTo(
    (received.sunLux * (Math.sin(75 * RAD) - Math.SQRT1_2)) / 2,
    6,
  )
})

test('what is no number is refused by name', () => {
  const sum = emptyLightSum()
  const nothing = { sky: [0, 0, 0], sunLux: 0 } as const
  expect(() => addReflected(sum, 'sky', nothing, Number.NaN)).toThrow(/what is received/)
  expect(() => oppositeReceives(out(30), Number.NaN)).toThrow(/a bearing/)
  const dark = { ...out(30), directNormalLux: Number.NaN }
  expect(() => oppositeReceives(dark, 0)).toThrow(/directNormalLux/)
  expect(() => windowLight(dark, window())).toThrow(/directNormalLux/)
  expect(() => groundReceives(dark, 0)).toThrow(/angles and light outdoors/)
  expect(() => cosineOn({ altitudeDeg: 3, azimuthDeg: 0 }, Number.NaN, 90)).toThrow(/angles/)
  expect([...spectrumOf(sum, out(30).sunlight)].every((power) => power === 0)).toBe(true)
})
