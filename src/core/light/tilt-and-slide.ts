import { between } from '../check'
import type { LitRoom } from './room'
import { roomLights, type LightMoment, type RoomLight } from './room-light'
import { placeSpot, plus, scaled, type PlacedSpot } from './spot'
import type { Place } from './sun-position'

/**
 * The light on a sample carried at 45° from the window to the lamp: the tilt-and-slide test, spot by spot.
 *
 * @param steps how many spots, the window first and the lamp last
 */
export function slideLights(
  room: LitRoom,
  place: Place,
  moment: LightMoment,
  steps: number,
): (RoomLight | null)[] {
  between(steps, 1, 1000, 'steps')
  const from = placeSpot(room, { plane: 'tilted', depth: 'window' })
  const to = placeSpot(room, { plane: 'tilted', depth: 'lamp' })
  const end =
    to.at[0] === 0 && to.at[1] === 0 && room.lamps.length === 0
      ? placeSpot(room, { plane: 'tilted', depth: 'back' })
      : to
  const spots = Array.from({ length: steps }, (_, i): PlacedSpot => {
    const t = steps === 1 ? 0 : i / (steps - 1)
    return { at: plus(scaled(from.at, 1 - t), scaled(end.at, t)), normal: from.normal }
  })
  return roomLights(room, place, moment, spots)
}
