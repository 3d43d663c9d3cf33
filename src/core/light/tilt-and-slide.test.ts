import { plainRoomDay } from './plain-room-day.fixture'
import { appearanceOf, prepareLight, WHITE_CARD } from '../colour/appearance'
import { ucsDifference } from '../colour/cam16'
import { utcMsAt } from './day-clock'
import { lightOf } from './light-choice'
import type { SpotName } from './spot'
import { slideLights } from './tilt-and-slide'

const roomDay = plainRoomDay('2026-09-17', 270)

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
