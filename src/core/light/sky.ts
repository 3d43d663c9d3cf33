const RAD = Math.PI / 180

export const SKIES = ['clear', 'partly', 'overcast'] as const
export type Sky = (typeof SKIES)[number]

interface SkyKind {
  /** IES empirical formulas, lux: direct normal E·exp(−c / sin h), diffuse base + gain·sinʰ. */
  readonly extinction: number | null
  readonly diffuseBaseLux: number
  readonly diffuseGainLux: number
  readonly diffuseExponent: number
  /** CIE general sky (ISO 15469): gradation a, b; indicatrix c, d, e. Types 12, 7 and 1. */
  readonly gradation: readonly [a: number, b: number]
  readonly indicatrix: readonly [c: number, d: number, e: number]
  /** How much of the sky's colour is cloud. */
  readonly cloud: number
}

// IES calculation of daylight availability (RP-21), and CIE S 011 / ISO 15469 table 1.
export const SKY_KINDS: Record<Sky, SkyKind> = {
  clear: {
    extinction: 0.21,
    diffuseBaseLux: 800,
    diffuseGainLux: 15_500,
    diffuseExponent: 0.5,
    gradation: [-1, -0.32],
    indicatrix: [10, -3, 0.45],
    cloud: 0,
  },
  partly: {
    extinction: 0.8,
    diffuseBaseLux: 300,
    diffuseGainLux: 45_000,
    diffuseExponent: 1,
    gradation: [0, -1],
    indicatrix: [5, -2.5, 0.3],
    cloud: 0.5,
  },
  overcast: {
    extinction: null,
    diffuseBaseLux: 300,
    diffuseGainLux: 21_000,
    diffuseExponent: 1,
    gradation: [4, -0.7],
    indicatrix: [0, -1, 0],
    cloud: 1,
  },
}

const SOLAR_ILLUMINANCE_LUX = 127_500
// Civil twilight: from about 800 lux at the horizon to about 4 lux at −6° (common practice).
const TWILIGHT_DECAY_PER_DEG = 0.9
const DARK_BELOW_DEG = -12

export interface SkyIlluminance {
  /** Illuminance of the sun on a plane that faces it. */
  readonly directNormalLux: number
  /** Illuminance of the sky alone on flat open ground. */
  readonly diffuseHorizontalLux: number
}

// The formulas are of daylight; a root of the sine stands upright on the horizon. Up to this height the sky grows out of the
// twilight below it, in the logarithm, to the formula's value and slope there.
const FORMULA_FROM_DEG = 6
// Twilight ends in nothing, not on a step.
const LAST_TWILIGHT_DEG = 2

/**
 * Daylight outdoors by the sun's height, lux.
 *
 * Source: IES formulas for clear, partly cloudy and overcast skies, without the orbit factor, from 6° up; twilight below
 * the horizon decays exponentially and ends at −12°; between them a smooth line in the logarithm.
 *
 * @throws RangeError for a height outside −90 to 90
 */
export function skyIlluminance(sky: Sky, altitudeDeg: number): SkyIlluminance {
  if (!(Math.abs(altitudeDeg) <= 90))
    throw new RangeError(`the sun's height must be −90 to 90°, got ${altitudeDeg}`)
  const kind = SKY_KINDS[sky]
  const sine = Math.sin(altitudeDeg * RAD)
  return {
    directNormalLux:
      kind.extinction === null || altitudeDeg <= 0
        ? 0
        : SOLAR_ILLUMINANCE_LUX * Math.exp(-kind.extinction / sine),
    diffuseHorizontalLux:
      altitudeDeg >= FORMULA_FROM_DEG
        ? diffuseByFormula(kind, altitudeDeg)
        : altitudeDeg > 0
          ? diffuseNearHorizon(kind, altitudeDeg)
          : kind.diffuseBaseLux * twilight(altitudeDeg),
  }
}

const diffuseByFormula = (kind: SkyKind, altitudeDeg: number): number =>
  kind.diffuseBaseLux + kind.diffuseGainLux * Math.sin(altitudeDeg * RAD) ** kind.diffuseExponent

/** A cubic in the logarithm (Hermite) from the twilight's value and slope to the formula's. */
function diffuseNearHorizon(kind: SkyKind, altitudeDeg: number): number {
  const t = altitudeDeg / FORMULA_FROM_DEG
  const above = Math.log(diffuseByFormula(kind, FORMULA_FROM_DEG))
  const slope = (Math.log(diffuseByFormula(kind, FORMULA_FROM_DEG + 0.01)) - above) / 0.01
  const [h00, h10] = [(1 + 2 * t) * (1 - t) ** 2, t * (1 - t) ** 2]
  const [h01, h11] = [t * t * (3 - 2 * t), t * t * (t - 1)]
  return Math.exp(
    h00 * Math.log(kind.diffuseBaseLux) +
      h10 * FORMULA_FROM_DEG * TWILIGHT_DECAY_PER_DEG +
      h01 * above +
      h11 * FORMULA_FROM_DEG * slope,
  )
}

function twilight(altitudeDeg: number): number {
  const left = (altitudeDeg - DARK_BELOW_DEG) / LAST_TWILIGHT_DEG
  const fade = Math.min(1, Math.max(0, left))
  return Math.exp(TWILIGHT_DECAY_PER_DEG * altitudeDeg) * fade
}
