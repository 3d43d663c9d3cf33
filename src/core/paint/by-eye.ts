import { finiteAll } from '../check'
import type { Lab } from '../colour/lab'
import type { Reflectance } from '../colour/spectrum'
import { labD65, reflectanceOfReading } from './reading'

/** Ways in which a finish is said to differ from the deck colour held beside it. */
export const SHIFT_DIRECTIONS = [
  'lighter',
  'darker',
  'stronger',
  'greyer',
  'pinker',
  'more orange',
  'yellower',
  'greener',
  'bluer',
  'more violet',
] as const
export type ShiftDirection = (typeof SHIFT_DIRECTIONS)[number]

/** A finish that is a bit more something than the deck colour matched to it by eye. */
export interface EyeShift {
  readonly towards: ShiftDirection
  readonly size: 'a little' | 'clearly'
}
export const SHIFT_SIZES = ['a little', 'clearly'] as const

// L*a*b* units. "A little" is about what an eye takes for a step between neighbours of a strip, common practice.
const UNITS: Record<EyeShift['size'], number> = { 'a little': 3, clearly: 7 }
// Directions of the leans in a*b*, degrees; the middles of the hue names.
const LEANS: Partial<Record<ShiftDirection, number>> = {
  pinker: 0,
  'more orange': 55,
  yellower: 88,
  greener: 150,
  bluer: 255,
  'more violet': 308,
}

/** L*a*b* moved by what was said of it. */
export function shiftedLab([l, a, b]: Lab, { towards, size }: EyeShift): Lab {
  finiteAll([l, a, b], 'L*, a*, b*')
  const units = UNITS[size]
  if (towards === 'lighter') return [Math.min(99, l + units), a, b]
  if (towards === 'darker') return [Math.max(1, l - units), a, b]
  const c = Math.hypot(a, b)
  if (towards === 'stronger' || towards === 'greyer') {
    const wanted = Math.max(0, towards === 'stronger' ? c + units : c - units)
    return c === 0 ? [l, a, b] : [l, (a * wanted) / c, (b * wanted) / c]
  }
  const angle = (LEANS[towards]! * Math.PI) / 180
  return [l, a + units * Math.cos(angle), b + units * Math.sin(angle)]
}

/**
 * A finish matched by eye: the deck colour, moved by what was said of it. No firmer than an eye
 * (`READING_UNCERTAINTY.eye`).
 *
 * @throws ImpossibleColourError where no surface has the colour that was said
 */
export function shiftedByEye(deckColour: Reflectance, shifts: readonly EyeShift[]): Reflectance {
  if (shifts.length === 0) return deckColour
  return reflectanceOfReading({ kind: 'lab', lab: shifts.reduce(shiftedLab, labD65(deckColour)) })
}

/** "a little lighter, clearly greener". */
export const shiftWords = (shifts: readonly EyeShift[]): string =>
  shifts.map(({ towards, size }) => `${size} ${towards}`).join(', ')
