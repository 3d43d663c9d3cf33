import { packsFor, type Pack, type PackCount } from '../quantity/packs'
import { COATS } from '../paint/dry-film'

/** A tester by its size, and what it covers once. */
export interface Pot extends Pack {
  /** One coat, generously laid on. */
  readonly coversM2: number
}

const FT2_M2 = 0.09290304

/**
 * A pint covers about 30 square feet and 4 fl oz about 8, one coat; the metric pots as far for what they hold (common
 * practice; each tin says its own).
 */
export const USUAL_POTS: Readonly<Record<'litres' | 'us-gallons', readonly Pot[]>> = {
  'us-gallons': [
    { name: '4 fl oz pot', ml: 118, price: null, coversM2: 8 * FT2_M2 },
    { name: 'pint', ml: 473, price: null, coversM2: 30 * FT2_M2 },
  ],
  litres: [
    { name: '100 ml pot', ml: 100, price: null, coversM2: 0.6 },
    { name: '250 ml pot', ml: 250, price: null, coversM2: 1.5 },
  ],
}

/** A rigid board with a border of its white left all round. */
export interface BoardSize {
  readonly widthMm: number
  readonly heightMm: number
  readonly borderMm: number
}

/** Large enough to fill the eye at arm's length, small enough to carry (common practice). */
export const USUAL_BOARD: BoardSize = { widthMm: 600, heightMm: 600, borderMm: 25 }

/** What of a board is painted, square metres; throws RangeError where its border leaves nothing. */
export function paintedM2({ widthMm, heightMm, borderMm }: BoardSize): number {
  const [width, height] = [widthMm - 2 * borderMm, heightMm - 2 * borderMm]
  if (!(width > 0 && height > 0))
    throw new RangeError(
      `a border of ${borderMm} mm leaves nothing of ${widthMm} × ${heightMm} mm to paint`,
    )
  return (width * height) / 1e6
}

/**
 * The pots that so much of one mix takes in two coats: those with the least left over.
 *
 * @param areaM2 of all boards and patches of that mix, one coat
 */
export function potsFor(areaM2: number, pots: readonly Pot[], coats = COATS): PackCount[] {
  if (!(areaM2 >= 0)) throw new RangeError(`an area must be 0 or more, got ${areaM2}`)
  // In square centimetres of one coat, which is what a pot holds for this purpose.
  const covers = pots.map(({ name, coversM2 }): Pack => ({
    name,
    ml: Math.floor(coversM2 * 1e4),
    price: null,
  }))
  return packsFor(areaM2 * coats * 1e4, covers).map(({ pack, count }) => ({
    pack: pots[covers.indexOf(pack)]!,
    count,
  }))
}
