import type { Reflectance } from '../colour/spectrum'
import { PLAIN_SURFACES, type LitRoom } from '../light/room'
import { meanReflectance } from '../light/room-reflectance'

/**
 * How much brighter a room gets with other walls: what bounces in it grows as 1 / (1 − ρ), ρ the mean reflectance of all its
 * surfaces by their areas (the split-flux formula of BS 8206-2).
 *
 * @param now what is on the walls, 36 bands; null where nobody has said: then as an unknown room is reckoned
 * @param then what would be
 * @returns the light of the room then over the light now
 */
export function brighterBy(room: LitRoom, now: Reflectance | null, then: Reflectance): number {
  const surfaces = room.surfaces ?? PLAIN_SURFACES
  const absorbed = (walls: Reflectance): number =>
    1 - meanReflectance({ ...room, surfaces: { ...surfaces, walls } })
  return absorbed(now ?? PLAIN_SURFACES.walls) / absorbed(then)
}

const TOLD_FROM = 0.03

/** "gives the room 12 % more light than the walls now". */
export function brighterSaid(ratio: number, isKnown: boolean): string {
  const than = isKnown ? 'the walls now' : 'walls that send half of it back'
  const percent = Math.round(100 * Math.abs(ratio - 1))
  if (Math.abs(ratio - 1) < TOLD_FROM) return `leaves the room as bright as ${than} do`
  return ratio > 1
    ? `gives the room ${percent} % more light than ${than}`
    : `takes ${percent} % of the light that ${than} give`
}
