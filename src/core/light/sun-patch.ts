import { checkedSun, checkedWindow } from './checked'
import { CURTAINS } from './fittings'
import type { LitRoom, RoomWindow } from './room'
import { plus, scaled, windowFrame, type Vector } from './spot'
import type { SunPosition } from './sun-position'
import { cosineOn } from './window-light'

/** A point of the floor, millimetres towards the room's own east and north from its middle. */
export type FloorPoint = readonly [east: number, north: number]

const RAD = Math.PI / 180

/**
 * Where direct sun falls on the floor through a window: the window's corners thrown along the sun's direction, cut to
 * the room. What stands opposite and overhangs are left to the light itself; this is a drawing.
 *
 * @returns corners in order, or null where no sun comes through or none of it reaches the floor
 */
export function sunPatch(room: LitRoom, window: RoomWindow, sun: SunPosition): FloorPoint[] | null {
  checkedSun(sun)
  checkedWindow(window)
  if (CURTAINS[window.curtain].diffuses || cosineOn(sun, window.bearingDeg, window.pitchDeg) <= 0)
    return null
  const { at, right, up } = windowFrame(room, window)
  // The floor lies in the room's own axes.
  const turnedDeg = sun.azimuthDeg - (room.northDeg ?? 0)
  const inwards: FloorPoint = [
    -Math.sin(turnedDeg * RAD) / Math.tan(sun.altitudeDeg * RAD),
    -Math.cos(turnedDeg * RAD) / Math.tan(sun.altitudeDeg * RAD),
  ]
  const corner = (x: number, y: number): Vector =>
    plus(at, plus(scaled(right, (x * window.widthMm) / 2), scaled(up, (y * window.heightMm) / 2)))
  const thrown = [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)].map(
    ([east, north, height]): FloorPoint => [
      east + height * inwards[0],
      north + height * inwards[1],
    ],
  )
  const patch = cutToRoom(thrown, room)
  return patch.length >= 3 ? patch : null
}

/** Sutherland and Hodgman's clipping against the four walls. */
function cutToRoom(
  polygon: readonly FloorPoint[],
  { eastWestMm, northSouthMm }: LitRoom,
): FloorPoint[] {
  const [halfEast, halfNorth] = [eastWestMm / 2, northSouthMm / 2]
  const walls: readonly ((p: FloorPoint) => number)[] = [
    ([east]) => halfEast - east,
    ([east]) => halfEast + east,
    ([, north]) => halfNorth - north,
    ([, north]) => halfNorth + north,
  ]
  return walls.reduce<FloorPoint[]>(
    (points, inside) => {
      return points.flatMap((point, i) => {
        const before = points.at(i - 1)!
        const [here, there] = [inside(point), inside(before)]
        const t = there / (there - here)
        const crossing: FloorPoint = [
          before[0] + t * (point[0] - before[0]),
          before[1] + t * (point[1] - before[1]),
        ]
        if (here >= 0) return there >= 0 ? [point] : [crossing, point]
        return there >= 0 ? [crossing] : []
      })
    },
    [...polygon],
  )
}
