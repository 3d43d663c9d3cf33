import { finite } from '../check'
import { D65_WEIGHTS } from '../colour/illuminant'
import { xyzUnder } from '../colour/observer'
import { BANDS, type Reflectance } from '../colour/spectrum'
import type { FlatRows } from '../colour/flat-appearance'

/** Light reflectance value: Y under D65, 2° observer, per cent. */
export function lrvPercent(reflectance: Reflectance): number {
  return xyzUnder(D65_WEIGHTS, reflectance)[1]
}

/** The same of many surfaces, 36 numbers each. */
export function lrvsPercent(rows: FlatRows): Float64Array {
  const bands = BANDS
  const weights = D65_WEIGHTS
  const lrvs = new Float64Array(rows.length / bands)
  for (let i = 0, at = 0; i < lrvs.length; i++) {
    let y = 0
    for (let band = 0; band < bands; band++) y += rows[at++]! * weights[band * 3 + 1]!
    lrvs[i] = finite(y, 'reflectances')
  }
  return lrvs
}

// A maker's figure and a reading of the same paint differ by less; common practice.
const PRINTED_WITHIN = 3

/** Whether a printed LRV lies so far off that of the reading that it is pointed out. */
export const isPrintedOff = (printedPercent: number, readPercent: number): boolean =>
  Math.abs(finite(printedPercent - readPercent, 'LRVs')) > PRINTED_WITHIN
