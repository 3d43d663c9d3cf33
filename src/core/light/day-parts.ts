import { prepareLight, type PreparedLight } from '../colour/appearance'
import { clockTime, minuteAtClockTime } from './day-clock'
import { lightOf, solarNoonMinute, type LightChoice, type RoomDay } from './light-choice'
import { ALL_WALLS } from './spot'

/** A part of the day as people who live in a room know it. */
export interface DayPart {
  /** "in the morning, 09:00", "at midday, 12:10", "of an evening, under lamps". */
  readonly name: string
  readonly isMidday: boolean
  readonly prepared: PreparedLight
}

const MORNING = '09:00'
const EVENING = '19:00'

/** Morning, midday and evening of a clear day in a room, as far as anything is seen then. */
export function dayParts(roomDay: RoomDay): DayPart[] {
  const { room, place, day } = roomDay
  const plain = { source: 'room', sky: 'clear', lampsOn: false, spot: ALL_WALLS } as const
  const at = (clock: string, otherwise: number): number =>
    minuteAtClockTime(day, clock) ?? otherwise
  const noon = solarNoonMinute(place, day)
  const parts: (readonly [string, LightChoice])[] = []
  if (room.windows.length > 0) {
    const morning = at(MORNING, 540)
    parts.push(
      [`in the morning, ${clockTime(day, morning)}`, { ...plain, minute: morning }],
      [`at midday, ${clockTime(day, noon)}`, { ...plain, minute: noon }],
    )
  }
  const evening = at(EVENING, 1140)
  if (room.lamps.length > 0)
    parts.push([
      'of an evening, under lamps',
      { ...plain, source: 'lamps', lampsOn: true, minute: evening },
    ])
  else if (room.windows.length > 0)
    parts.push([`of an evening, ${clockTime(day, evening)}`, { ...plain, minute: evening }])
  return parts.flatMap(([name, choice]) => {
    const light = lightOf(roomDay, choice)
    return light
      ? [
          {
            name,
            isMidday: choice.source === 'room' && choice.minute === noon,
            prepared: prepareLight(light.spectrum, light.illuminanceLux),
          },
        ]
      : []
  })
}
