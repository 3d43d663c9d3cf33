import { spotOf } from '../light/spot'
import { WALL_NAMES, type WallName } from '../light/walls'
import type { Sheen } from '../paint/sheen'
import type { Look } from '../record/look'
import { boardHourOf, type BoardHour, type BoardHourName } from './placings'

/** What a board must still be seen against, or in. */
export interface BoardGaps {
  readonly keeperIds: readonly string[]
  readonly walls: readonly WallName[]
  readonly hours: readonly BoardHourName[]
  /** A sheen that is wanted and that no board or patch was seen in. */
  readonly sheens: readonly Sheen[]
}

/** What a room asks of every board. */
export interface BoardRoom {
  readonly keeperIds: readonly string[]
  readonly walls: readonly WallName[]
  readonly hours: readonly BoardHour[]
}

/** What a look at a board saw; each empty where it closes no gap of that kind. */
export interface BoardSeen {
  readonly keeperId: string | null
  readonly wall: WallName | null
  readonly hour: BoardHourName | null
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
    sheen: candidate.sheen,
  }
}

/**
 * What is missing of a candidate's board in a room: each thing that stays, each light, each wall and each wanted sheen that
 * no look at a board of its strength has.
 *
 * @param wanted the sheens it is proposed in
 * @param looks at that candidate in that room
 */
export function boardGaps(
  room: BoardRoom,
  wanted: readonly Sheen[],
  looks: readonly Look[],
): BoardGaps {
  const seen = looks.flatMap((look) => boardSeen(look, room.hours) ?? [])
  return {
    keeperIds: room.keeperIds.filter((id) => !seen.some(({ keeperId }) => keeperId === id)),
    walls: room.walls.filter((each) => !seen.some(({ wall }) => wall === each)),
    hours: room.hours
      .map(({ name }) => name)
      .filter((name) => !seen.some(({ hour }) => hour === name)),
    sheens: [...new Set(wanted)].filter((each) => !seen.some(({ sheen }) => sheen === each)),
  }
}

export const isClosed = ({ keeperIds, walls, hours, sheens }: BoardGaps): boolean =>
  keeperIds.length + walls.length + hours.length + sheens.length === 0

/** What is missing in words: "beside Stone counter, on the north wall, after dark, in satin". */
export const gapsSaid = (
  { keeperIds, walls, hours, sheens }: BoardGaps,
  nameOf: (keeperId: string) => string,
): string =>
  [
    ...keeperIds.map((id) => `beside ${nameOf(id)}`),
    ...walls.map((wall) => `on the ${wall} wall`),
    ...hours.map((hour) => HOUR_SAID[hour]),
    ...sheens.map((sheen) => `in ${sheen}`),
  ].join(', ')

export const HOUR_SAID: Record<BoardHourName, string> = {
  coolest: 'in its coolest light',
  warmest: 'in its warmest light',
  brightest: 'at its brightest',
  'dull day': 'on a dull day',
  'after dark': 'after dark',
}
