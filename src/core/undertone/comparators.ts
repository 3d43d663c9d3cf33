import { WHITE_CARD, type PreparedLight } from '../colour/appearance'
import type { Lab } from '../colour/lab'
import type { Reflectance } from '../colour/spectrum'
import { reflectanceOfReading } from '../paint/reading'
import { hueNameAmongKind, leanFrom, NO_LEAN_BELOW } from './hue-name'
import { hueDegOf, undertoneOf } from './undertone'

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

export interface BesideComparator extends Comparator {
  /** What the colour looks beside it: "pink", "yellow-green", "the same". */
  readonly looks: string
}

// Two neutrals are at most this far apart.
const STILL_NEUTRAL = 12

/** How a colour leans away from each comparator, in one light. */
export function besideComparators(
  light: PreparedLight,
  reflectance: Reflectance,
): BesideComparator[] {
  const own = undertoneOf(light, reflectance)
  return COMPARATORS.map((comparator) => {
    const other = undertoneOf(light, comparator.reflectance)
    const apart = Math.hypot(own.a - other.a, own.b - other.b)
    if (apart < NO_LEAN_BELOW) return { ...comparator, looks: 'the same' }
    // Among neutrals the finer names; against a strong neighbour the plain ones.
    const looks =
      apart < STILL_NEUTRAL
        ? hueNameAmongKind(hueDegOf(own.a - other.a, own.b - other.b))
        : leanFrom(own, other)
    return { ...comparator, looks }
  })
}
