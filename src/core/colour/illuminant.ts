import { bandWeights, whitePoint } from './observer'
import type { Spectrum } from './spectrum'
import * as tables from './tables/illuminants'

export const ILLUMINANTS = ['A', 'D50', 'D55', 'D65', 'F2', 'F7', 'F11'] as const
export type IlluminantName = (typeof ILLUMINANTS)[number]

/** CIE illuminants by name: relative power, each with a scale of its own. Source: CIE 015. */
export const ILLUMINANT_SPECTRA: Readonly<Record<IlluminantName, Spectrum>> = {
  A: Float64Array.from(tables.ILLUMINANT_A),
  D50: Float64Array.from(tables.ILLUMINANT_D50),
  D55: Float64Array.from(tables.ILLUMINANT_D55),
  D65: Float64Array.from(tables.ILLUMINANT_D65),
  F2: Float64Array.from(tables.ILLUMINANT_F2),
  F7: Float64Array.from(tables.ILLUMINANT_F7),
  F11: Float64Array.from(tables.ILLUMINANT_F11),
}

/** D65 as the core uses it everywhere: 2° observer, Y = 100. */
export const D65_WHITE = whitePoint(ILLUMINANT_SPECTRA.D65)
export const D65_WEIGHTS = bandWeights(ILLUMINANT_SPECTRA.D65)
