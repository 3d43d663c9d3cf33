import { prepareLight, type PreparedLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { ILLUMINANT_SPECTRA } from '../colour/illuminant'
import { ledSpectrum } from '../colour/led'
import { planckianSpectrum } from '../colour/planckian'
import type { Spectrum } from '../colour/spectrum'

interface PlainLight {
  readonly illuminanceLux: number
  readonly spectrum: () => Spectrum
}

// Lights of an ordinary house, no room's own: kelvin and lux as they are found in one (common practice).
const LIGHTS = {
  'north sky': { illuminanceLux: 400, spectrum: () => daylightSpectrum(7500) },
  'noon daylight': { illuminanceLux: 800, spectrum: () => daylightSpectrum(5500) },
  'low sun': { illuminanceLux: 500, spectrum: () => planckianSpectrum(3600) },
  'warm lamps': { illuminanceLux: 150, spectrum: () => ledSpectrum(2700, 82) },
  'cool lamps': { illuminanceLux: 250, spectrum: () => ledSpectrum(4000, 80) },
  'halogen lamps': { illuminanceLux: 150, spectrum: () => planckianSpectrum(2900) },
  'fluorescent tubes': { illuminanceLux: 300, spectrum: () => ILLUMINANT_SPECTRA.F2 },
} as const satisfies Record<string, PlainLight>
export type PracticeLight = keyof typeof LIGHTS
export const PRACTICE_LIGHTS = Object.keys(LIGHTS) as [PracticeLight, ...PracticeLight[]]

const prepared = new Map<PracticeLight, PreparedLight>()

/** A light of an ordinary house at a wall. */
export function practiceLight(name: PracticeLight): PreparedLight {
  const known = prepared.get(name)
  if (known) return known
  const { spectrum, illuminanceLux } = LIGHTS[name]
  const made = prepareLight(spectrum(), illuminanceLux)
  prepared.set(name, made)
  return made
}

const WORDS: Readonly<Record<PracticeLight, string>> = {
  'north sky': 'under a north sky',
  'noon daylight': 'in noon daylight',
  'low sun': 'in low sun',
  'warm lamps': 'under warm lamps',
  'cool lamps': 'under cool lamps',
  'halogen lamps': 'under halogen lamps',
  'fluorescent tubes': 'under fluorescent tubes',
}
/** "under warm lamps". */
export const lightWords = (light: PracticeLight): string => WORDS[light]
