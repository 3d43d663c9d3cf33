import { between } from '../check'
import { flatReflectance, type Reflectance } from '../colour/spectrum'
import { groundFor, type Ground } from '../paint/ground'
import { COATS, hidingOver } from '../paint/dry-film'
import { packsFor, priceOf, type PackCount } from './packs'
import { takesMore, type PaintWays, type ProductUse } from './products'
import type { Base } from '../paint/strength'
import type { Treatment } from '../paint/treatment'

/** A mix, as coats of it are reckoned. */
export interface Mix {
  /** The colour at 100 %, 36 bands. */
  readonly full: Reflectance
  readonly whiteBase: Reflectance
  readonly base: Base
  readonly strengthPercent: number
}

/** How a colour is brought over what is there. */
export interface Coats {
  /** Of the colour. */
  readonly coats: number
  /** What goes under first; null where nothing has to. */
  readonly undercoat: 'white primer' | 'grey undercoat' | null
  readonly undercoatLrvPercent: number | null
  /** How many coats hide what is there without anything under them; null where five do not. */
  readonly hidesIn: number | null
  readonly said: string
}

/** What a colour goes over. */
export interface OldCoat {
  readonly reflectance: Reflectance
  readonly words: string
}

const OLD_WHITE = flatReflectance(0.78)
/** White as old paint is. */
export const OVER_OLD_WHITE: OldCoat = { reflectance: OLD_WHITE, words: 'an old white' }
/** The same for walls of which nobody has said what is on them. */
export const OVER_UNSAID: OldCoat = {
  reflectance: OLD_WHITE,
  words: 'an old white (nobody has said what is there now)',
}
/** What is on a wall now. */
export const overOld = (reflectance: Reflectance): OldCoat => ({
  reflectance,
  words: 'the old colour',
})

// A painter lays a coat under rather than a fourth on.
const MOST_WITHOUT_UNDERCOAT = 3

/**
 * Coats of a colour over an old one, by computed hiding: two at least, for an even film (common practice); where more than
 * three would be needed, something under them that takes fewer.
 *
 */
export function coatsOver(mix: Mix, old: OldCoat): Coats {
  const { full, whiteBase, base, strengthPercent } = mix
  const hiding = hidingOver(full, whiteBase, base, strengthPercent, old.reflectance)
  const over = old.words
  if (hiding.coats !== null && hiding.coats <= MOST_WITHOUT_UNDERCOAT) {
    const coats = Math.max(COATS, hiding.coats)
    return {
      coats,
      undercoat: null,
      undercoatLrvPercent: null,
      hidesIn: hiding.coats,
      said:
        hiding.coats < COATS
          ? `It hides ${over} in one coat; two make an even film.`
          : `It hides ${over} in ${hiding.coats} coats.`,
    }
  }
  const under = groundFor(full, whiteBase, base, strengthPercent)
  const without =
    hiding.coats === null ? 'in five coats it does not hide' : `it takes ${hiding.coats} coats over`
  return {
    coats: Math.max(COATS, Math.min(5, under.coats ?? 5)),
    undercoat: under.is === 'grey' ? 'grey undercoat' : 'white primer',
    undercoatLrvPercent: under.greyLrvPercent,
    hidesIn: hiding.coats,
    said: `${undercoatSaid(under)}: without it ${without} ${over}.`,
  }
}

const undercoatSaid = ({ is, greyLrvPercent }: Ground): string =>
  is === 'grey' ? `Over an undercoat tinted grey, LRV ${greyLrvPercent}` : 'Over a white primer'

/** How much of one paint a surface takes. */
export interface Quantity {
  readonly use: ProductUse
  readonly areaM2: number
  readonly coats: number
  readonly litres: number
  readonly packs: readonly PackCount[]
  /** Null where prices are not given. */
  readonly price: number | null
}

/**
 * Litres of a paint, and whole tins of it: area, times what its texture takes more, times coats, over how far a litre goes,
 * and what is wasted.
 *
 * @throws RangeError for an area below 0, coats below 1, or a spread that is none
 */
export function quantityOf(
  use: ProductUse,
  areaM2: number,
  coats: number,
  treatment: Treatment,
  ways: PaintWays,
): Quantity {
  between(areaM2, 0, 100_000, 'an area in m²')
  between(coats, 1, 10, 'coats')
  const { spreadM2PerLitre, packs } = ways.products[use]
  between(spreadM2PerLitre, 0.1, 100, 'square metres a litre')
  const litres =
    ((areaM2 * takesMore(use, treatment) * coats) / spreadM2PerLitre) *
    (1 + between(ways.wastePercent, 0, 100, 'waste') / 100)
  const whole = packsFor(litres * 1000, packs)
  return { use, areaM2, coats, litres, packs: whole, price: priceOf(whole) }
}

/** One paint in one sheen as the counter sells it: the litres of all its surfaces, rounded to tins once. */
export interface Ordered {
  readonly key: string
  readonly use: ProductUse
  readonly litres: number
  readonly packs: readonly PackCount[]
  readonly price: number | null
}

/** Sums what several surfaces take of one mix in one sheen and product, so that tins are rounded up once and not per room. */
export function ordered(
  parts: readonly { readonly key: string; readonly quantity: Quantity }[],
  ways: PaintWays,
): Ordered[] {
  const keys = [...new Set(parts.map(({ key }) => key))]
  return keys.map((key) => {
    const own = parts.filter((part) => part.key === key).map(({ quantity }) => quantity)
    const litres = own.reduce((sum, each) => sum + each.litres, 0)
    const { use } = own[0]!
    const packs = packsFor(litres * 1000, ways.products[use].packs)
    return { key, use, litres, packs, price: priceOf(packs) }
  })
}
