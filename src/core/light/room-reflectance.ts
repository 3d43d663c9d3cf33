import { checkedRoom } from './checked'
import { ILLUMINANT_SPECTRA } from '../colour/illuminant'
import { xyzOfSpectrum } from '../colour/observer'
import type { Spectrum } from '../colour/spectrum'
import { PLAIN_SURFACES, surfaceAreaM2, windowAreaM2, type LitRoom } from './room'
import { alongSpectrum } from './surface-colours'

/** How a room's surfaces reflect, 81 values each. */
export interface RoomReflectances {
  /** Area-weighted over all surfaces, glass black. */
  readonly mean: Spectrum
  readonly floor: Spectrum
  readonly wall: Spectrum
}

const MM2_PER_M2 = 1e6
const known = new WeakMap<LitRoom, RoomReflectances>()

/** Worked out once a room, by its own floor, walls and ceiling: a room is never changed, only replaced. */
export function reflectancesOf(room: LitRoom): RoomReflectances {
  const before = known.get(room)
  if (before) return before
  const {
    northSouthMm,
    eastWestMm,
    heightMm,
    windows,
    surfaces = PLAIN_SURFACES,
  } = checkedRoom(room)
  const plan = (northSouthMm * eastWestMm) / MM2_PER_M2
  const glass = windows.reduce((sum, window) => sum + windowAreaM2(window), 0)
  const walls = Math.max(0, (2 * (northSouthMm + eastWestMm) * heightMm) / MM2_PER_M2 - glass)
  const [floor, wall, ceiling] = [surfaces.floor, surfaces.walls, surfaces.ceiling].map(
    alongSpectrum,
  )
  const area = surfaceAreaM2(room)
  const mean = floor!.map((share, i) => (plan * (share + ceiling![i]!) + walls * wall![i]!) / area)
  const reflectances = { mean, floor: floor!, wall: wall! }
  known.set(room, reflectances)
  return reflectances
}

/** The mean reflectance of a room for daylight, 0 to 1: what the handbook's daylight factor goes by. */
export function meanReflectance(room: LitRoom): number {
  const daylight = ILLUMINANT_SPECTRA.D65
  const { mean } = reflectancesOf(room)
  return xyzOfSpectrum(daylight.map((power, i) => power * mean[i]!))[1] / xyzOfSpectrum(daylight)[1]
}
