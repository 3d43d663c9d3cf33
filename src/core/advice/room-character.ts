import { prepareLight, type PreparedLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { planckianSpectrum } from '../colour/planckian'
import type { UseHours } from '../light/use-hours'
import type { CLIMATES, CONTRASTS, Want } from './brief'

/** What of a room speaks for or against a colour before any finish does; cloneable. */
export interface RoomCharacter {
  readonly daylightFactorPercent: number
  /** Cool and even through the day: no direct sun to warm it. */
  readonly coolAndEven: boolean
  readonly hasCarpet: boolean
  /** Colour temperature and illuminance of its lamps together; null without any. */
  readonly lamps: { readonly cctK: number; readonly illuminanceLux: number } | null
  readonly useHours: UseHours
  readonly climate: (typeof CLIMATES)[number]
  readonly wants: readonly Want[]
  readonly contrast: (typeof CONTRASTS)[number]
  /** What they will not have, as they said it. */
  readonly willNotHave: string
}

// Daylight factors are reckoned under a design sky of 10,000 lx outdoors (CIBSE LG10).
const DESIGN_SKY_LUX = 10_000
const DULL_SKY_K = 6500
// A room turned away from the sun on a clear day.
const COOL_SKY_K = 8000
const DAYLIGHT_FROM_K = 4000
const LEAST_LUX = 5

/** The light that a colour has to stand in such a room on a dull day; of a room without a window, its lamps. */
export function dullLight(room: RoomCharacter): PreparedLight {
  if (room.daylightFactorPercent === 0 && room.lamps)
    return lightOfCct(room.lamps.cctK, room.lamps.illuminanceLux)
  const lux = (room.daylightFactorPercent / 100) * DESIGN_SKY_LUX
  return lightOfCct(room.coolAndEven ? COOL_SKY_K : DULL_SKY_K, Math.max(LEAST_LUX, lux))
}

const lightOfCct = (cctK: number, lux: number): PreparedLight =>
  prepareLight(
    cctK >= DAYLIGHT_FROM_K ? daylightSpectrum(cctK) : planckianSpectrum(cctK),
    Math.max(LEAST_LUX, lux),
  )
