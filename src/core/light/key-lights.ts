import { lightOf, solarNoonMinute, type LightChoice, type RoomDay } from './light-choice'
import { dayRibbon } from './ribbon'
import { prepareLight, type PreparedLight } from '../colour/appearance'

/** A light that a room is remembered by. */
export interface KeyLight {
  readonly name: 'midday' | 'sun' | 'lamps'
  readonly choice: LightChoice
  readonly prepared: PreparedLight
}

/** Midday, the warmest direct sun of a clear day, and the lamps; of these, the ones the room has. */
export function keyLights(roomDay: RoomDay): KeyLight[] {
  const { room, place, day } = roomDay
  const byDay = { source: 'room', sky: 'clear', lampsOn: false, spot: 'walls' } as const
  const choices: Pick<KeyLight, 'name' | 'choice'>[] = []
  if (room.windows.length > 0) {
    choices.push({ name: 'midday', choice: { ...byDay, minute: solarNoonMinute(place, day) } })
    const sunny = dayRibbon(roomDay, 'clear').steps.filter((step) => step.directSun)
    if (sunny.length > 0) {
      const { minute } = sunny.reduce((p, q) => (q.cctK! < p.cctK! ? q : p))
      choices.push({ name: 'sun', choice: { ...byDay, minute } })
    }
  }
  if (room.lamps.length > 0)
    choices.push({ name: 'lamps', choice: { ...byDay, source: 'lamps', minute: 20 * 60 } })
  return choices.flatMap(({ name, choice }) => {
    const light = lightOf(roomDay, choice)
    return light
      ? [{ name, choice, prepared: prepareLight(light.spectrum, light.illuminanceLux) }]
      : []
  })
}
