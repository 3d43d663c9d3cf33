import {
  appearanceOf,
  ucsOnScreen,
  type PreparedLight,
  type ScreenColour,
} from '../colour/appearance'
import { ucsDifference, type Ucs } from '../colour/cam16'
import type { Reflectance } from '../colour/spectrum'
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../advice/house-rules'
import { lrvPercent } from '../paint/lrv'
import { familyOf } from './family'
import { bothReadings } from './hue-name'
import { leaning, undertoneOf, type Undertone } from './undertone'

/**
 * The lean of a surface as it is drawn: to an eye adapted only as far as this light lets it. Under yellowish lamps a grey
 * turns towards beige so, which a white card beside it under the same lamps takes out again; see `undertoneOf`.
 */
export const drawnUndertone = (light: PreparedLight, reflectance: Reflectance): Undertone =>
  leaning(...appearanceOf(light, reflectance).ucs)

/** The lean of a colour that stands on the screen. */
export const undertoneOnScreen = (colour: ScreenColour): Undertone =>
  leaning(...ucsOnScreen(colour))

// Nearer than this the two readings are one.
const DIFFERS_FROM = 1.5

export interface SeenWords {
  /** What is drawn: "light beige". */
  readonly drawn: string
  /** What a white card in the same light makes of it: "no undertone on the card"; null where the two agree. */
  readonly onCard: string | null
}

/** What a surface looks like in a light, first as it is drawn, then beside a white card under the same light. */
export function seenWords(
  light: PreparedLight,
  reflectance: Reflectance,
  rules: HouseRules = DEFAULT_HOUSE_RULES,
): SeenWords {
  const drawn = drawnUndertone(light, reflectance)
  const card = undertoneOf(light, reflectance)
  const lrv = lrvPercent(reflectance)
  if (ucsDifference(ucs(drawn), ucs(card)) < DIFFERS_FROM)
    return { drawn: named(card, lrv, rules), onCard: null }
  return { drawn: familyOf(drawn, lrv, rules).words, onCard: bothReadings(card) }
}

/** Family and readings of a lean, a lean that the family names already said once. */
function named(undertone: Undertone, lrv: number, rules: HouseRules): string {
  const { words } = familyOf(undertone, lrv, rules)
  const readings = bothReadings(undertone)
  const saidAlready = / leaning /.test(words) && !/among its kind/.test(readings)
  return saidAlready ? words : `${words}; ${readings}`
}

const ucs = ({ j, a, b }: Undertone): Ucs => [j, a, b]

/** Both in one line: "reads light beige; beside a white card in this light, no undertone". */
export function seenLine({ drawn, onCard }: SeenWords): string {
  if (onCard === null) return drawn
  return `reads ${drawn}; beside a white card in this light, ${onCard.replace(' on the card', '')}`
}
