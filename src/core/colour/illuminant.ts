import { bandWeights, whitePoint } from './observer'
import { ILLUMINANT_D65 } from './tables/illuminants'

/** CIE standard illuminant D65 as the core uses it everywhere: 2° observer, Y = 100. */
export const D65_WHITE = whitePoint(ILLUMINANT_D65)
export const D65_WEIGHTS = bandWeights(Float64Array.from(ILLUMINANT_D65))
