import { finite } from '../check'
import { daylightSpectrum } from '../colour/daylight'
import { addPerLux } from '../colour/mix-lights'
import { planckianSpectrum } from '../colour/planckian'
import { SPECTRUM_LENGTH, type Spectrum } from '../colour/spectrum'

const RAD = Math.PI / 180

// Above this the CIE daylight series alone, below 4,000 K Planckian alone, a mix between: the two
// loci do not meet, and light that crosses must not jump.
const DAYLIGHT_ALONE_K = 4600
const PLANCKIAN_ALONE_K = 4000

/**
 * Correlated colour temperature of direct sunlight, kelvin.
 *
 * Rises with the air the light has crossed (Kasten and Young, Applied Optics 28, 1989), in mired:
 * about 5,400 K overhead, 5,000 K at 30°, 3,900 K at 10°, 3,000 K at 5°, 1,900 K at the horizon
 * (the spread commonly measured; the line through it is ours).
 */
export function sunCctK(altitudeDeg: number): number {
  const h = Math.max(0, finite(altitudeDeg, "the sun's height"))
  const airMass = 1 / (Math.sin(h * RAD) + 0.50572 * (h + 6.07995) ** -1.6364)
  return 1e6 / Math.min(526, 170 + 16 * airMass)
}

/** Spectrum of direct sunlight of a colour temperature; its luminous sum is one lux. */
export function sunlightSpectrum(cctK: number): Spectrum {
  finite(cctK, 'cctK')
  const t = (cctK - PLANCKIAN_ALONE_K) / (DAYLIGHT_ALONE_K - PLANCKIAN_ALONE_K)
  const clamped = Math.min(1, Math.max(0, t))
  const daylightShare = clamped * clamped * (3 - 2 * clamped)
  const spectrum = new Float64Array(SPECTRUM_LENGTH)
  if (daylightShare > 0) addPerLux(spectrum, daylightSpectrum(cctK), daylightShare)
  if (daylightShare < 1) addPerLux(spectrum, planckianSpectrum(cctK), 1 - daylightShare)
  return spectrum
}
