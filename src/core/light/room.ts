import { finite } from '../check'
import { flatReflectance, type Reflectance } from '../colour/spectrum'
import {
  CURTAINS,
  GLAZINGS,
  type Bulb,
  type Curtain,
  type Glazing,
  type Ground,
  type LampPlace,
  type Opposite,
} from './fittings'

/** A window in a wall or in the roof. */
export interface RoomWindow {
  /** Where it faces, clockwise from true north, 0 to under 360. */
  readonly bearingDeg: number
  readonly widthMm: number
  /** Along the glass. */
  readonly heightMm: number
  readonly sillMm: number
  /** 90 upright in a wall; less for a roof window, 0 for one that lies flat. */
  readonly pitchDeg: number
  readonly glazing: Glazing
  readonly curtain: Curtain
  /** How far a roof or balcony stands out above the glass. */
  readonly overhangMm: number
  readonly opposite: Opposite
  /** How high it stands, as an angle from the middle of the window. */
  readonly oppositeDeg: number
  readonly ground: Ground
  /** Where its middle stands along its wall, per cent from the left corner seen from inside; null or left out: spread evenly. */
  readonly alongPercent?: number | null
}

/** What a window has until somebody says otherwise. */
export const PLAIN_WINDOW = {
  widthMm: 1400,
  heightMm: 1400,
  sillMm: 900,
  pitchDeg: 90,
  glazing: 'double',
  curtain: 'none',
  overhangMm: 0,
  opposite: 'sky',
  oppositeDeg: 0,
  ground: 'paving',
} as const satisfies Omit<RoomWindow, 'bearingDeg'>

export interface RoomLamp {
  readonly bulb: Bulb
  /** Colour temperature, kelvin. */
  readonly cctK: number
  /** Light output of all lamps of this kind together. */
  readonly lumens: number
  readonly place: LampPlace
  /** Lit of an evening. */
  readonly evening: boolean
}

export const PLAIN_LAMP = {
  bulb: 'led-80',
  cctK: 2700,
  lumens: 1600,
  place: 'pendant',
  evening: true,
} as const satisfies RoomLamp

/** Colours of the room itself, which what bounces takes on. */
export interface RoomSurfaces {
  readonly floor: Reflectance
  readonly walls: Reflectance
  readonly ceiling: Reflectance
}

// Floor, walls with what stands before them, ceiling: BS 8206-2 suggests 0.2 to 0.4, 0.5 and 0.7 to 0.85.
export const PLAIN_SURFACES: RoomSurfaces = {
  floor: flatReflectance(0.3),
  walls: flatReflectance(0.5),
  ceiling: flatReflectance(0.8),
}

/** What of a room decides its light. */
export interface LitRoom {
  /** Plan size from the north wall to the south wall, and from west to east. */
  readonly northSouthMm: number
  readonly eastWestMm: number
  readonly heightMm: number
  /** Where its north wall faces, clockwise from true north, −45 to 45; left out where the house stands square to the compass. */
  readonly northDeg?: number
  readonly windows: readonly RoomWindow[]
  readonly lamps: readonly RoomLamp[]
  /** Left out where nothing of them is known. */
  readonly surfaces?: RoomSurfaces
}

const MM2_PER_M2 = 1e6

/** All walls, floor and ceiling, square metres. */
export function surfaceAreaM2({ northSouthMm, eastWestMm, heightMm }: LitRoom): number {
  const plan = finite(northSouthMm * eastWestMm * heightMm, "a room's size") / heightMm
  return (2 * (plan + (northSouthMm + eastWestMm) * heightMm)) / MM2_PER_M2
}

/** Painted wall over all surfaces of the room, 0 to 1. */
export function wallShare(room: LitRoom): number {
  const { northSouthMm, eastWestMm, heightMm, windows } = room
  const walls = (2 * (northSouthMm + eastWestMm) * heightMm) / MM2_PER_M2
  const glass = windows
    .filter(({ pitchDeg }) => pitchDeg === 90)
    .reduce((sum, window) => sum + windowAreaM2(window), 0)
  return Math.max(0, walls - glass) / surfaceAreaM2(room)
}

export const windowAreaM2 = ({
  widthMm,
  heightMm,
}: Pick<RoomWindow, 'widthMm' | 'heightMm'>): number =>
  finite(widthMm * heightMm, "a window's size") / MM2_PER_M2

/** Share of the light on the opening that enters the room. */
export const windowTransmittance = ({ glazing, curtain }: RoomWindow): number =>
  GLAZINGS[glazing].transmittance * CURTAINS[curtain].transmittance
