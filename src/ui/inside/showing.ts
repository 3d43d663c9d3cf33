import type { InsideOption } from './inside-room'
import { utcMsAt } from '@/core/light/day-clock'
import { lateSunMinute, type LightChoice, type RoomDay } from '@/core/light/light-choice'
import type { RoomLight } from '@/core/light/room-light'
import type { ToShow } from '@/workers/room-client'

/** What the worker is asked of a light and the paints of each room: lamps as they burn, the late sun at its hour. */
export const showing = (
  { place, day }: RoomDay,
  { source, minute, sky, lampsOn }: LightChoice,
  light: RoomLight | null,
  options: readonly InsideOption[],
): Pick<ToShow, 'paints' | 'place' | 'moment'> => ({
  place,
  paints: options.map(({ id, paints }) => ({ id, paints })),
  moment: {
    utcMs: utcMsAt(day, source === 'west' ? lateSunMinute(place, day) : minute),
    sky: source === 'west' ? 'clear' : sky,
    lampsOn: source === 'lamps' || lampsOn || (light?.parts.lamp ?? 0) > 0,
    lampsAlone: source === 'lamps',
  },
})
