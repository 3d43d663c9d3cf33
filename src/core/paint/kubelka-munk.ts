import { finite } from '../check'
// Saunderson's surface corrections for paint in air, common practice:
// outside reflection k1, inside reflection k2.
const K1 = 0.04
const K2 = 0.6

// No paint is free of absorption; keeps strengths above 100 % of near-whites defined.
const LEAST_K_OVER_S = 1e-5

/**
 * Reflectance inside the film from a reflectance measured with the specular part excluded.
 *
 * Source: Saunderson, J. Opt. Soc. Am. 32 (1942), without the k1 added back. The included form cannot
 * represent a reflectance under k1 and so wrecks navy and off-black.
 */
export function insideReflectance(measured: number): number {
  return finite(measured, 'a reflectance') / ((1 - K1) * (1 - K2) + K2 * measured)
}

/** The inverse of {@link insideReflectance}. */
export function outsideReflectance(inside: number): number {
  finite(inside, 'an inside reflectance')
  return ((1 - K1) * (1 - K2) * inside) / (1 - K2 * inside)
}

/** Absorption over scattering of an opaque film with this inside reflectance, above 0. */
export function kOverS(inside: number): number {
  finite(inside, 'an inside reflectance')
  return Math.max(LEAST_K_OVER_S, (1 - inside) ** 2 / (2 * inside))
}

/** Reflectance inside an opaque film; Kubelka and Munk 1931. */
export function opaqueReflectance(ratio: number): number {
  if (!(ratio >= 0 && ratio < Infinity)) throw new RangeError(`K/S must be 0 or more, got ${ratio}`)
  return 1 + ratio - Math.sqrt(ratio * ratio + 2 * ratio)
}

/**
 * Reflectance inside a film of finite thickness over a ground; Kubelka, J. Opt. Soc. Am. 38 (1948).
 *
 * @param ratio K/S of the film, above 0
 * @param thickness S·X, scattering times thickness, 0 or more
 * @param ground inside reflectance of what lies below
 */
export function filmReflectance(ratio: number, thickness: number, ground: number): number {
  if (!(ratio > 0 && ratio < Infinity && thickness >= 0))
    throw new RangeError(`a film needs K/S above 0 and a thickness, got ${ratio} and ${thickness}`)
  finite(ground, 'what lies below')
  const a = 1 + ratio
  const b = Math.sqrt(a * a - 1)
  const tanh = Math.tanh(b * thickness)
  // The usual form with coth, multiplied through by tanh so that a film of nothing is its ground.
  return (tanh * (1 - ground * a) + ground * b) / (tanh * (a - ground) + b)
}
