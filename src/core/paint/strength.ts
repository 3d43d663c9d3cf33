import { BANDS, type Reflectance } from '../colour/spectrum'
import { insideReflectance, kOverS, opaqueReflectance, outsideReflectance } from './kubelka-munk'

export const BASES = ['white', 'mid', 'deep', 'clear'] as const
/** The untinted paint a colour is mixed in. */
export type Base = (typeof BASES)[number]

/** Strengths a colour can be taken up at, per cent of its tint formula. */
export const STRENGTHS_PERCENT = [100, 75, 50, 25] as const

/** Why a base has no ladder, or null where it has one. */
export function whyNoLadder(base: Base): string | null {
  if (base === 'white') return null
  const what = { mid: 'A mid base', deep: 'A deep base', clear: 'A clear base' }[base]
  return (
    `${what} holds little white. Cutting the tint costs hiding before it costs depth, ` +
    'so this colour is taken at 100 % or not at all; look for a paler relative on its strip.'
  )
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
  if (!(strengthPercent >= 0 && strengthPercent <= 150))
    throw new RangeError(`strength must be 0 to 150 %, got ${strengthPercent}`)
  if (strengthPercent === 100) return full
  const share = strengthPercent / 100
  const mixed = new Float64Array(BANDS)
  for (let band = 0; band < BANDS; band++) {
    const base = kOverS(insideReflectance(whiteBase[band]!))
    const tinted = kOverS(insideReflectance(full[band]!))
    const ratio = Math.max(0, base + share * (tinted - base))
    mixed[band] = outsideReflectance(opaqueReflectance(ratio))
  }
  return mixed
}
