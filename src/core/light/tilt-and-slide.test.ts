import { appearanceOf, prepareLight, WHITE_CARD } from '../colour/appearance'
import { ucsDifference } from '../colour/cam16'
import { utcMsAt } from './day-clock'
import { lightOf, type RoomDay } from './light-choice'
import { PLAIN_LAMP, PLAIN_WINDOW } from './room'
import type { SpotName } from './spot'
import { slideLights } from './tilt-and-slide'
import { utcDay } from './utc-day.fixture'

const roomDay: RoomDay = {
  place: { latitudeDeg: 52, longitudeDeg: 0 },
  day: utcDay('2026-09-17'),
  room: {
    northSouthMm: 4500,
    eastWestMm: 4000,
    heightMm: 2600,
    windows: [{ ...PLAIN_WINDOW, bearingDeg: 270 }],
    lamps: [PLAIN_LAMP],
  },
}

// What is carried through the room is drawn as the bench draws it at the same place and hour: ΔE under 1.
test.each([9 * 60, 13 * 60, 19 * 60 + 30])(
  'at %d minutes both ends of the way are the bench’s own light there',
  (minute) => {
    const { room, place, day } = roomDay
    const moment = { utcMs: utcMsAt(day, minute), sky: 'clear', lampsOn: true } as const
    const way = slideLights(room, place, moment, 9)
    for (const [i, spot] of [
      [0, 'tilted-window'],
      [8, 'tilted-lamp'],
    ] as const satisfies readonly (readonly [number, SpotName])[]) {
      const bench = lightOf(roomDay, { source: 'room', sky: 'clear', lampsOn: true, minute, spot })!
      const ucs = [way[i]!, bench].map(
        ({ spectrum, illuminanceLux }) =>
          appearanceOf(prepareLight(spectrum, illuminanceLux), WHITE_CARD).ucs,
      )
      expect(ucsDifference(ucs[0]!, ucs[1]!)).toBeLessThan(1)
    }
  },
)
