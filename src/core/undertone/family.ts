import { DEFAULT_HOUSE_RULES, type HouseRules } from '../advice/house-rules'
import { hueName, hueNameAmongKind, type HueName } from './hue-name'
import { lightnessWord } from './lightness-word'
import type { Undertone } from './undertone'

export type Kind =
  'grey' | 'charcoal' | 'greige' | 'taupe' | 'beige' | 'tan' | 'cream' | 'off-white' | HueName

/** Limits of the kinds, in CAM16-UCS units, degrees and LRV per cent; see docs/model.md. */
export const KIND_LIMITS = {
  greyBelow: 3.5,
  charcoalUpToLrv: 20,
  greigeBelow: 8.5,
  greigeHueDeg: [35, 125],
  taupeBelow: 13,
  taupeHueDeg: [270, 35],
  creamFromLrv: 68,
  creamLean: [6, 14],
  creamHueDeg: [78, 106],
  neutralBelow: 20,
  /** For those who tell beige from tan by lightness, and a greige from a greyed off-white. */
  beigeFromLrv: 50,
  offWhiteFromLrv: 72,
} as const

/** A lean this near a limit belongs to both sides. */
const SOFT_LEAN = 0.5
const SOFT_HUE_DEG = 4

/** What a colour is called: "off-white greige", "mid, between grey and greige". */
export interface Family {
  readonly kind: Kind
  /** The kind across the nearest border, where the colour lies near one. */
  readonly near: Kind | null
  readonly words: string
}

/**
 * The family of a paint by its lightness and its lean in daylight.
 *
 * @param lrvPercent decides the lightness word, charcoal and cream
 * @param rules decide between beige and tan, and what may be called a greige
 */
export function familyOf(
  undertone: Undertone,
  lrvPercent: number,
  rules: HouseRules = DEFAULT_HOUSE_RULES,
): Family {
  const { c, hueDeg } = undertone
  const kind = byRule(kindOf(c, hueDeg, lrvPercent), lrvPercent, rules)
  const near =
    neighbours(undertone, lrvPercent)
      .map((other) => byRule(other, lrvPercent, rules))
      .find((other) => other !== kind) ?? null
  const lightness = lightnessWord(lrvPercent)
  if (near) return { kind, near, words: `${lightness}, between ${kind} and ${near}` }
  const oneWord = kind === 'charcoal' || kind === 'off-white'
  return { kind, near, words: oneWord ? kind : `${lightness} ${kind}` }
}

/** Names on which schools differ. */
function byRule(kind: Kind, lrv: number, rules: HouseRules): Kind {
  if (rules['beige-tan'] === 'lightness' && (kind === 'beige' || kind === 'tan'))
    return lrv >= KIND_LIMITS.beigeFromLrv ? 'beige' : 'tan'
  if (rules.greige === 'warm-grey' && kind === 'greige' && lrv > KIND_LIMITS.offWhiteFromLrv)
    return 'off-white'
  return kind
}

function kindOf(c: number, hueDeg: number, lrv: number): Kind {
  const limit = KIND_LIMITS
  if (c < limit.greyBelow) return lrv <= limit.charcoalUpToLrv ? 'charcoal' : 'grey'
  const [creamFrom, creamTo] = limit.creamLean
  if (
    lrv >= limit.creamFromLrv &&
    within(c, creamFrom, creamTo) &&
    between(hueDeg, ...limit.creamHueDeg)
  )
    return 'cream'
  if (c < limit.greigeBelow && between(hueDeg, ...limit.greigeHueDeg)) return 'greige'
  if (c < limit.taupeBelow && between(hueDeg, ...limit.taupeHueDeg)) return 'taupe'
  if (c < limit.neutralBelow) {
    const lean = hueNameAmongKind(hueDeg)
    if (lean === 'orange' || (lean === 'pink' && hueDeg >= 35 && hueDeg < 90)) return 'beige'
    if (lean === 'yellow' || lean === 'yellow-green') return 'tan'
  }
  return hueName(hueDeg)
}

const within = (value: number, from: number, to: number): boolean => value >= from && value < to

/** Whether an angle lies in an arc, which may run through 0. */
const between = (hueDeg: number, from: number, to: number): boolean =>
  from <= to ? within(hueDeg, from, to) : hueDeg >= from || hueDeg < to

/** Kinds that a small change of the lean would make of it, the nearest border first. */
function neighbours({ c, hueDeg }: Undertone, lrv: number): Kind[] {
  const turned = (by: number): number => (hueDeg + by + 360) % 360
  const hues =
    c < KIND_LIMITS.greyBelow
      ? []
      : [turned(-SOFT_HUE_DEG), turned(SOFT_HUE_DEG)].map((hue) => kindOf(c, hue, lrv))
  return [kindOf(c - SOFT_LEAN, hueDeg, lrv), kindOf(c + SOFT_LEAN, hueDeg, lrv), ...hues]
}
