import { between, finite, finiteAll } from '../check'
import type { LitRoom, RoomLamp, RoomWindow } from './room'
import type { SunPosition } from './sun-position'

const LONGEST_MM = 1e6
const checkedRooms = new WeakSet<LitRoom>()

/** A room whose every figure is one; looked at once, for a room is never changed. Throws RangeError naming the figure. */
export function checkedRoom(room: LitRoom): LitRoom {
  if (checkedRooms.has(room)) return room
  for (const side of ['northSouthMm', 'eastWestMm', 'heightMm'] as const)
    between(room[side], 1, LONGEST_MM, `a room's ${side}`)
  between(room.northDeg ?? 0, -360, 360, "a room's northDeg")
  room.windows.forEach(checkedWindow)
  room.lamps.forEach(checkedLamp)
  if (room.surfaces)
    for (const [name, surface] of Object.entries(room.surfaces))
      finiteAll(surface, `reflectances of the ${name}`)
  checkedRooms.add(room)
  return room
}

const checkedWindows = new WeakSet<RoomWindow>()

export function checkedWindow(window: RoomWindow): RoomWindow {
  if (checkedWindows.has(window)) return window
  finite(window.bearingDeg, "a window's bearingDeg")
  between(window.widthMm, 0, LONGEST_MM, "a window's widthMm")
  between(window.heightMm, 1, LONGEST_MM, "a window's heightMm")
  between(window.sillMm, 0, LONGEST_MM, "a window's sillMm")
  between(window.pitchDeg, 0, 90, "a window's pitchDeg")
  between(window.overhangMm, 0, LONGEST_MM, "a window's overhangMm")
  between(window.oppositeDeg, 0, 90, "a window's oppositeDeg")
  between(window.alongPercent ?? 50, 0, 100, "a window's alongPercent")
  checkedWindows.add(window)
  return window
}

export function checkedLamp(lamp: RoomLamp): RoomLamp {
  between(lamp.cctK, 1000, 50_000, "a lamp's cctK")
  between(lamp.lumens, 0, 1e9, "a lamp's lumens")
  return lamp
}

export function checkedSun(sun: SunPosition): SunPosition {
  between(sun.altitudeDeg, -90, 90, "the sun's altitudeDeg")
  finite(sun.azimuthDeg, "the sun's azimuthDeg")
  return sun
}
