import { DEFAULT_HOUSE_RULES, type HouseRules } from '../advice/house-rules'
import { hueName, hueNameAmongKind, NO_LEAN_BELOW, type HueName } from './hue-name'
import { lightnessWord } from './lightness-word'
import { leaning, roomForColour, type Undertone } from './undertone'

export type Kind =
  | 'black'
  | 'off-black'
  | 'charcoal'
  | 'brown'
  | 'grey'
  | 'greige'
  | 'taupe'
  | 'beige'
  | 'tan'
  | 'cream'
  | 'off-white'
  | 'white'
  | HueName

/** Kinds that a deck is looked through by: the neutrals. What leans on is looked through by its undertone. */
export const FILTER_FAMILIES = [
  'white',
  'off-white',
  'cream',
  'greige',
  'beige',
  'tan',
  'taupe',
  'grey',
  'charcoal',
  'brown',
  'off-black',
  'black',
] as const satisfies readonly Kind[]

/** Kinds that keep their name whatever way they lean, and say it: "grey, leaning blue-green". */
const NAMED_WITH_LEAN: readonly Kind[] = [
  'black',
  'off-black',
  'charcoal',
  'grey',
  'off-white',
  'white',
]

/** Kinds that say how light they are by themselves. */
const SAYS_LIGHTNESS: readonly Kind[] = [
  'black',
  'off-black',
  'charcoal',
  'brown',
  'off-white',
  'white',
]

/**
 * Limits of the kinds: leans in CAM16-UCS units, or over √(104 − J′) where depth leaves less or more for colour, angles
 * in degrees, LRV in per cent. Common practice on invented neutrals; see docs/model.md.
 */
export const KIND_LIMITS = {
  /** Relative lean up to which it is a grey: towards violet and pink, towards orange to yellow-green, elsewhere. */
  grey: { violetToPink: 0.6, warm: 0.72, cool: 1.1 },
  warmHueDeg: [35, 125],
  violetToPinkHueDeg: [290, 35],
  black: { upToLrv: 4, leanBelow: 2.5 },
  /** Deep neutrals: off-black, then charcoal; leaning more and warm it is a brown. */
  deep: { offBlackUpToLrv: 10, upToLrv: 20, relativeBelow: 0.68, brownHueDeg: [35, 90] },
  greigeBelow: 8.5,
  taupe: { relativeBelow: 1.45, hueDeg: [290, 50] },
  creamFromLrv: 68,
  creamLean: [7, 14],
  creamHueDeg: [78, 106],
  offWhiteFromLrv: 69,
  whiteFromLrv: 85,
  offWhiteBelow: 7.5,
  neutralBelow: 20,
  /** For those who tell beige from tan by lightness. */
  beigeFromLrv: 50,
} as const

/** A lean this near a limit belongs to both sides. */
const SOFT_LEAN = 0.5
const SOFT_HUE_DEG = 4
const SOFT_LRV = 1.5

/** What a colour is called: "off-white greige", "mid, between grey and greige". */
export interface Family {
  readonly kind: Kind
  /** The kind across the nearest border, where the colour lies near one. */
  readonly near: Kind | null
  readonly words: string
}

/** The kind alone with its lightness, for a line: "light greige", "off-white". */
export function shortFamily(undertone: Undertone, lrvPercent: number, rules: HouseRules): string {
  const { kind } = familyOf(undertone, lrvPercent, rules)
  return SAYS_LIGHTNESS.includes(kind) ? kind : `${lightnessWord(lrvPercent)} ${kind}`
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
  const named = (seen: Undertone, lrv: number): Kind => byRule(kindOf(seen, lrv), seen, lrv, rules)
  const kind = named(undertone, lrvPercent)
  const near = neighbours(undertone, lrvPercent, named).find((other) => other !== kind) ?? null
  const lightness = lightnessWord(lrvPercent)
  const saysLightness = [kind, near].some((each) => each !== null && SAYS_LIGHTNESS.includes(each))
  const prefix = saysLightness ? '' : near ? `${lightness}, ` : `${lightness} `
  const words = near ? `${prefix}between ${kind} and ${near}` : `${prefix}${kind}`
  const lean =
    NAMED_WITH_LEAN.includes(kind) && undertone.c >= NO_LEAN_BELOW
      ? `, leaning ${hueName(undertone.hueDeg)}`
      : ''
  return { kind, near, words: `${words}${lean}` }
}

/** Names on which schools differ. */
function byRule(kind: Kind, { c, hueDeg, j }: Undertone, lrv: number, rules: HouseRules): Kind {
  if (rules['beige-tan'] === 'lightness' && (kind === 'beige' || kind === 'tan'))
    return lrv >= KIND_LIMITS.beigeFromLrv ? 'beige' : 'tan'
  const isGreyedOffWhite =
    kind === 'off-white' &&
    c / roomForColour(j) >= GREYED_OFF_WHITE &&
    between(hueDeg, ...KIND_LIMITS.taupe.hueDeg) === false &&
    between(hueDeg, ...KIND_LIMITS.warmHueDeg)
  if (rules.greige === 'both' && isGreyedOffWhite && c < GREYED_BELOW) return 'greige'
  return kind
}

// A greyed off-white, between these, is a greige to the school that calls it so.
const GREYED_OFF_WHITE = 0.9
const GREYED_BELOW = 5

/** Up to which relative lean a hue is a grey's. */
function greyUpTo(hueDeg: number): number {
  const { grey, warmHueDeg, violetToPinkHueDeg } = KIND_LIMITS
  if (between(hueDeg, ...warmHueDeg)) return grey.warm
  return between(hueDeg, ...violetToPinkHueDeg) ? grey.violetToPink : grey.cool
}

function kindOf({ c, hueDeg, j }: Undertone, lrv: number): Kind {
  const limit = KIND_LIMITS
  const relative = c / roomForColour(j)
  if (lrv <= limit.deep.upToLrv) {
    if (lrv <= limit.black.upToLrv && c < limit.black.leanBelow) return 'black'
    if (relative < limit.deep.relativeBelow)
      return lrv <= limit.deep.offBlackUpToLrv ? 'off-black' : 'charcoal'
    if (c < limit.neutralBelow && between(hueDeg, ...limit.deep.brownHueDeg)) return 'brown'
  }
  const [creamFrom, creamTo] = limit.creamLean
  if (
    lrv >= limit.creamFromLrv &&
    within(c, creamFrom, creamTo) &&
    between(hueDeg, ...limit.creamHueDeg)
  )
    return 'cream'
  if (lrv >= limit.offWhiteFromLrv && c < limit.offWhiteBelow)
    return lrv >= limit.whiteFromLrv ? 'white' : 'off-white'
  if (relative < greyUpTo(hueDeg)) return 'grey'
  if (relative < limit.taupe.relativeBelow && between(hueDeg, ...limit.taupe.hueDeg)) return 'taupe'
  if (c < limit.greigeBelow && between(hueDeg, ...limit.warmHueDeg)) return 'greige'
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

/** Kinds that a small change of the lean or the lightness would make of it, the nearest border first. */
function neighbours(
  undertone: Undertone,
  lrv: number,
  named: (seen: Undertone, lrv: number) => Kind,
): Kind[] {
  const { c, hueDeg, j } = undertone
  const moved = (byLean: number, byDeg: number): Undertone => {
    const lean = Math.max(0, c + byLean)
    const angle = ((hueDeg + byDeg) * Math.PI) / 180
    return leaning(j, lean * Math.cos(angle), lean * Math.sin(angle))
  }
  return [
    named(moved(-SOFT_LEAN, 0), lrv),
    named(moved(SOFT_LEAN, 0), lrv),
    ...(c < SHORT_LEAN
      ? []
      : [named(moved(0, -SOFT_HUE_DEG), lrv), named(moved(0, SOFT_HUE_DEG), lrv)]),
    named(undertone, lrv - SOFT_LRV),
    named(undertone, lrv + SOFT_LRV),
  ]
}
// Under this a lean turns too easily for its direction to make a border.
const SHORT_LEAN = 3
