import type { LitRoom } from '../light/room'
import { WALL_NAMES, wallFacing, wallWidthMm, type WallName } from '../light/walls'
import { freeWall, longestRun } from './free-wall'
import { openingOf } from './scene'

/** A door of a room, shut or open to another: its corners along its wall and up it, millimetres. */
export interface RoomDoor {
  readonly wall: WallName
  readonly lo: readonly [number, number]
  readonly hi: readonly [number, number]
  /** The room that is seen through it; null where it is shut. */
  readonly opensTo: string | null
}

const DOOR_MM = [850, 2020] as const

/** Where the doors of a room are: its own, and a way to each room that it is open to. */
export function doorsOf(
  room: LitRoom,
  own: readonly {
    readonly bearingDeg: number
    readonly widthMm: number
    readonly heightMm: number
    readonly alongPercent: number | null
  }[],
  opensTo: readonly string[],
): RoomDoor[] {
  const windows = room.windows.map((window) => openingOf(room, window))
  const doors: RoomDoor[] = own.map((door) => {
    const wall = wallFacing(room, door.bearingDeg)
    const half = wallWidthMm(room, wall) / 2
    const at = ((door.alongPercent ?? 50) / 100 - 0.5) * 2 * half
    // From the left corner as seen from inside: in the south and the west that is the other way.
    const middle = (wall === 'south' || wall === 'east' ? -1 : 1) * at
    const reach = Math.min(door.widthMm, 2 * half - 100) / 2
    const clear = Math.min(half - reach - 10, Math.max(-half + reach + 10, middle))
    return {
      ...{ wall, opensTo: null, lo: [clear - reach, 0] },
      hi: [clear + reach, Math.min(door.heightMm, room.heightMm - 20)],
    }
  })
  const ways = opensTo.map((roomId, n): RoomDoor | null => {
    const shut = doors.findIndex((door) => door.opensTo === null)
    if (shut >= 0) {
      const [door] = doors.splice(shut, 1)
      return { ...door!, opensTo: roomId }
    }
    for (let tries = 0; tries < WALL_NAMES.length; tries++) {
      const wall = freeWall(room, windows, n + tries)
      const blocked = [
        ...windows.filter(({ face }) => face === wall).map(({ lo, hi }) => [lo[0], hi[0]]),
        ...doors.filter((door) => door.wall === wall).map(({ lo, hi }) => [lo[0], hi[0]]),
      ] as [number, number][]
      const run = longestRun(wallWidthMm(room, wall), blocked)
      if (!run || run[1] - run[0] < DOOR_MM[0] + 300) continue
      const middle = run[1] - DOOR_MM[0] / 2 - 200
      return {
        ...{ wall, opensTo: roomId, lo: [middle - DOOR_MM[0] / 2, 0] },
        hi: [middle + DOOR_MM[0] / 2, Math.min(DOOR_MM[1], room.heightMm - 20)],
      }
    }
    return null
  })
  return [...doors, ...ways.filter((way) => way !== null)]
}
