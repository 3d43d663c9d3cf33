import { checkedDay, utcMsAt, type LocalDay } from './day-clock'
import { PLAIN_WINDOW, type LitRoom } from './room'
import { NO_PINS, pinned, pinsFrom, type MeterFigures, type Pins } from './meter'
import { roomLight, type RoomLight } from './room-light'
import type { Sky } from './sky'
import { spotOf, type SpotName } from './spot'
import { sunPosition, type Place } from './sun-position'

export const LIGHT_SOURCES = ['room', 'north', 'west', 'lamps'] as const
/**
 * Which light a pair is held up in: the room's own day; the even light of a window turned away from
 * the sun; the late sun through a west window; the room's lamps alone.
 */
export type LightSource = (typeof LIGHT_SOURCES)[number]

export interface LightChoice {
  readonly source: LightSource
  /** Minute of the day, for `room` and `north`. */
  readonly minute: number
  readonly sky: Sky
  readonly lampsOn: boolean
  /** Where in the room, for `room` and `lamps`. */
  readonly spot: SpotName
}

/** A meter reading as it was taken: where, when and under what sky. */
export interface MeterReading extends MeterFigures {
  readonly minute: number
  readonly sky: Sky
  readonly lampsOn: boolean
  readonly spot: SpotName
  /** The day it was taken on; without one, the day that is shown. */
  readonly day?: LocalDay | undefined
}

/** A room, where it stands and the day it is seen on. */
export interface RoomDay {
  readonly room: LitRoom
  readonly place: Place
  readonly day: LocalDay
  /** What a light meter said in it; the model is pinned to it. */
  readonly readings?: readonly MeterReading[]
}

// Low enough to be warm, high enough to clear the houses opposite.
const LATE_SUN_ALTITUDE_DEG = 8
// When daylight has gone lamps are lit, whatever the switch says: nobody judges in the dark.
export const LAMPS_LIT_BELOW_LUX = 5

/** Bearing of a window that gets no sun for most of the day: north, or south of the equator south. */
export const shadedBearingDeg = ({ latitudeDeg }: Place): number => (latitudeDeg >= 0 ? 0 : 180)

/**
 * The light of a choice at the walls of a room.
 *
 * @returns null when it is too dark to see a colour and the room has no lamp to light
 */
export function lightOf(roomDay: RoomDay, choice: LightChoice): RoomLight | null {
  const light = modelledLight(roomDay, choice)
  const pins = pinsOf(roomDay)
  return light && (choice.source === 'room' || choice.source === 'lamps')
    ? pinned(light, pins)
    : light
}

const knownPins = new WeakMap<RoomDay, Pins>()

/** The correction a room's own meter readings ask for, worked out once a room and day. */
export function pinsOf(roomDay: RoomDay): Pins {
  if (!roomDay.readings?.length) return NO_PINS
  const before = knownPins.get(roomDay)
  if (before) return before
  const pins = pinsFrom(
    roomDay.readings.flatMap((reading) => {
      const day = reading.day ?? roomDay.day
      const model = modelledLight({ ...roomDay, day }, { source: 'room', ...reading })
      return model ? [{ figures: reading, model }] : []
    }),
  )
  knownPins.set(roomDay, pins)
  return pins
}

/** The light of a choice before any meter reading corrects it. */
export function modelledLight(
  { room, place, day }: RoomDay,
  choice: LightChoice,
): RoomLight | null {
  const spot = spotOf(choice.spot)
  switch (choice.source) {
    case 'room': {
      const utcMs = utcMsAt(day, choice.minute)
      const asSet = roomLight(
        room,
        place,
        { utcMs, sky: choice.sky, lampsOn: choice.lampsOn },
        spot,
      )
      if (choice.lampsOn || (asSet && asSet.illuminanceLux >= LAMPS_LIT_BELOW_LUX)) return asSet
      return roomLight(room, place, { utcMs, sky: choice.sky, lampsOn: true }, spot)
    }
    case 'north':
      return roomLight(facing(room, shadedBearingDeg(place)), place, {
        utcMs: utcMsAt(day, brightEnoughMinute(place, day, choice.minute)),
        sky: choice.sky,
        lampsOn: false,
      })
    case 'west':
      return roomLight(facing(room, 270), place, {
        utcMs: utcMsAt(day, lateSunMinute(place, day)),
        sky: 'clear',
        lampsOn: false,
      })
    case 'lamps':
      return roomLight(
        room,
        place,
        { utcMs: utcMsAt(day, 0), sky: 'clear', lampsOn: true, lampsAlone: true },
        spot,
      )
  }
}

/** The last minute of the day with the sun at 8°, or its highest minute where it stays lower. */
export function lateSunMinute(place: Place, day: LocalDay): number {
  checkedDay(day)
  const altitude = (minute: number): number => sunPosition(place, utcMsAt(day, minute)).altitudeDeg
  const highest = solarNoonMinute(place, day)
  if (altitude(highest) < LATE_SUN_ALTITUDE_DEG) return highest
  let late = highest
  while (late < day.lengthMinutes - 5 && altitude(late + 5) >= LATE_SUN_ALTITUDE_DEG) late += 5
  return late
}

/** The chosen minute by day; at night the day's highest sun instead. */
function brightEnoughMinute(place: Place, day: LocalDay, minute: number): number {
  if (sunPosition(place, utcMsAt(day, minute)).altitudeDeg > 0) return minute
  return solarNoonMinute(place, day)
}

/** The minute of the day when the sun stands highest, to ten minutes. */
export function solarNoonMinute(place: Place, day: LocalDay): number {
  checkedDay(day)
  let best = 0
  let highest = -91
  for (let minute = 0; minute < day.lengthMinutes; minute += 10) {
    const { altitudeDeg } = sunPosition(place, utcMsAt(day, minute))
    if (altitudeDeg > highest) [best, highest] = [minute, altitudeDeg]
  }
  return best
}

/** The same room with all its glass turned one way; a plain window where it has none. */
function facing(room: LitRoom, bearingDeg: number): LitRoom {
  const windows = room.windows.length > 0 ? room.windows : [{ ...PLAIN_WINDOW, bearingDeg }]
  return { ...room, windows: windows.map((window) => ({ ...window, bearingDeg })) }
}
