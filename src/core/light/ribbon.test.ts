import { lateSunMinute, lightOf, type RoomDay } from './light-choice'
import { reflectanceOfReading } from '../paint/reading'
import { flatReflectance, type Reflectance } from '../colour/spectrum'
import { daySentences } from './light-words'
import { PLAIN_SURFACES } from './room'
import { dayRibbon } from './ribbon'
import { utcMsAt } from './day-clock'
import { sunPosition } from './sun-position'
import { PLAIN_LAMP, PLAIN_WINDOW } from './room'
import { utcDay } from './utc-day.fixture'

const day = utcDay('2026-06-21')
const place = { latitudeDeg: 52, longitudeDeg: 0 }
const roomDay = (bearingDeg: number | null, lumens = 1600): RoomDay => ({
  place,
  day,
  room: {
    northSouthMm: 4500,
    eastWestMm: 4000,
    heightMm: 2600,
    windows: bearingDeg === null ? [] : [{ ...PLAIN_WINDOW, bearingDeg, widthMm: 1600 }],
    lamps: lumens > 0 ? [{ ...PLAIN_LAMP, cctK: 2700, lumens }] : [],
  },
})

const minuteOf = (bearing: number, name: string) =>
  dayRibbon(roomDay(bearing), 'clear').moments.find((moment) => moment.name === name)?.minute

test('a west room is warmest within two hours of sunset, an east room within two of dawn', () => {
  // Sunrise 03:43, sunset 20:21 UTC at 52° N on the solstice (astronomical tables, from memory).
  expect(minuteOf(270, 'warmest')).toBeGreaterThan(18 * 60)
  expect(minuteOf(270, 'warmest')).toBeLessThan(20.5 * 60)
  expect(minuteOf(90, 'warmest')).toBeGreaterThan(3.6 * 60)
  expect(minuteOf(90, 'warmest')).toBeLessThan(6 * 60)
})

test('sun enters a west room within the hour after noon, once it clears the reveal', () => {
  expect(minuteOf(270, 'sun in')).toBeGreaterThanOrEqual(12 * 60)
  expect(minuteOf(270, 'sun in')).toBeLessThan(13 * 60)
})

test('the late sun stands at eight degrees', () => {
  const altitude = sunPosition(place, utcMsAt(day, lateSunMinute(place, day))).altitudeDeg
  expect(altitude).toBeGreaterThanOrEqual(8)
  expect(altitude).toBeLessThan(9)
})

test('borrowed lights: north is cool, west is warm, lamps are the lamps', () => {
  const choice = { minute: 13 * 60, sky: 'clear', lampsOn: false, spot: 'walls' } as const
  expect(lightOf(roomDay(90), { ...choice, source: 'north' })!.cctK).toBeGreaterThan(6500)
  expect(lightOf(roomDay(90), { ...choice, source: 'west' })!.cctK).toBeLessThan(5200)
  expect(lightOf(roomDay(90), { ...choice, source: 'lamps' })!.cctK).toBeCloseTo(2700, -1)
  expect(lightOf(roomDay(90, 0), { ...choice, source: 'lamps' })).toBeNull()
})

test('after dark the lamps are lit, whatever the switch says', () => {
  const night = {
    source: 'room',
    minute: 1430,
    sky: 'clear',
    lampsOn: false,
    spot: 'walls',
  } as const
  expect(lightOf(roomDay(180), night)!.parts.lamp).toBeGreaterThan(0)
  expect(lightOf(roomDay(180, 0), night)).toBeNull()
})

test('the day in words names the hour of the warmest light and the sun', () => {
  const west = daySentences(roomDay(270), 'clear').join(' ')
  // A low sun stays as warm for minutes, not for hours; common practice.
  expect(west).toMatch(
    /warmest at (18|19|20):\d\d \(\d,\d00 K\) for (a few minutes|half an hour|an hour)\./,
  )
  const north = daySentences(roomDay(0), 'overcast').join(' ')
  expect(north).toMatch(/even through the day.*greys will look greyer.*under the lamps/)
  expect(west).toMatch(/Direct sun from 12:\d\d to 20:\d\d/)
  const cellar = daySentences(roomDay(null), 'clear').join(' ')
  expect(cellar).toMatch(/No window/)
})

test('what of the room moves its light is said, with what it would be otherwise; what does not, is not', () => {
  const floored = (floor: Reflectance) => {
    const day = roomDay(180)
    const room = { ...day.room, surfaces: { ...PLAIN_SURFACES, floor } }
    return daySentences({ ...day, room }, 'clear').join(' ')
  }
  // An oiled oak, as a reading of one has it: the sun’s patch on it lights the room.
  const oak = floored(reflectanceOfReading({ kind: 'lab', lab: [58, 12, 28] }))
  const said =
    /The floor warms this light: at \d\d:\d\d it is (\d),(\d00) K, where plain grey would leave (\d),(\d00) K\./.exec(
      oak,
    )!
  const [own, plain] = [1000 * +said[1]! + +said[2]!, 1000 * +said[3]! + +said[4]!]
  expect(plain - own).toBeGreaterThan(200)
  expect(floored(flatReflectance(0.3))).not.toMatch(/this light/)
  expect(floored(flatReflectance(0.32))).not.toMatch(/this light/)
  expect(daySentences(roomDay(180), 'clear').join(' ')).not.toMatch(/this light/)
})
