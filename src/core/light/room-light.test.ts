import { appearanceOf, prepareLight, WHITE_CARD } from '../colour/appearance'
import { ucsDifference } from '../colour/cam16'
import { PLAIN_LAMP, PLAIN_WINDOW, type LitRoom } from './room'
import { roomLight } from './room-light'
import type { Sky } from './sky'

const NORTHERN = { latitudeDeg: 52, longitudeDeg: 0 }
const SOUTHERN = { latitudeDeg: -37, longitudeDeg: 145 }
const EQUINOX = '2026-09-22'

function room(...bearings: number[]): LitRoom {
  return {
    northSouthMm: 4500,
    eastWestMm: 4000,
    heightMm: 2600,
    windows: bearings.map((bearingDeg) => ({ ...PLAIN_WINDOW, bearingDeg, widthMm: 1600 })),
    lamps: [{ ...PLAIN_LAMP, cctK: 2700, lumens: 1600 }],
  }
}

/** Light at a solar hour, clear unless told otherwise. */
function at(bearings: number[], hour: number, place = NORTHERN, day = EQUINOX, sky: Sky = 'clear') {
  const utcMs = Date.parse(`${day}T00:00:00Z`) + (hour - place.longitudeDeg / 15) * 3_600_000
  return roomLight(room(...bearings), place, { utcMs, sky, lampsOn: false })!
}

// What the trade says of aspects, as colour temperatures in kelvin at the wall (common practice:
// north light 6,500–10,000 K, sunny rooms 4,500–6,000 K).
test.each([
  ['north is cool at noon', [0], 12, NORTHERN, 6500, 10_000],
  ['north is cool in the afternoon', [0], 16, NORTHERN, 6500, 10_000],
  ['south is warm at noon', [180], 12, NORTHERN, 5000, 6000],
  ['east is warm in the morning', [90], 7, NORTHERN, 4000, 5500],
  ['east is cool after noon', [90], 15, NORTHERN, 6500, 10_000],
  ['west is cool before noon', [270], 9, NORTHERN, 6500, 10_000],
  ['west is warm late', [270], 17, NORTHERN, 4000, 5500],
  ['below the equator south is the cool side', [180], 12, SOUTHERN, 6500, 10_000],
  ['and north the warm one', [0], 12, SOUTHERN, 5000, 6000],
  ['west stays warm late below the equator', [270], 17, SOUTHERN, 4000, 5500],
] as const)('%s', (_, bearings, hour, place, low, high) => {
  const { cctK } = at([...bearings], hour, place)
  expect(cctK).toBeGreaterThan(low)
  expect(cctK).toBeLessThan(high)
})

test('west is subdued before noon and bright late', () => {
  // Common practice.
  expect(at([270], 16).illuminanceLux).toBeGreaterThan(3 * at([270], 9).illuminanceLux)
  expect(at([270], 9).directSun).toBe(false)
  expect(at([270], 16).directSun).toBe(true)
})

test('a second side balances the first', () => {
  // Common practice: the swing over the day is smaller with windows on two sides.
  const swing = (bearings: number[]) => {
    const mired = [8, 10, 12, 14, 16].map((hour) => 1e6 / at(bearings, hour).cctK)
    return Math.max(...mired) - Math.min(...mired)
  }
  expect(swing([90, 270])).toBeLessThan(0.75 * swing([270]))
})

test('an overcast day is about 6,500 K in every room', () => {
  for (const bearing of [0, 90, 180, 270]) {
    const { cctK } = at([bearing], 12, NORTHERN, EQUINOX, 'overcast')
    expect(Math.abs(cctK - 6500)).toBeLessThan(50)
  }
})

test('the parts add up to the whole', () => {
  for (const hour of [7, 10, 13, 16]) {
    const { parts, illuminanceLux } = at([135, 270], hour)
    const sum = parts.sky + parts.sun + parts.ground + parts.bounce + parts.lamp
    expect(sum / illuminanceLux).toBeCloseTo(1, 6)
  }
})

test('night is dark without lamps and warm with them', () => {
  const utcMs = Date.parse('2026-12-21T23:00:00Z')
  expect(roomLight(room(180), NORTHERN, { utcMs, sky: 'clear', lampsOn: false })).toBeNull()
  const lit = roomLight(room(180), NORTHERN, { utcMs, sky: 'clear', lampsOn: true })!
  expect(Math.abs(lit.cctK - 2700)).toBeLessThan(10)
})

test('polar night and midnight sun are answered', () => {
  const north = { latitudeDeg: 78, longitudeDeg: 15 }
  expect(at([180], 12, north, '2026-12-21')).toBeNull()
  expect(at([0], 24, north, '2026-06-21').directSun).toBe(true)
})

test('no jump of the white card from one minute to the next, dawn to dusk', () => {
  // Model bound: under 1 unit of CAM16-UCS a minute, also where the sun crosses 4,000 K.
  const start = Date.parse('2026-06-21T00:00:00Z')
  let before: readonly [number, number, number] | null = null
  let worst = 0
  for (let minute = 14 * 60; minute < 21 * 60; minute++) {
    const light = roomLight(room(270), NORTHERN, {
      utcMs: start + minute * 60_000,
      sky: 'clear',
      lampsOn: false,
    })
    if (!light) break
    const card = appearanceOf(prepareLight(light.spectrum, light.illuminanceLux), WHITE_CARD).ucs
    if (before) worst = Math.max(worst, ucsDifference(card, before))
    before = card
  }
  expect(worst).toBeGreaterThan(0)
  expect(worst).toBeLessThan(1)
})
