import { between } from '../check'
import { BANDS, type Reflectance } from '../colour/spectrum'
import { insideReflectance, kOverS, opaqueReflectance, outsideReflectance } from './kubelka-munk'
import { lrvPercent } from './lrv'

export const BASES = ['white', 'mid', 'deep', 'clear'] as const
/** The untinted paint a colour is mixed in. */
export type Base = (typeof BASES)[number]

/** Strengths a colour is usually taken up at, per cent of its tint formula. */
export const STRENGTHS_PERCENT = [100, 75, 50, 25] as const
const STRONGER_PERCENT = [150, 125] as const

/** The most tint each base takes, per cent of a formula; common practice, a deck that knows better says so. */
const MOST_PERCENT: Record<Base, number> = { white: 150, mid: 125, deep: 100, clear: 100 }

/** The strongest mix a base takes, per cent. */
export const mostStrengthPercent = (base: Base): number => MOST_PERCENT[base]

/** Why a base has no ladder of paler colours, or null where it has one. */
export function whyNoLadder(base: Base): string | null {
  if (base === 'white') return null
  const what = { mid: 'A mid base', deep: 'A deep base', clear: 'A clear base' }[base]
  return (
    `${what} holds little white. Cutting the tint costs hiding and does not make it paler as white would, ` +
    'so this colour is taken at 100 % or not at all; look for a paler relative on its strip.'
  )
}

/** The rungs a colour in a base has, strongest first: a white base takes all of them, one where it has no ladder. */
export function ladderOf(base: Base): readonly number[] {
  if (whyNoLadder(base)) return [100]
  return [...STRONGER_PERCENT, ...STRENGTHS_PERCENT]
}

/** Said both ways the trade says it: "at 75 %, with 25 % less tint". */
export function strengthWords(strengthPercent: number): string {
  between(strengthPercent, 0, 1000, 'a strength')
  if (strengthPercent === 100) return 'at full strength'
  const change =
    strengthPercent < 100
      ? `with ${100 - strengthPercent} % less tint`
      : `with ${strengthPercent - 100} % more tint`
  return `at ${strengthPercent} %, ${change}`
}

/**
 * Reflectance of a colour mixed at a strength: Kubelka–Munk, band by band, from the deck's white base
 * towards the full formula, K/S(p) = K/S_base + p · (K/S_100 − K/S_base), with Saunderson's
 * correction in its specular-excluded form.
 *
 * @param full the colour at 100 %, 36 bands
 * @param whiteBase the untinted base, 36 bands
 * @param strengthPercent 0 (the base) to 150
 * @throws RangeError outside 0 to 150
 */
export function atStrength(
  full: Reflectance,
  whiteBase: Reflectance,
  strengthPercent: number,
): Reflectance {
  const share = checkedShare(strengthPercent)
  if (strengthPercent === 100) return full
  const mixed = new Float64Array(BANDS)
  for (let band = 0; band < BANDS; band++) {
    const base = kOverS(insideReflectance(whiteBase[band]!))
    const tinted = kOverS(insideReflectance(full[band]!))
    const ratio = Math.max(0, base + share * (tinted - base))
    mixed[band] = outsideReflectance(opaqueReflectance(ratio))
  }
  return mixed
}

/**
 * The strength at which a colour comes nearest to something wanted.
 *
 * @param miss how far a mix is from what is wanted, any unit; smaller is nearer
 * @returns per cent, whole, 1 to the most the base takes
 */
export function nearestStrength(
  full: Reflectance,
  whiteBase: Reflectance,
  base: Base,
  miss: (mixed: Reflectance) => number,
): number {
  let best = 100
  let least = Infinity
  for (let percent = 1; percent <= mostStrengthPercent(base); percent++) {
    const here = miss(atStrength(full, whiteBase, percent))
    if (here < least) [best, least] = [percent, here]
  }
  return best
}

/** The strength at which a colour's LRV comes nearest to a wanted one; see {@link nearestStrength}. */
export const strengthForLrv = (
  full: Reflectance,
  whiteBase: Reflectance,
  base: Base,
  wantedPercent: number,
): number =>
  nearestStrength(full, whiteBase, base, (mixed) => Math.abs(lrvPercent(mixed) - wantedPercent))

/** A strength as a share, 0 to 1.5; throws RangeError outside. */
export function checkedShare(strengthPercent: number): number {
  if (!(strengthPercent >= 0 && strengthPercent <= 150))
    throw new RangeError(`strength must be 0 to 150 %, got ${strengthPercent}`)
  return strengthPercent / 100
}
