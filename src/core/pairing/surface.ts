import { chanceOver } from '../chance-over'
import { roomForColour } from '../undertone/undertone'
import { LIMITS } from './limits'

/** A surface as a pair needs it: where it lies, how sure, and what hangs on it alone. Filled in place by `fillSurface`. */
export interface PairSurface {
  j: number
  a: number
  b: number
  /** Length of the lean. */
  c: number
  /** Variance of a and b, and of J′, with the observer's own part. */
  varLean: number
  varJ: number
  /** c over what its lightness leaves for colour. */
  cleanness: number
  varCleanness: number
  // Chances that hang on this surface alone.
  felt: number
  black: number
  light: number
  slight: number
  /** Lean over the contrast's two limits. */
  clear: number
  strong: number
  /** Lean over what another can dirty, over a creamy one's, under a clean one's, and under what has hardly any. */
  leans: number
  creamy: number
  clean: number
  colourless: number
}

export const emptySurface = (): PairSurface => ({
  j: 0,
  a: 0,
  b: 0,
  c: 0,
  varLean: 1,
  varJ: 1,
  cleanness: 0,
  varCleanness: 1,
  felt: 0,
  black: 0,
  light: 0,
  slight: 0,
  clear: 0,
  strong: 0,
  leans: 0,
  creamy: 0,
  clean: 0,
  colourless: 0,
})

/** Variance of an observer's own line, an axis and surface. */
export const OWN_VARIANCE = LIMITS.ownSpread ** 2

/**
 * Fills a surface from its place in the light at hand.
 *
 * @param leanSpread and jSpread standard uncertainty of its reading, CAM16-UCS units
 */
export function fillSurface(
  into: PairSurface,
  j: number,
  a: number,
  b: number,
  leanSpread: number,
  jSpread: number,
): PairSurface {
  const c = Math.sqrt(a * a + b * b)
  const varLean = OWN_VARIANCE + leanSpread * leanSpread
  const varJ = OWN_VARIANCE + jSpread * jSpread
  const perLean = 1 / Math.sqrt(varLean)
  const perJ = 1 / Math.sqrt(varJ)
  const room = roomForColour(j)
  into.j = j
  into.a = a
  into.b = b
  into.c = c
  into.varLean = varLean
  into.varJ = varJ
  into.cleanness = c / room
  into.varCleanness = varLean / (room * room)
  into.felt = chanceOver((c - LIMITS.feltLean * room) * perLean)
  into.black =
    chanceOver((LIMITS.black.jBelow - j) * perJ) *
    chanceOver((LIMITS.black.leanBelow - c) * perLean)
  into.light = chanceOver((j - LIMITS.lightFrom) * perJ)
  into.slight = chanceOver((LIMITS.bridge.leanBelow - c) * perLean)
  into.clear = chanceOver((c - LIMITS.contrast.weaker) * perLean)
  into.strong = chanceOver((c - LIMITS.contrast.stronger) * perLean)
  into.leans = chanceOver((c - LIMITS.dirty.leanFrom) * perLean)
  into.creamy = chanceOver((c - LIMITS.washesOut.finishLean) * perLean)
  into.clean = chanceOver((LIMITS.dirtyLight.finishLeanBelow - c) * perLean)
  into.colourless = chanceOver((LIMITS.washesOut.paleBelow - c) * perLean)
  return into
}
