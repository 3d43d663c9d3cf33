import fc from 'fast-check'
import { runs } from '../runs.fixture'
import { appearanceOf, prepareLight, WHITE_CARD } from '../colour/appearance'
import { ucsDifference } from '../colour/cam16'
import { seededRandom } from '../seeded-random'
import {
  surfaceAreaM2,
  PLAIN_LAMP,
  PLAIN_WINDOW,
  windowAreaM2,
  windowTransmittance,
  type LitRoom,
  type RoomWindow,
} from './room'
import { roomLight, roomLights, type LightMoment } from './room-light'
import { luxOf, openWall, skyVault, type SkyOpening } from './sky-vault'
import { DEPTHS, PLANES, placeSpot, spotOf, type PlacedSpot, type Vector } from './spot'
import { sunPatch } from './sun-patch'
import { slideLights } from './tilt-and-slide'

const PLACE = { latitudeDeg: 52, longitudeDeg: 0 }
const NOON: LightMoment = {
  utcMs: Date.parse('2026-09-22T12:00:00Z'),
  sky: 'overcast',
  lampsOn: false,
}
const CLEAR: LightMoment = { ...NOON, sky: 'clear' }

const room = (...windows: (Partial<RoomWindow> & Pick<RoomWindow, 'bearingDeg'>)[]): LitRoom => ({
  northSouthMm: 5000,
  eastWestMm: 4000,
  heightMm: 2600,
  windows: windows.map((window) => ({ ...PLAIN_WINDOW, ...window })),
  lamps: [PLAIN_LAMP],
})

// CIE overcast sky (Moon and Spencer 1942): L(γ) = L_z (1 + 2 sin γ) / 3. On an upright plane above an obstruction of
// height γ₀ along its whole width the sky's share is worked out by numbers in the loop below, from that formula alone.
function moonSpencerWallShare(hiddenBelowDeg: number): number {
  let [wall, ground] = [0, 0]
  const step = Math.PI / 240
  for (let altitude = step / 2; altitude < Math.PI / 2; altitude += step)
    for (let azimuth = -Math.PI + step / 2; azimuth < Math.PI; azimuth += step) {
      const luminance = (1 + 2 * Math.sin(altitude)) * Math.cos(altitude)
      ground += luminance * Math.sin(altitude)
      const ahead = Math.cos(altitude) * Math.cos(azimuth)
      const profile = (Math.atan2(Math.tan(altitude), Math.cos(azimuth)) * 180) / Math.PI
      if (ahead > 0 && profile > hiddenBelowDeg) wall += luminance * ahead
    }
  return wall / ground
}

test.each([0, 20, 40, 60])(
  'an obstruction of %i° hides of the overcast sky what Moon and Spencer say',
  (deg) => {
    const vault = skyVault('overcast', { altitudeDeg: 40, azimuthDeg: 180 })
    const opening: SkyOpening = { ...openWall(90), hiddenBelowDeg: deg }
    const share = luxOf(vault.on(opening)) / luxOf(vault.horizontal)
    expect(Math.abs(share - moonSpencerWallShare(deg))).toBeLessThan(0.025)
  },
)

test('a roof window lying flat sees the whole vault', () => {
  const vault = skyVault('clear', { altitudeDeg: 40, azimuthDeg: 150 })
  const flat = vault.on({ ...openWall(0), pitchDeg: 0 })
  expect(luxOf(flat) / luxOf(vault.horizontal)).toBeCloseTo(1, 9)
})

test('a window with open sky before it takes in what BS 8206-2 counts on', () => {
  // T · A_w · θ / (A · (1 − R²)) with θ = 90° stands for 45 % of the light outdoors on the glass (Crisp and Littlefair 1984).
  const lit = room({ bearingDeg: 180, widthMm: 1800, heightMm: 1500 })
  const light = roomLight(lit, PLACE, NOON)!
  const came = (light.parts.sky + light.parts.ground) * surfaceAreaM2(lit)
  const outdoors = 300 + 21_000 * Math.sin((light.sun.altitudeDeg * Math.PI) / 180)
  const glass = windowTransmittance(lit.windows[0]!) * windowAreaM2(lit.windows[0]!)
  expect(Math.abs((100 * came) / (glass * outdoors) - 45)).toBeLessThan(1)
})

test('of the overcast sky the working plane gets what a count of rays says', () => {
  // Monte Carlo over the glass and the Moon and Spencer sky, 0.75 m above the floor: a method that shares nothing
  // with the panes and form factors of the model.
  const lit = room({ bearingDeg: 180, widthMm: 1800, heightMm: 1500 })
  const random = seededRandom(11)
  let [all, landed] = [0, 0]
  for (let ray = 0; ray < 200_000; ray++) {
    const [across, height] = [1800 * (random() - 0.5), 900 + 1500 * random()]
    const sine = random()
    const azimuth = Math.PI * (random() - 0.5)
    const level = Math.sqrt(1 - sine * sine)
    const weight = (1 + 2 * sine) * level * Math.cos(azimuth)
    const reach = (height - 750) / sine
    const sideways = across + reach * level * Math.sin(azimuth)
    all += weight
    if (Math.abs(sideways) < 2000 && reach * level * Math.cos(azimuth) < 5000) landed += weight
  }
  const grid: PlacedSpot[] = []
  for (let east = -1875; east < 2000; east += 250)
    for (let north = -2375; north < 2500; north += 250)
      grid.push({ at: [east, north, 750], normal: [0, 0, 1] })
  const lights = roomLights(lit, PLACE, NOON, grid)
  const onPlane = lights.reduce((sum, light) => sum + light!.parts.sky, 0) / grid.length
  const whole = roomLight(lit, PLACE, NOON)!
  const share = (onPlane * 20) / (whole.parts.sky * surfaceAreaM2(lit))
  expect(Math.abs(share / (landed / all) - 1)).toBeLessThan(0.08)
})

test('what a window sends is what the surfaces get: direct light over all six sides is what came in', () => {
  // Form factors of a closed room sum to one (energy). Black but for what is direct: bounce taken off.
  const lit = room({ bearingDeg: 90, widthMm: 1400, heightMm: 1200 })
  const [x, y, z] = [2000, 2500, 2600]
  const sides: [Vector, number, (s: number, t: number) => Vector][] = [
    [[0, 0, 1], 4 * x * y, (s, t) => [s * x, t * y, 5]],
    [[0, 0, -1], 4 * x * y, (s, t) => [s * x, t * y, z - 5]],
    [[0, -1, 0], 2 * x * z, (s, t) => [s * x, y - 5, ((t + 1) * z) / 2]],
    [[0, 1, 0], 2 * x * z, (s, t) => [s * x, -y + 5, ((t + 1) * z) / 2]],
    [[1, 0, 0], 2 * y * z, (s, t) => [-x + 5, s * y, ((t + 1) * z) / 2]],
  ]
  const cells = [-0.9, -0.7, -0.5, -0.3, -0.1, 0.1, 0.3, 0.5, 0.7, 0.9]
  let lumens = 0
  for (const [normal, areaMm2, at] of sides) {
    const spots = cells.flatMap((s) => cells.map((t): PlacedSpot => ({ at: at(s, t), normal })))
    const direct = roomLights(lit, PLACE, NOON, spots).map(
      (light) => light!.parts.sky + light!.parts.ground,
    )
    lumens += (direct.reduce((sum, lux) => sum + lux, 0) / spots.length) * (areaMm2 / 1e6)
  }
  const walls = roomLight(lit, PLACE, NOON)!
  const came = (walls.parts.sky + walls.parts.ground) * surfaceAreaM2(lit)
  expect(lumens / came).toBeGreaterThan(0.85)
  expect(lumens / came).toBeLessThan(1.15)
})

test('no more light is taken up than came in, whatever the room (property)', () => {
  const window = fc.record({
    bearingDeg: fc.integer({ min: 0, max: 359 }),
    widthMm: fc.integer({ min: 300, max: 3000 }),
    heightMm: fc.integer({ min: 300, max: 2000 }),
    pitchDeg: fc.constantFrom(90, 90, 45, 0),
    glazing: fc.constantFrom('single', 'triple', 'tinted'),
    curtain: fc.constantFrom('none', 'sheer', 'slats'),
    opposite: fc.constantFrom('sky', 'brick', 'trees'),
    oppositeDeg: fc.integer({ min: 0, max: 60 }),
    overhangMm: fc.integer({ min: 0, max: 2000 }),
    ground: fc.constantFrom('paving', 'grass', 'snow'),
  })
  fc.assert(
    fc.property(
      fc.array(window, { minLength: 1, maxLength: 3 }),
      fc.integer({ min: 5, max: 20 }),
      fc.constantFrom('clear', 'partly', 'overcast'),
      (windows, hour, sky) => {
        const lit = room(...(windows as RoomWindow[]))
        const moment = {
          utcMs: Date.parse('2026-06-21T00:00:00Z') + hour * 3_600_000,
          sky,
          lampsOn: false,
        } as LightMoment
        const light = roomLight(lit, PLACE, moment)
        if (!light) return
        const { sky: seen, sun, ground, bounce, lamp } = light.parts
        expect((seen + sun + ground + bounce + lamp) / light.illuminanceLux).toBeCloseTo(1, 4)
        expect(Math.min(seen, sun, ground, bounce)).toBeGreaterThanOrEqual(0)
        // Mean reflectance of the plain surfaces is under 0.6, so each lumen that came in shows at most 2.5 times.
        const glass = lit.windows.reduce(
          (sum, w) => sum + windowTransmittance(w) * windowAreaM2(w),
          0,
        )
        const brightest = 250_000 * glass
        expect(light.illuminanceLux * surfaceAreaM2(lit)).toBeLessThan(2.5 * brightest)
        expect(bounce).toBeLessThan(1.5 * (seen + ground) + 2.5 * sun + 1e-6)
      },
    ),
    { numRuns: runs(60) },
  )
})

test('brick opposite warms a north room, trees green it, an overhang and a sheer curtain dim it', () => {
  const at = (window: Partial<RoomWindow>) =>
    roomLight(room({ bearingDeg: 0, ...window }), PLACE, CLEAR)!
  const open = at({})
  const brick = at({ opposite: 'brick', oppositeDeg: 40 })
  const trees = at({ opposite: 'trees', oppositeDeg: 40 })
  expect(brick.cctK).toBeLessThan(open.cctK - 800)
  // Green lies above the locus: Duv rises.
  expect(trees.duv).toBeGreaterThan(open.duv)
  expect(trees.illuminanceLux).toBeLessThan(open.illuminanceLux)
  expect(at({ overhangMm: 1500 }).illuminanceLux).toBeLessThan(0.8 * open.illuminanceLux)
  expect(at({ curtain: 'sheer' }).illuminanceLux).toBeLessThan(0.7 * open.illuminanceLux)
})

test('by the window it is brighter than at the back, and a tilted sample sees more of the window than one on its wall', () => {
  const lit = room({ bearingDeg: 180 })
  const at = (plane: (typeof PLANES)[number], depth: (typeof DEPTHS)[number]) =>
    roomLight(lit, PLACE, NOON, { plane, depth })!.illuminanceLux
  expect(at('flat', 'window')).toBeGreaterThan(3 * at('flat', 'middle'))
  expect(at('flat', 'middle')).toBeGreaterThan(1.5 * at('flat', 'back'))
  expect(at('tilted', 'middle')).toBeGreaterThan(at('south', 'middle'))
  expect(at('east', 'window')).toBeCloseTo(at('west', 'window'), 0)
})

test('every spot lies in its room and faces into it', () => {
  for (const lit of [
    room({ bearingDeg: 200 }),
    room({ bearingDeg: 80 }, { bearingDeg: 270 }),
    room(),
  ])
    for (const plane of PLANES)
      for (const depth of DEPTHS) {
        const { at, normal } = placeSpot(lit, { plane, depth })
        expect(Math.abs(at[0])).toBeLessThan(lit.eastWestMm / 2)
        expect(Math.abs(at[1])).toBeLessThan(lit.northSouthMm / 2)
        expect(at[2]).toBeGreaterThan(0)
        expect(at[2]).toBeLessThan(lit.heightMm)
        expect(Math.hypot(...normal)).toBeCloseTo(1, 9)
      }
})

test('the sun’s patch lies where the sun throws it, and in the room', () => {
  const lit = room({ bearingDeg: 180, sillMm: 800 })
  // Sun due south at 45°: the light goes as far in as the glass is high.
  const patch = sunPatch(lit, lit.windows[0]!, { altitudeDeg: 45, azimuthDeg: 180 })!
  const norths = patch.map(([, north]) => north)
  expect(Math.min(...norths)).toBeCloseTo(-2500 + 800, 0)
  expect(Math.max(...norths)).toBeCloseTo(-2500 + 800 + 1400, 0)
  // Low and slanting it is cut by the wall.
  const slanting = sunPatch(lit, lit.windows[0]!, { altitudeDeg: 15, azimuthDeg: 225 })!
  for (const [east, north] of slanting) {
    expect(Math.abs(east)).toBeLessThanOrEqual(2000.001)
    expect(Math.abs(north)).toBeLessThanOrEqual(2500.001)
  }
  expect(sunPatch(lit, lit.windows[0]!, { altitudeDeg: 30, azimuthDeg: 0 })).toBeNull()
})

test('carried from the window to the lamp of an evening the light turns warm without a step', () => {
  const lit = room({ bearingDeg: 0 })
  const evening = {
    utcMs: Date.parse('2026-09-22T17:30:00Z'),
    sky: 'clear',
    lampsOn: true,
  } as const
  const lights = slideLights(lit, PLACE, evening, 40).map((light) => light!)
  expect(lights[0]!.cctK).toBeGreaterThan(lights.at(-1)!.cctK + 1000)
  const mired = lights.map(({ cctK }) => 1e6 / cctK)
  for (let i = 1; i < mired.length; i++)
    expect(Math.abs(mired[i]! - mired[i - 1]!)).toBeLessThan(25)
})

const SPOTS = [
  'walls',
  'tilted-window',
  'flat-middle',
  'north-window',
  'east-back',
  'west-middle',
] as const

test('from one minute to the next no spot’s white card jumps by a unit (CAM16-UCS)', () => {
  // Model bound. West and east windows on a solstice: the sun comes in, crosses 4,000 K and goes at both ends of the day.
  const lit = room(
    { bearingDeg: 270 },
    { bearingDeg: 90, overhangMm: 600, opposite: 'brick', oppositeDeg: 25 },
  )
  const start = Date.parse('2026-06-21T00:00:00Z')
  const worst = new Map<string, number>()
  for (const [from, to] of [
    [3.5, 6],
    [12, 13],
    [18.5, 20.5],
  ] as const) {
    const before: (readonly [number, number, number] | null)[] = SPOTS.map(() => null)
    for (let minute = from * 60; minute < to * 60; minute++) {
      const moment: LightMoment = { utcMs: start + minute * 60_000, sky: 'clear', lampsOn: false }
      roomLights(lit, PLACE, moment, SPOTS.map(spotOf)).forEach((light, i) => {
        const card =
          light && appearanceOf(prepareLight(light.spectrum, light.illuminanceLux), WHITE_CARD).ucs
        const last = before[i]
        if (card && last)
          worst.set(SPOTS[i]!, Math.max(worst.get(SPOTS[i]!) ?? 0, ucsDifference(card, last)))
        before[i] = card
      })
    }
  }
  expect(worst.size).toBe(SPOTS.length)
  expect([...worst].filter(([, units]) => !(units < 1))).toEqual([])
  expect(Math.max(...worst.values())).toBeGreaterThan(0.05)
})
