import { DEFAULT_HOUSE_RULES, type HouseRules } from '../advice/house-rules'
import { A_COLOUR_FROM, NO_LEAN_BELOW, undertoneWords } from './hue-name'
import { lightnessWord } from './lightness-word'
import { plainName, type FamilyName } from './plain-name'
import type { Undertone } from './undertone'

/** Names that say how light a colour is by themselves. */
const SAYS_LIGHTNESS: readonly FamilyName[] = [
  ...(['white', 'off-white', 'cream', 'ivory', 'black', 'off-black', 'charcoal'] as const),
  ...(['navy', 'plum', 'burgundy', 'chocolate', 'blush', 'peach', 'mint'] as const),
]

/** Names that leave open which way a colour leans: its undertone is said with them. */
const NEUTRALS: readonly FamilyName[] = [
  ...(['white', 'off-white', 'cream', 'ivory', 'greige', 'beige', 'tan', 'sand'] as const),
  ...(['taupe', 'khaki', 'grey', 'charcoal', 'off-black', 'black', 'brown'] as const),
  ...(['chocolate', 'slate', 'sage', 'olive', 'mauve'] as const),
]

/** How light or deep, before a name: "very light grey". */
function depthWord(lrvPercent: number): string {
  const word = lightnessWord(lrvPercent)
  if (word === 'white' || word === 'off-white') return 'very light'
  return word === 'black' || word === 'off-black' ? 'very deep' : word
}

/** What a colour is called. */
export interface ColourName {
  readonly name: FamilyName
  /** Where it lies between two: the other. */
  readonly second: FamilyName | null
  /** "light greige", "light grey or greige, pink undertone". */
  readonly words: string
  /** The name alone with its lightness, for a line: "light greige", "off-white". */
  readonly short: string
}

/**
 * One plain name for a paint, as a client would say it, the same on every screen and sheet.
 *
 * @param undertone by daylight, or as it is seen in the light at hand
 * @param lrvPercent decides the lightness word
 * @param rules decide between beige and tan, and what may be called a greige
 */
export function nameOf(
  undertone: Undertone,
  lrvPercent: number,
  rules: HouseRules = DEFAULT_HOUSE_RULES,
): ColourName {
  const plain = plainName(undertone)
  const named = (name: FamilyName): FamilyName => byRule(name, lrvPercent, rules)
  const name = named(plain.name)
  const other = plain.second === null ? null : named(plain.second)
  const second = other === name ? null : other
  const lightness = [name, second].some((each) => each !== null && SAYS_LIGHTNESS.includes(each))
    ? ''
    : `${depthWord(lrvPercent)} `
  const leans = NEUTRALS.includes(name) && undertone.c < A_COLOUR_FROM
  const lean =
    !leans || (undertone.c < NO_LEAN_BELOW && name !== 'grey')
      ? ''
      : `, ${undertoneWords(undertone)}`
  return {
    name,
    second,
    words: `${lightness}${name}${second ? ` or ${second}` : ''}${lean}`,
    short: SAYS_LIGHTNESS.includes(name) ? name : `${depthWord(lrvPercent)} ${name}`,
  }
}

// For those who tell beige from tan by lightness, and an off-white from a greige.
const BEIGE_FROM_LRV = 50
const OFF_WHITE_FROM_LRV = 69

/** Names on which schools differ. */
function byRule(name: FamilyName, lrv: number, rules: HouseRules): FamilyName {
  if (rules['beige-tan'] === 'lightness' && (name === 'beige' || name === 'tan'))
    return lrv >= BEIGE_FROM_LRV ? 'beige' : 'tan'
  if (rules.greige === 'warm-grey' && name === 'greige' && lrv >= OFF_WHITE_FROM_LRV)
    return 'off-white'
  return name
}
