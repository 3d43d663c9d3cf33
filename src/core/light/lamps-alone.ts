import { modelledLight, type LightChoice, type RoomDay } from './light-choice'

// What daylight may still add where a room counts as lit by its lamps.
const DAYLIGHT_LEFT = 0.1

/** Whether at a minute of its day a room is lit by its lamps and hardly anything else: after dark, or without a window. */
export function isLampsAlone(roomDay: RoomDay, choice: LightChoice): boolean {
  const light = modelledLight(roomDay, { ...choice, source: 'room', lampsOn: true })
  return light !== null && light.parts.lamp >= (1 - DAYLIGHT_LEFT) * light.illuminanceLux
}
