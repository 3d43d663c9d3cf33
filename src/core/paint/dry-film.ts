import { ciede2000 } from '../colour/ciede2000'
import { BANDS, type Reflectance } from '../colour/spectrum'
import {
  filmReflectance,
  insideReflectance,
  kOverS,
  opaqueReflectance,
  outsideReflectance,
} from './kubelka-munk'
import { lrvPercent } from './lrv'
import { labD65 } from './reading'
import { checkedShare, type Base } from './strength'

/**
 * Scattering of a base's white over that of the white base: about its share of white pigment, which mid bases hold half
 * of, deep ones an eighth, clear ones next to none (0.4–0.65, 0.08–0.2, 0–0.05; common practice).
 */
const WHITE_SCATTER: Record<Base, number> = { white: 1, mid: 0.55, deep: 0.12, clear: 0.03 }

/**
 * How much a tint scatters for what it absorbs where it absorbs most, which its masstone tells: an iron oxide alone sends
 * back about 4 % there, K/S 4 inside the film, so 0.25; organic colourants half a per cent, so 0.03. Between them, nearer
 * the oxides that most formulas of a house are made of (0.03–0.25; common practice).
 */
const TINT_SCATTER_OVER_ABSORPTION = 0.2
/**
 * A full load of tint is a twelfth to an eighth of the tin, and its pigment scatters about as much for its volume as white
 * does: an eighth of the white base's white (0.06–0.25; common practice). Deep and clear bases are taken for formulas that
 * load them to a half of that and more.
 */
const MOST_TINT_SCATTER = 0.12
const LEAST_TINT_SCATTER: Record<Base, number> = { white: 0, mid: 0.02, deep: 0.06, clear: 0.1 }

/**
 * Scattering of one coat of the white base, S·X: set so that two coats of a white of 92 % hide at a contrast ratio of
 * 0.98, class 2 of EN 13300 and what a good white claims on its tin (common practice).
 */
const COAT_OF_WHITE = 12

// Black and white parts of a drawdown card, inside reflectances.
const CARD_BLACK = 0.01
const CARD_WHITE = 0.85

export const COATS = 2

/** A mix as coats of it look and hide. */
export interface DryFilm {
  /** Over white, 36 bands. */
  readonly reflectance: Reflectance
  /** LRV over black divided by LRV over white, 0 to 1; 0.98 and more is full hiding. */
  readonly contrastRatio: number
}

/** A mix with its two constants apart: absorption over scattering of each band, and scattering of a coat. */
interface Mix {
  readonly ratio: Float64Array
  readonly coat: number
}

/**
 * A colour at a strength with the two constants of Kubelka and Munk: base and tint absorb and scatter apart. A formula's
 * split is not known from its colour; a usual one stands in for it, so this tells the direction and the size, not the
 * third figure.
 */
function mixOf(full: Reflectance, whiteBase: Reflectance, base: Base, share: number): Mix {
  const white = WHITE_SCATTER[base]
  const bands = full.length
  const ofBase = new Float64Array(bands)
  const ofFull = new Float64Array(bands)
  for (let band = 0; band < bands; band++) {
    ofBase[band] = kOverS(insideReflectance(whiteBase[band]!)) * white
    ofFull[band] = kOverS(insideReflectance(full[band]!))
  }
  const peak = ofFull.indexOf(Math.max(...ofFull))
  // The tint's scattering hangs on its absorption, and that on the scattering of the whole: a few rounds settle it.
  let tint = 0
  for (let round = 0; round < 30; round++) {
    const absorbs = ofFull[peak]! * (white + tint) - ofBase[peak]!
    tint = Math.min(
      MOST_TINT_SCATTER,
      Math.max(LEAST_TINT_SCATTER[base], TINT_SCATTER_OVER_ABSORPTION * absorbs),
    )
  }
  const scatters = white + share * tint
  return {
    ratio: ofFull.map((ratio, band) => {
      const absorbs = ratio * (white + tint) - ofBase[band]!
      return Math.max(1e-6, (ofBase[band]! + share * absorbs) / scatters)
    }),
    coat: scatters * COAT_OF_WHITE,
  }
}

/**
 * Coats of a colour at a strength in any base, over white and over black (Kubelka 1948).
 *
 * @throws RangeError for a strength outside 0 to 150, or coats that are not above 0
 */
export function dryFilm(
  full: Reflectance,
  whiteBase: Reflectance,
  base: Base,
  strengthPercent: number,
  coats = COATS,
): DryFilm {
  if (!(coats > 0)) throw new RangeError(`coats must be above 0, got ${coats}`)
  const mix = mixOf(full, whiteBase, base, checkedShare(strengthPercent))
  const over = (ground: number): Reflectance =>
    mix.ratio.map((ratio) => outsideReflectance(filmReflectance(ratio, coats * mix.coat, ground)))
  const reflectance = over(CARD_WHITE)
  return { reflectance, contrastRatio: lrvPercent(over(CARD_BLACK)) / lrvPercent(reflectance) }
}

/** How a colour hides an old one. */
export interface Hiding {
  /** Coats until nothing of the old colour is told; null where no sensible number of them hides it. */
  readonly coats: number | null
  /** ΔE00 by daylight to the same colour opaque, after one coat, after two, …. */
  readonly leftAfter: readonly number[]
}

// A difference that nobody tells on a wall without its neighbour beside it, and the most coats that a painter agrees to.
const HIDDEN_BELOW = 0.7
const MOST_COATS = 5

/**
 * How many coats a colour at a strength needs over an old one.
 *
 * @param old what is on the wall now, 36 bands
 * @throws RangeError for a strength outside 0 to 150
 */
export function hidingOver(
  full: Reflectance,
  whiteBase: Reflectance,
  base: Base,
  strengthPercent: number,
  old: Reflectance,
): Hiding {
  const mix = mixOf(full, whiteBase, base, checkedShare(strengthPercent))
  const opaque = labD65(mix.ratio.map((ratio) => outsideReflectance(opaqueReflectance(ratio))))
  const leftAfter = Array.from({ length: MOST_COATS }, (_, i) =>
    ciede2000(
      opaque,
      labD65(
        Float64Array.from({ length: BANDS }, (_, band) =>
          outsideReflectance(
            filmReflectance(mix.ratio[band]!, (i + 1) * mix.coat, insideReflectance(old[band]!)),
          ),
        ),
      ),
    ),
  )
  const hidden = leftAfter.findIndex((left) => left < HIDDEN_BELOW)
  return { coats: hidden < 0 ? null : hidden + 1, leftAfter }
}
