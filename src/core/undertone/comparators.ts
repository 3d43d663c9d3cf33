import { WHITE_CARD } from '../colour/appearance'
import type { Lab } from '../colour/lab'
import type { Reflectance } from '../colour/spectrum'
import { reflectanceOfReading } from '../paint/reading'

export interface Comparator {
  readonly name: string
  readonly reflectance: Reflectance
}

const of = (name: string, lab: Lab): Comparator => ({
  name,
  reflectance: reflectanceOfReading({ kind: 'lab', lab }),
})

/** Invented reference colours that bring an undertone out, L*a*b* under D65. */
export const COMPARATORS: readonly Comparator[] = [
  { name: 'white card', reflectance: WHITE_CARD },
  of('true grey', [60, 0, 0]),
  of('true black', [20, 0, 0]),
  of('brown', [32, 9, 13]),
  of('navy', [24, 1, -18]),
  of('green-grey', [58, -6, 4]),
  of('beige', [78, 4, 13]),
  of('taupe', [52, 3, 4]),
]
