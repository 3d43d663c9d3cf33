import { finite } from '../check'
import { flatReflectance, type Reflectance } from '../colour/spectrum'
import { COATS, hidingOver } from './dry-film'
import type { Base } from './strength'

/** What a colour wants under it. */
export interface Ground {
  readonly is: 'white' | 'grey'
  /** LRV of the grey that takes the fewest coats, where grey is wanted. */
  readonly greyLrvPercent: number | null
  /** Coats over white primer until nothing of it is told; null where five do not do it. */
  readonly coatsOverWhite: number | null
  /** The same over what is wanted. */
  readonly coats: number | null
}

// Reflectance of a white primer, and the greys that undercoats are tinted to (common practice).
const PRIMER_WHITE = flatReflectance(0.86)
const GREYS_PERCENT = [60, 45, 30, 18, 10]
const MOST_COATS = 6

const countOf = (coats: number | null): number => coats ?? MOST_COATS

/**
 * Whether a colour at a strength wants a grey under it: where two coats over white do not hide it, and some grey takes
 * fewer.
 */
export function groundFor(
  full: Reflectance,
  whiteBase: Reflectance,
  base: Base,
  strengthPercent: number,
): Ground {
  const over = (ground: Reflectance) => hidingOver(full, whiteBase, base, strengthPercent, ground)
  const white = over(PRIMER_WHITE)
  const plain: Ground = {
    is: 'white',
    greyLrvPercent: null,
    coatsOverWhite: white.coats,
    coats: white.coats,
  }
  if (countOf(white.coats) <= COATS) return plain
  const [best] = GREYS_PERCENT.map((percent) => ({
    percent,
    hiding: over(flatReflectance(percent / 100)),
  })).sort(
    (p, q) =>
      countOf(p.hiding.coats) - countOf(q.hiding.coats) ||
      p.hiding.leftAfter[1]! - q.hiding.leftAfter[1]!,
  )
  if (countOf(best!.hiding.coats) >= countOf(white.coats)) return plain
  return {
    is: 'grey',
    greyLrvPercent: best!.percent,
    coatsOverWhite: white.coats,
    coats: best!.hiding.coats,
  }
}

/** "Grey of LRV 18 under it: 2 coats instead of 4." */
export function groundSaid({ is, greyLrvPercent, coatsOverWhite, coats }: Ground): string {
  const said = (count: number | null): string =>
    count === null
      ? 'more than 5 coats'
      : `${finite(count, 'coats')} ${count === 1 ? 'coat' : 'coats'}`
  if (greyLrvPercent !== null) finite(greyLrvPercent, 'an LRV')
  const [over, without] = [said(coats), said(coatsOverWhite)]
  if (is === 'grey')
    return `A grey of LRV ${greyLrvPercent} under it: ${over} instead of ${without}.`
  if (coats !== null && coats <= COATS) return 'Primed white first.'
  return `Primed white first; it hides in ${over} only, so a board of two coats is a little thin.`
}
