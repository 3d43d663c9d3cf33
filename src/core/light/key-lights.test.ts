import { keyLights } from './key-lights'
import type { RoomDay } from './light-choice'
import { PLAIN_LAMP, PLAIN_WINDOW } from './room'
import { utcDay } from './utc-day.fixture'

const roomDay = (bearings: readonly number[], lumens: number, date = '2026-09-17'): RoomDay => ({
  place: { latitudeDeg: 52, longitudeDeg: 0 },
  day: utcDay(date),
  room: {
    northSouthMm: 4500,
    eastWestMm: 4000,
    heightMm: 2500,
    windows: bearings.map((bearingDeg) => ({ ...PLAIN_WINDOW, bearingDeg, widthMm: 1500 })),
    lamps: lumens > 0 ? [{ ...PLAIN_LAMP, cctK: 2700, lumens }] : [],
  },
})
const names = (day: RoomDay) => keyLights(day).map(({ name }) => name)

test('a west room is remembered by midday, its low sun and its lamps', () => {
  const lights = keyLights(roomDay([270], 1600))
  expect(lights.map(({ name }) => name)).toEqual(['midday', 'sun', 'lamps'])
  // Sunset on 17 September at 52° north is about 18:10 UTC (astronomical tables, from memory).
  expect(lights[1]!.choice.minute).toBeGreaterThan(16.5 * 60)
  expect(lights[1]!.choice.minute).toBeLessThan(18.2 * 60)
  expect(lights[0]!.choice.minute).toBe(710)
})

test('a north room in autumn has no sun, a cellar has only its lamps, a bare cellar nothing', () => {
  expect(names(roomDay([0], 1600))).toEqual(['midday', 'lamps'])
  expect(names(roomDay([], 1600))).toEqual(['lamps'])
  expect(names(roomDay([], 0))).toEqual([])
})
