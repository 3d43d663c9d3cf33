import { D65_WEIGHTS } from '../colour/illuminant'
import { xyzUnder } from '../colour/observer'
import type { Reflectance } from '../colour/spectrum'

/** Light reflectance value: Y under D65, 2° observer, per cent. */
export function lrvPercent(reflectance: Reflectance): number {
  return xyzUnder(D65_WEIGHTS, reflectance)[1]
}
