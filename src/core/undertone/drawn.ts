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
import { undertoneWords } from './hue-name'
import { nameOf } from './name'
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
  /** What is drawn: "light beige, pink undertone". */
  readonly drawn: string
  /** The undertone that a white card in the same light leaves of it; null where the two agree. */
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
  const alike = ucsDifference(ucs(drawn), ucs(card)) < DIFFERS_FROM
  return {
    drawn: nameOf(alike ? card : drawn, lrv, rules).words,
    onCard: alike ? null : undertoneWords(card),
  }
}

const ucs = ({ j, a, b }: Undertone): Ucs => [j, a, b]

/** Both in one line: "reads light beige; beside a white card in this light, no undertone". */
export function seenLine({ drawn, onCard }: SeenWords): string {
  if (onCard === null) return drawn
  return `reads ${drawn}; beside a white card in this light, ${onCard}`
}
