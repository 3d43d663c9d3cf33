import type { LightChoice } from '../light/light-choice'
import { spotOf } from '../light/spot'
import { WALL_NAMES, type WallName } from '../light/walls'
import type { Sheen } from '../paint/sheen'
import { isUnderLamps, type Look } from '../record/look'
import { listed } from '../words'
import { boardHourOf, type BoardHour, type BoardHourName } from './placings'

/** Things that stay and walls. */
export interface BoardPlaces {
  readonly keeperIds: readonly string[]
  readonly walls: readonly WallName[]
}

/** What a board must still be seen against, or in. */
export interface BoardGaps {
  /** In whatever light. */
  readonly anyLight: BoardPlaces
  readonly byDay: BoardPlaces
  readonly underLamps: BoardPlaces
  readonly hours: readonly BoardHourName[]
  /** A sheen that is wanted and that no board or patch was seen in. */
  readonly sheens: readonly Sheen[]
}

/** What a room asks of every board. */
export interface BoardRoom {
  readonly keeperIds: readonly string[]
  /** Those of them that are fixed finishes. */
  readonly fixedIds: readonly string[]
  readonly walls: readonly WallName[]
  /** The wall with the most in sight of the door; null where none is painted. */
  readonly mainWall: WallName | null
  readonly hours: readonly BoardHour[]
}

/** What a look at a board saw; each empty where it closes no gap of that kind. */
export interface BoardSeen {
  readonly keeperId: string | null
  readonly wall: WallName | null
  readonly hour: BoardHourName | null
  /** Lamps burnt, alone or beside daylight; else it was by day. */
  readonly underLamps: boolean
  readonly sky: LightChoice['sky']
  readonly sheen: Sheen
}

/**
 * What a look counts for on boards: paint in the room, on a board or the wall, of the candidate's own strength; seen by the
 * consultant or by the client. Null for any other look.
 */
export function boardSeen(look: Look, hours: readonly BoardHour[]): BoardSeen | null {
  const { seen, candidate, against, light } = look
  if (look.retracted || (look.verdict === null && look.client === null)) return null
  if (seen.as !== 'sample' || (seen.held !== 'board' && seen.held !== 'wall')) return null
  if (seen.strengthPercent !== candidate.strengthPercent) return null
  const spot = spotOf(light.spot)
  const plane =
    against.kind === 'wall'
      ? against.plane
      : spot === 'walls' || !('plane' in spot)
        ? null
        : spot.plane
  return {
    keeperId: against.kind === 'keeper' ? against.keeperId : null,
    wall: WALL_NAMES.find((wall) => wall === plane) ?? null,
    hour: boardHourOf(light, hours),
    underLamps: isUnderLamps(look),
    sky: light.sky,
    sheen: candidate.sheen,
  }
}

/** By day and under lamps, which of them a room has. */
export const lightsOfHours = (
  hours: readonly BoardHour[],
): { readonly byDay: boolean; readonly underLamps: boolean } => ({
  byDay: hours.some(({ choice }) => choice.source !== 'lamps'),
  underLamps: hours.some(({ choice }) => choice.source === 'lamps'),
})

/**
 * What is missing of a candidate's board in a room: each wall by day, the one that is most in sight of the door under the lamps
 * too; each fixed finish by day and under the lamps, all else that stays in any light; each of the room's lights, and each wanted
 * sheen. Two skies by day are two, whichever: so the ruling counts them.
 *
 * @param wanted the sheens it is proposed in
 * @param looks at that candidate in that room
 */
export function boardGaps(
  room: BoardRoom,
  wanted: readonly Sheen[],
  looks: readonly Look[],
): BoardGaps {
  const all = looks.flatMap((look) => boardSeen(look, room.hours) ?? [])
  const missingOf = (places: BoardPlaces, seen: readonly BoardSeen[]): BoardPlaces => ({
    keeperIds: places.keeperIds.filter((id) => !seen.some(({ keeperId }) => keeperId === id)),
    walls: places.walls.filter((each) => !seen.some(({ wall }) => wall === each)),
  })
  const lights = lightsOfHours(room.hours)
  const skies = new Set(all.filter(({ underLamps }) => !underLamps).map(({ sky }) => sky))
  const none: BoardPlaces = { keeperIds: [], walls: [] }
  return {
    anyLight: missingOf(
      {
        keeperIds: room.keeperIds.filter((id) => !room.fixedIds.includes(id)),
        walls: lights.byDay ? [] : room.walls,
      },
      all,
    ),
    byDay: lights.byDay
      ? missingOf(
          { keeperIds: room.fixedIds, walls: room.walls },
          all.filter(({ underLamps }) => !underLamps),
        )
      : none,
    underLamps: lights.underLamps
      ? missingOf(
          { keeperIds: room.fixedIds, walls: room.mainWall ? [room.mainWall] : [] },
          all.filter(({ underLamps }) => underLamps),
        )
      : none,
    hours: room.hours
      .map(({ name }) => name)
      .filter(
        (name) =>
          !all.some(({ hour }) => hour === name) && !(name === 'dull day' && skies.size > 1),
      ),
    sheens: [...new Set(wanted)].filter((each) => !all.some(({ sheen }) => sheen === each)),
  }
}

const placesIn = ({ keeperIds, walls }: BoardPlaces): number => keeperIds.length + walls.length

export const isClosed = ({ anyLight, byDay, underLamps, hours, sheens }: BoardGaps): boolean =>
  placesIn(anyLight) + placesIn(byDay) + placesIn(underLamps) + hours.length + sheens.length === 0

/**
 * Whether every gap was closed as plans were before walls and fixed finishes were asked for by day and under the lamps: each
 * once, in any light.
 */
export function wasClosedBefore(
  room: BoardRoom,
  wanted: readonly Sheen[],
  looks: readonly Look[],
): boolean {
  const seen = looks.flatMap((look) => boardSeen(look, room.hours) ?? [])
  return (
    room.keeperIds.every((id) => seen.some(({ keeperId }) => keeperId === id)) &&
    room.walls.every((each) => seen.some(({ wall }) => wall === each)) &&
    room.hours.every(({ name }) => seen.some(({ hour }) => hour === name)) &&
    wanted.every((each) => seen.some(({ sheen }) => sheen === each))
  )
}

/** What is missing in words: "beside Rug, by day: beside Stone counter and on the north wall, after dark, in satin". */
export const gapsSaid = (
  { anyLight, byDay, underLamps, hours, sheens }: BoardGaps,
  nameOf: (keeperId: string) => string,
): string => {
  const places = ({ keeperIds, walls }: BoardPlaces): string[] => [
    ...keeperIds.map((id) => `beside ${nameOf(id)}`),
    ...walls.map((wall) => `on the ${wall} wall`),
  ]
  const inLight = (light: string, missing: BoardPlaces): string[] =>
    placesIn(missing) > 0 ? [`${light}: ${listed(places(missing))}`] : []
  return [
    ...places(anyLight),
    ...inLight('by day', byDay),
    ...inLight('under the lamps', underLamps),
    ...hours.map((hour) => HOUR_SAID[hour]),
    ...sheens.map((sheen) => `in ${sheen}`),
  ].join('; ')
}

export const HOUR_SAID: Record<BoardHourName, string> = {
  coolest: 'in its coolest light',
  warmest: 'in its warmest light',
  brightest: 'at its brightest',
  'dull day': 'on a dull day',
  'after dark': 'after dark',
}
