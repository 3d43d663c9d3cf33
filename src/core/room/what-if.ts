import type { Bulb, Curtain, LampPlace } from '../light/fittings'
import type { LitRoom, RoomLamp } from '../light/room'
import { lampAt, mainWindow, type Vector } from '../light/spot'
import { wallFacing } from '../light/walls'

/** Lamps that a room might have instead of its own. */
export interface OtherLamps {
  readonly bulb: Bulb
  readonly cctK: number
  readonly lumens: number
  readonly place: LampPlace
  readonly count: number
}

/** What a room might have instead; what is left out stays as it is. */
export interface WhatIf {
  readonly lamps: OtherLamps | null
  /** At every window. */
  readonly curtain: Curtain | null
  /** A deck colour, or white, for the ceiling; for the floor and for cabinets, painted. */
  readonly ceiling: string | null
  readonly floor: string | null
  readonly cabinets: string | null
}

/** What stands for plain white where a colour is named. */
export const WHITE_NAME = 'white'

export const NOTHING_ELSE: WhatIf = {
  ...{ lamps: null, curtain: null },
  ...{ ceiling: null, floor: null, cabinets: null },
}

/** A room as it would be lit with what it might have. */
export function litWith(room: LitRoom, { lamps, curtain }: WhatIf): LitRoom {
  return {
    ...room,
    windows: curtain ? room.windows.map((window) => ({ ...window, curtain })) : room.windows,
    lamps: lamps ? Array.from({ length: lamps.count }, () => lampOf(lamps)) : room.lamps,
  }
}

const lampOf = ({ bulb, cctK, lumens, place }: OtherLamps): RoomLamp => ({
  ...{ bulb, cctK, lumens, place, evening: true },
})

/** Where so many lamps of a kind go: on tables in the corners, the dark end first; above, in a row along the room. */
export function lampPlaces(room: LitRoom, lamps: OtherLamps): Vector[] {
  const [east, north, up] = lampAt(room, lampOf(lamps))
  const spread = (n: number): number => (n + 0.5) / lamps.count - 0.5
  if (lamps.place !== 'table')
    return Array.from({ length: lamps.count }, (_, n): Vector =>
      room.eastWestMm >= room.northSouthMm
        ? [spread(n) * room.eastWestMm, north, up]
        : [east, spread(n) * room.northSouthMm, up],
    )
  const window = mainWindow(room)
  const wall = window ? wallFacing(room, window.bearingDeg) : 'north'
  const isDeepNorth = wall === 'north' || wall === 'south'
  const aside: Vector = isDeepNorth ? [-east, north, up] : [east, -north, up]
  const first: Vector = [east, north, up]
  const corners: Vector[] = [
    first,
    aside,
    ...[first, aside].map(([x, y]): Vector => (isDeepNorth ? [x, -y, up] : [-x, y, up])),
  ]
  const between: Vector[] = isDeepNorth
    ? [
        [0, north, up],
        [0, -north, up],
      ]
    : [
        [east, 0, up],
        [-east, 0, up],
      ]
  const all = [...corners, ...between]
  return Array.from({ length: lamps.count }, (_, n) => all[n % all.length]!)
}

/** The walls of a room at the hour that is shown, and how far their colour moves over the day. */
export interface WallsOverDay {
  readonly lux: number
  readonly words: string
  /** CAM16-UCS between the two hours that are furthest apart, lamps among them. */
  readonly swing: number
}

// Under a tenth more or less light, and under a step, nobody tells the difference (common practice).
const TOLD_LUX = 0.1
const TOLD_STEPS = 1

/** What comes of a what-if, in words: for the light, the day and this colour. */
export function differenceWords(now: WallsOverDay, then: WallsOverDay, paint: string): string {
  const lux = (value: number): string => `${Math.round(value).toLocaleString('en')} lux`
  const light =
    Math.abs(then.lux - now.lux) < TOLD_LUX * Math.max(now.lux, 1)
      ? `The walls stay at about ${lux(now.lux)}.`
      : `The walls have ${lux(then.lux)} instead of ${lux(now.lux)}.`
  const swing =
    Math.abs(then.swing - now.swing) < TOLD_STEPS
      ? 'Over the day the colour moves as much as before.'
      : `Over the day the colour moves ${then.swing < now.swing ? 'less' : 'more'}: by ${then.swing.toFixed(0)} steps of the eye instead of ${now.swing.toFixed(0)}.`
  const colour =
    then.words === now.words
      ? `${paint} stays ${now.words}.`
      : `${paint} is ${then.words}, instead of ${now.words}.`
  return [light, swing, colour].join(' ')
}
