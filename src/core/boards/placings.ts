import type { Reflectance } from '../colour/spectrum'
import { solarNoonMinute, type LightChoice, type RoomDay } from '../light/light-choice'
import { dayRibbon } from '../light/ribbon'
import type { RoomLamp, RoomWindow } from '../light/room'
import { ALL_WALLS, mainWindow, type SpotName } from '../light/spot'
import {
  asideWall,
  oppositeWall,
  wallFacing,
  WALL_NAMES,
  wallWidthMm,
  type WallName,
} from '../light/walls'
import type { Firmness } from '../paint/reading'
import type { Role } from '../pairing/role'

/** Something that stays, as a board is stood against it. */
export interface BoardKeeper {
  readonly id: string
  readonly name: string
  readonly isTrim: boolean
  readonly leads: boolean
  /** Walls that it touches, where somebody has said. */
  readonly walls: readonly WallName[]
  readonly role: Role
  readonly varies: boolean
  readonly colours: readonly {
    readonly reflectance: Reflectance
    readonly source: Firmness
  }[]
}

/** Where a board is stood, and what it is seen against there. */
export interface Placing {
  /** Unlike any other of the room. */
  readonly id: string
  readonly words: string
  readonly spot: SpotName
  readonly keeperId: string | null
  readonly wall: WallName | null
}

export const BOARD_HOURS = ['coolest', 'warmest', 'brightest', 'dull day', 'after dark'] as const
export type BoardHourName = (typeof BOARD_HOURS)[number]

/** A light of a room that a board must be seen in, without a place in the room. */
export interface BoardHour {
  readonly name: BoardHourName
  readonly choice: Omit<LightChoice, 'spot'>
}

/** Walls that have wall to paint: one that is glass or doors from corner to corner has none. */
export function paintedWalls(
  room: RoomDay['room'] & {
    readonly doors?: readonly Pick<RoomWindow, 'bearingDeg' | 'widthMm' | 'heightMm'>[]
  },
): WallName[] {
  const openings = [
    ...room.windows.filter(({ pitchDeg }) => pitchDeg === 90),
    ...(room.doors ?? []),
  ]
  return WALL_NAMES.filter((wall) => {
    const open = openings
      .filter(({ bearingDeg }) => wallFacing(room, bearingDeg) === wall)
      .reduce((sum, { widthMm, heightMm }) => sum + widthMm * heightMm, 0)
    return open < 0.9 * wallWidthMm(room, wall) * room.heightMm
  })
}

/**
 * The wall that is most in sight of the door: the one across from it, else the wider of those beside it; of a room whose door
 * nobody has said, the widest. Null where none is painted.
 */
export function wallInSightOfDoor(room: Parameters<typeof paintedWalls>[0]): WallName | null {
  const widestFirst = paintedWalls(room).toSorted(
    (p, q) => wallWidthMm(room, q) - wallWidthMm(room, p),
  )
  const [door] = (room.doors ?? []).toSorted((p, q) => q.widthMm - p.widthMm)
  if (!door) return widestFirst[0] ?? null
  const at = wallFacing(room, door.bearingDeg)
  const across = oppositeWall(at)
  if (widestFirst.includes(across)) return across
  return widestFirst.find((wall) => wall !== at) ?? widestFirst[0] ?? null
}

/**
 * The places of a room that matter for a board: each wall, beside the window, under the lamp, tilted to the light, behind the
 * piece that leads, against the trim that stays, beside all else that stays.
 */
export function placingsOf(
  room: Parameters<typeof paintedWalls>[0],
  keepers: readonly BoardKeeper[],
): Placing[] {
  const walls = paintedWalls(room)
  const main = mainWindow(room)
  const facing = wallFacing(room, main?.bearingDeg ?? room.northDeg ?? 0)
  const among = (...wanted: readonly WallName[]): WallName | undefined =>
    wanted.find((wall) => walls.includes(wall))
  const aside = main ? among(asideWall(facing), oppositeWall(asideWall(facing))) : undefined
  const underLamp = hasPlace(room.lamps)
    ? among(oppositeWall(facing), asideWall(facing), facing)
    : undefined
  const against = (keeper: BoardKeeper): string =>
    keeper.leads
      ? `behind ${keeper.name}, which leads`
      : keeper.isTrim
        ? `against ${keeper.name}, which stays`
        : `beside ${keeper.name}`
  return [
    ...walls.map((wall): Placing => ({
      id: wall,
      words: `on the ${wall} wall`,
      spot: `${wall}-middle`,
      keeperId: null,
      wall,
    })),
    ...(aside
      ? [
          {
            id: 'window side',
            words: `beside the window, on the ${aside} wall`,
            spot: `${aside}-window` as const,
            keeperId: null,
            wall: aside,
          },
        ]
      : []),
    ...(underLamp
      ? [
          {
            id: 'under the lamp',
            words: `under the lamp, on the ${underLamp} wall`,
            spot: `${underLamp}-lamp` as const,
            keeperId: null,
            wall: underLamp,
          },
        ]
      : []),
    ...(main
      ? [
          {
            id: 'tilted',
            words: 'tilted at 45° to the window',
            spot: 'tilted-window' as const,
            keeperId: null,
            wall: null,
          },
        ]
      : []),
    ...keepers.flatMap((keeper): Placing[] => {
      const own = walls.filter((wall) => keeper.walls.includes(wall))
      if (own.length === 0)
        return [
          {
            id: keeper.id,
            words: against(keeper),
            spot: ALL_WALLS,
            keeperId: keeper.id,
            wall: null,
          },
        ]
      return own.map((wall) => ({
        id: `${keeper.id} ${wall}`,
        words: `${against(keeper)}, on the ${wall} wall`,
        spot: `${wall}-middle`,
        keeperId: keeper.id,
        wall,
      }))
    }),
  ]
}

const hasPlace = (lamps: readonly RoomLamp[]): boolean =>
  lamps.some(({ place }) => place !== 'strip')

// Within an hour a room's daylight is one light.
const ONE_LIGHT_MINUTES = 60
const AFTER_DARK_MINUTE = 20 * 60

/**
 * The lights of a room that a board must be seen in: its coolest, warmest and brightest hour of a clear day, a dull day
 * unless the climate is sunny, and after dark.
 */
export function boardHours(
  roomDay: RoomDay,
  climate: 'grey' | 'mixed' | 'sunny',
): readonly BoardHour[] {
  const { room, place, day } = roomDay
  const byDay = { source: 'room', sky: 'clear', lampsOn: false } as const
  const hours: BoardHour[] = []
  if (room.windows.length > 0) {
    const { moments } = dayRibbon(roomDay, 'clear')
    for (const name of ['coolest', 'warmest', 'brightest'] as const) {
      const minute = moments.find((moment) => moment.name === name)?.minute
      const isSeen =
        minute === undefined ||
        hours.some((hour) => Math.abs(hour.choice.minute - minute) <= ONE_LIGHT_MINUTES)
      if (!isSeen) hours.push({ name, choice: { ...byDay, minute } })
    }
    if (climate !== 'sunny' && hours.length > 0)
      hours.push({
        name: 'dull day',
        choice: { ...byDay, sky: 'overcast', minute: solarNoonMinute(place, day) },
      })
  }
  if (room.lamps.length > 0)
    hours.push({
      name: 'after dark',
      choice: { ...byDay, source: 'lamps', minute: AFTER_DARK_MINUTE, lampsOn: true },
    })
  return hours
}

/** Which of a room's lights a look was taken in; null for one that is none of them. */
export function boardHourOf(
  light: Pick<LightChoice, 'source' | 'minute' | 'sky' | 'lampsOn'>,
  hours: readonly BoardHour[],
): BoardHourName | null {
  const has = (name: BoardHourName): BoardHourName | null =>
    hours.some((hour) => hour.name === name) ? name : null
  if (light.source === 'lamps') return has('after dark')
  if (light.source !== 'room' || light.lampsOn) return null
  if (light.sky === 'overcast') return has('dull day')
  const apart = (hour: BoardHour): number => Math.abs(hour.choice.minute - light.minute)
  const nearest = hours
    .filter(({ choice }) => choice.source === 'room' && choice.sky !== 'overcast')
    .reduce<BoardHour | null>((p, q) => (p && apart(p) <= apart(q) ? p : q), null)
  return nearest && apart(nearest) <= ONE_LIGHT_MINUTES ? nearest.name : null
}
