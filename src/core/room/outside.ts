import { S0, S1, S2 } from '../colour/tables/daylight-components'
import { SPECTRUM_LENGTH, type Spectrum, type Xyz } from '../colour/spectrum'
import { CURTAINS } from '../light/fittings'
import type { RoomWindow } from '../light/room'
import type { DaylightSum } from '../light/sky-vault'
import type { Outside } from '../light/surface-colours'
import {
  addReflected,
  emptyLightSum,
  groundReceives,
  oppositeReceives,
  spectrumOf,
  viewOf,
  windowLight,
  type Outdoors,
} from '../light/window-light'
import { bandXyz, ROOM_BANDS, xyzReflected } from './bands'
import { SHOWN } from './openings-light'

/** The three parts of daylight, each of 81 values, and what the eye makes of each. */
export const DAYLIGHT = [S0, S1, S2].map((table) => Float64Array.from(table))
export const DAYLIGHT_XYZ = DAYLIGHT.map(bandXyz)
/** A white that sends everything back. */
export const ONES = new Float64Array(ROOM_BANDS).fill(1)
export const BLACK: Spectrum = new Float64Array(SPECTRUM_LENGTH)

/** What is seen of outside: X, Y, Z as of a white that sends it back. */
export interface OutsideSeen {
  /** Of a direction of the sky. */
  sky(altitudeDeg: number, azimuthDeg: number): Xyz
  /** Of an opening's ground, what stands opposite, and its curtain: as SHOWN. */
  readonly shown: readonly (readonly Xyz[])[]
}

/** A direction of the sky as a white card would look that sent as much back. */
export function skySeen(out: Outdoors | null, altitudeDeg: number, azimuthDeg: number): Xyz {
  if (!out) return [0, 0, 0]
  const sum: DaylightSum = [0, 0, 0]
  out.vault.addFrom(sum, altitudeDeg, azimuthDeg, Math.PI)
  return daylightXyz(sum, ONES)
}

function daylightXyz(sum: ArrayLike<number>, shares: ArrayLike<number>): Xyz {
  const parts = DAYLIGHT_XYZ.map((weights) => xyzReflected(weights, shares))
  return [0, 1, 2].map((c) =>
    parts.reduce((total, xyz, k) => total + sum[k]! * xyz[c]!, 0),
  ) as unknown as Xyz
}

/** What an opening shows from within, as SHOWN: its ground, what stands opposite, its curtain; spectra of 81 values. */
export function shownThrough(out: Outdoors | null, window: RoomWindow | null): Spectrum[] {
  if (!out || !window) return SHOWN.map(() => BLACK)
  const of = (by: Outside, received: Parameters<typeof addReflected>[2]): Spectrum => {
    const sum = emptyLightSum()
    addReflected(sum, by, received, 1)
    return spectrumOf(sum, out.sunlight)
  }
  const { diffuse, sunLux } = windowLight(out, window)
  if (CURTAINS[window.curtain].diffuses) {
    addReflected(diffuse, 'sky', { sky: [0, 0, 0], sunLux }, 1)
    return [BLACK, BLACK, spectrumOf(diffuse, out.sunlight)]
  }
  const { hiddenBelowDeg } = viewOf(window)
  return [
    of(window.ground, groundReceives(out, window.bearingDeg)),
    hiddenBelowDeg > 0 && window.opposite !== 'sky'
      ? of(window.opposite, oppositeReceives(out, window.bearingDeg))
      : BLACK,
    BLACK,
  ]
}
