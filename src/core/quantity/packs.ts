/** A size that paint is sold in. */
export interface Pack {
  /** "2.5 l", "gallon". */
  readonly name: string
  readonly ml: number
  /** In the money of the visit; null where it is not known. */
  readonly price: number | null
}

export interface PackCount {
  readonly pack: Pack
  readonly count: number
}

// A tin twice as large is not twice as dear (common practice): where prices are not known, tins cost as their content to this
// power, so that one large tin comes before several small ones that leave a little less over.
const DEARER_BY = 0.8

// What a house takes is far below; more than this is a slip of the pen.
const MOST_ML = 2_000_000

/**
 * Whole packs that hold at least so much: the cheapest by their prices, or, where one is not known, as tins usually cost; of
 * equals the fewest.
 *
 * @param neededMl 0 or more
 * @returns largest first; empty for nothing needed
 * @throws RangeError without sizes, for a size that is no whole number of millilitres, or for more than 2,000 l
 */
export function packsFor(neededMl: number, packs: readonly Pack[]): PackCount[] {
  if (!(neededMl >= 0 && neededMl <= MOST_ML))
    throw new RangeError(`an amount must be 0 to ${MOST_ML} ml, got ${neededMl}`)
  if (packs.length === 0) throw new RangeError('expected at least one size that paint is sold in')
  for (const { ml } of packs)
    if (!(Number.isInteger(ml) && ml > 0))
      throw new RangeError(`a size must be a whole number of ml above 0, got ${ml}`)
  const unit = packs.reduce((divisor, { ml }) => greatestDivisor(divisor, ml), 0)
  const needed = Math.ceil(neededMl / unit)
  const sizes = packs.map(({ ml }) => ml / unit)
  const isPriced = packs.every(({ price }) => price !== null)
  const prices = packs.map(({ price }, at) => (isPriced ? price! : sizes[at]! ** DEARER_BY))
  // The best way to hold at least so many units: cost first, then packs.
  const cost = new Float64Array(needed + 1).fill(Infinity)
  const count = new Int32Array(needed + 1)
  const last = new Int16Array(needed + 1).fill(-1)
  cost[0] = 0
  for (let amount = 1; amount <= needed; amount++)
    sizes.forEach((size, at) => {
      const before = Math.max(0, amount - size)
      const total = cost[before]! + prices[at]!
      const isBetter =
        total < cost[amount]! - 1e-9 ||
        (total < cost[amount]! + 1e-9 && count[before]! + 1 < count[amount]!)
      if (!isBetter) return
      cost[amount] = total
      count[amount] = count[before]! + 1
      last[amount] = at
    })
  const taken = new Int32Array(packs.length)
  for (let amount = needed; amount > 0; amount = Math.max(0, amount - sizes[last[amount]!]!))
    taken[last[amount]!]!++
  return packs
    .map((pack, at) => ({ pack, count: taken[at]! }))
    .filter((each) => each.count > 0)
    .sort((p, q) => q.pack.ml - p.pack.ml)
}

/** What some packs cost together; null where a price is not known. */
export const priceOf = (packs: readonly PackCount[]): number | null =>
  packs.reduce<number | null>(
    (sum, { pack, count }) =>
      sum === null || pack.price === null ? null : sum + count * pack.price,
    0,
  )

/** "2 × 2.5 l, 1 × 1 l". */
export const packsSaid = (packs: readonly PackCount[]): string =>
  packs.map(({ pack, count }) => `${count} × ${pack.name}`).join(', ')

const greatestDivisor = (p: number, q: number): number => (q === 0 ? p : greatestDivisor(q, p % q))
