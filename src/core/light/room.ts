/** A window in an upright wall. */
export interface RoomWindow {
  /** Where it faces, clockwise from true north, 0 to under 360. */
  readonly bearingDeg: number
  readonly widthMm: number
  readonly heightMm: number
}

export interface RoomLamp {
  /** Colour temperature, kelvin. */
  readonly cctK: number
  /** Light output of all lamps of this kind together. */
  readonly lumens: number
}

/** What of a room decides its light. */
export interface LitRoom {
  /** Plan size from the north wall to the south wall, and from west to east. */
  readonly northSouthMm: number
  readonly eastWestMm: number
  readonly heightMm: number
  readonly windows: readonly RoomWindow[]
  readonly lamps: readonly RoomLamp[]
}

/** Clean double glazing in a frame, common practice. */
export const GLAZING_TRANSMITTANCE = 0.68
/** Area-weighted reflectance of a furnished room, common practice. */
export const ROOM_REFLECTANCE = 0.5

const MM2_PER_M2 = 1e6

/** All walls, floor and ceiling, square metres. */
export function surfaceAreaM2({ northSouthMm, eastWestMm, heightMm }: LitRoom): number {
  const plan = northSouthMm * eastWestMm
  return (2 * (plan + (northSouthMm + eastWestMm) * heightMm)) / MM2_PER_M2
}

/** Painted wall over all surfaces of the room, 0 to 1. */
export function wallShare(room: LitRoom): number {
  const { northSouthMm, eastWestMm, heightMm, windows } = room
  const walls = (2 * (northSouthMm + eastWestMm) * heightMm) / MM2_PER_M2
  const glass = windows.reduce((sum, window) => sum + windowAreaM2(window), 0)
  return Math.max(0, walls - glass) / surfaceAreaM2(room)
}

/** Width of the wall that faces a bearing; the room counts as square to the compass. */
export function wallWidthMm(
  { northSouthMm, eastWestMm }: Pick<LitRoom, 'northSouthMm' | 'eastWestMm'>,
  bearingDeg: number,
): number {
  const facesNorthOrSouth = Math.abs(Math.cos((bearingDeg * Math.PI) / 180)) > Math.SQRT1_2
  return facesNorthOrSouth ? eastWestMm : northSouthMm
}

export const windowAreaM2 = ({ widthMm, heightMm }: RoomWindow): number =>
  (widthMm * heightMm) / MM2_PER_M2

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

/** Daylight factor of one window of a room, per cent, with open sky opposite. */
export function windowDaylightFactorPercent(room: LitRoom, window: RoomWindow): number {
  return averageDaylightFactorPercent(
    GLAZING_TRANSMITTANCE,
    windowAreaM2(window),
    90,
    surfaceAreaM2(room),
    ROOM_REFLECTANCE,
  )
}

export function daylightFactorPercent(room: LitRoom): number {
  return room.windows.reduce((sum, window) => sum + windowDaylightFactorPercent(room, window), 0)
}

/** dim under 2 %, moderate to 5 %, bright above (BS 8206-2); dark without a window. */
export function dimness(factorPercent: number): 'dark' | 'dim' | 'moderate' | 'bright' {
  if (factorPercent === 0) return 'dark'
  if (factorPercent < 2) return 'dim'
  return factorPercent <= 5 ? 'moderate' : 'bright'
}
