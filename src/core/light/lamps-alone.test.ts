import { isLampsAlone } from './lamps-alone'
import type { RoomDay } from './light-choice'
import { PLAIN_LAMP, PLAIN_WINDOW } from './room'
import { utcDay } from './utc-day.fixture'

const room = (windows: number, lamps: number): RoomDay => ({
  place: { latitudeDeg: 52, longitudeDeg: 0 },
  day: utcDay('2026-12-21'),
  room: {
    northSouthMm: 4500,
    eastWestMm: 4000,
    heightMm: 2600,
    windows: Array.from({ length: windows }, () => ({ ...PLAIN_WINDOW, bearingDeg: 270 })),
    lamps: Array.from({ length: lamps }, () => PLAIN_LAMP),
  },
})
const at = (roomDay: RoomDay, minute: number): boolean =>
  isLampsAlone(roomDay, { source: 'lamps', minute, sky: 'clear', lampsOn: true, spot: 'walls' })

test('lamps are alone after dark and in a room without a window, never at eleven in the morning', () => {
  expect(at(room(1, 1), 11 * 60)).toBe(false)
  // The sun sets before four there on that day.
  expect(at(room(1, 1), 19 * 60 + 10)).toBe(true)
  expect(at(room(0, 1), 11 * 60)).toBe(true)
  expect(at(room(1, 0), 19 * 60 + 10)).toBe(false)
})
