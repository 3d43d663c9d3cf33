import type { RoomDay } from './light-choice'
import { PLAIN_LAMP, PLAIN_WINDOW } from './room'
import { utcDay } from './utc-day.fixture'

/** An invented room of a usual size in the middle of England, with one window and a lamp, on a day. */
export const plainRoomDay = (date: string, bearingDeg: number): RoomDay => ({
  place: { latitudeDeg: 52, longitudeDeg: 0 },
  day: utcDay(date),
  room: {
    northSouthMm: 4500,
    eastWestMm: 4000,
    heightMm: 2600,
    windows: [{ ...PLAIN_WINDOW, bearingDeg }],
    lamps: [PLAIN_LAMP],
  },
})
