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
  readonly windows: readonly RoomWindow[]
  readonly lamps: readonly RoomLamp[]
  /** Left out where nothing of them is known. */
  readonly surfaces?: RoomSurfaces
}

/** Area-weighted reflectance of a furnished room, common practice; what the handbook's factor goes by. */
export const ROOM_REFLECTANCE = 0.5

const MM2_PER_M2 = 1e6
const RAD = Math.PI / 180

/** All walls, floor and ceiling, square metres. */
export function surfaceAreaM2({ northSouthMm, eastWestMm, heightMm }: LitRoom): number {
  const plan = northSouthMm * eastWestMm
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

/** Width of the wall that faces a bearing; the room counts as square to the compass. */
export function wallWidthMm(
  { northSouthMm, eastWestMm }: Pick<LitRoom, 'northSouthMm' | 'eastWestMm'>,
  bearingDeg: number,
): number {
  const facesNorthOrSouth = Math.abs(Math.cos(bearingDeg * RAD)) > Math.SQRT1_2
  return facesNorthOrSouth ? eastWestMm : northSouthMm
}

export const windowAreaM2 = ({
  widthMm,
  heightMm,
}: Pick<RoomWindow, 'widthMm' | 'heightMm'>): number => (widthMm * heightMm) / MM2_PER_M2

/** Share of the light on the opening that enters the room. */
export const windowTransmittance = ({ glazing, curtain }: RoomWindow): number =>
  GLAZINGS[glazing].transmittance * CURTAINS[curtain].transmittance

/**
 * Average daylight factor, per cent: T · A_w · θ / (A · (1 − R²)).
 *
 * Source: BS 8206-2, CIBSE LG10.
 *
 * @param skyAngleDeg vertical angle of sky seen from the window, 90 with nothing opposite
 */
export function averageDaylightFactorPercent(
  transmittance: number,
  windowAreaM2: number,
  skyAngleDeg: number,
  surfaceAreaM2: number,
  meanReflectance: number,
): number {
  return (transmittance * windowAreaM2 * skyAngleDeg) / (surfaceAreaM2 * (1 - meanReflectance ** 2))
}

/**
 * Vertical angle of sky that a window sees, degrees: between what stands opposite and the overhang's edge. A roof
 * window sees past the zenith: 90 more for lying flat, in proportion to its pitch.
 */
export function skyAngleDeg({
  opposite,
  oppositeDeg,
  overhangMm,
  heightMm,
  pitchDeg,
}: RoomWindow): number {
  const below = opposite === 'sky' ? 0 : oppositeDeg
  const above = overhangMm > 0 ? 90 - Math.atan2(heightMm / 2, overhangMm) / RAD : 0
  return Math.max(0, 180 - pitchDeg - below - above)
}

/** Average daylight factor of a room as it stands, curtains as they hang, per cent. */
export function daylightFactorPercent(room: LitRoom): number {
  return room.windows.reduce(
    (sum, window) =>
      sum +
      averageDaylightFactorPercent(
        windowTransmittance(window),
        windowAreaM2(window),
        skyAngleDeg(window),
        surfaceAreaM2(room),
        ROOM_REFLECTANCE,
      ),
    0,
  )
}

/** Average daylight factors under which a room is dim, and over which it is bright (BS 8206-2, CIBSE LG10). */
export const DIM_BELOW_PERCENT = 2
export const BRIGHT_ABOVE_PERCENT = 5

/** dim, moderate or bright by its daylight factor; dark without a window. */
export function dimness(factorPercent: number): 'dark' | 'dim' | 'moderate' | 'bright' {
  if (factorPercent === 0) return 'dark'
  if (factorPercent < DIM_BELOW_PERCENT) return 'dim'
  return factorPercent <= BRIGHT_ABOVE_PERCENT ? 'moderate' : 'bright'
}
