import { hueDegOf, type Undertone } from './undertone'

// Upper bounds in degrees of the names a lean goes by on the white card; tried out on paper,
// see docs/model.md. Pink wraps around.
const ON_THE_CARD = [
  [18, 'pink'],
  [40, 'red'],
  [70, 'orange'],
  [98, 'yellow'],
  [122, 'yellow-green'],
  [175, 'green'],
  [225, 'blue-green'],
  [280, 'blue'],
  [335, 'violet'],
  [360, 'pink'],
] as const

export type HueName = (typeof ON_THE_CARD)[number][1]

/** Below this no lean is seen on the card. */
export const NO_LEAN_BELOW = 1.2
/** Below this the direction is unsure: half a unit of error turns it by 20° and more. */
export const ONLY_LEANS_BELOW = 3
const CLEAR_FROM = 9
const A_COLOUR_FROM = 20

/** What is left of an undertone below this is barely a colour. */
export const BARELY_A_COLOUR_BELOW = 1.5

/** Name of a direction on the white card. */
export function hueName(hueDeg: number): HueName {
  return ON_THE_CARD.find(([upTo]) => hueDeg <= upTo)?.[1] ?? 'pink'
}

/** The name next nearest to a direction, for leans too slight for one word. */
export function neighbouringHueName(hueDeg: number): HueName {
  const own = hueName(hueDeg)
  for (let away = 1; away < 180; away++) {
    const [low, high] = [hueName((hueDeg - away + 360) % 360), hueName((hueDeg + away) % 360)]
    if (low !== own) return low
    if (high !== own) return high
  }
  return own
}

/** The lean in words: "no undertone on the card", "leans pink, towards orange", "clearly green". */
export function undertoneWords({ c, hueDeg }: Undertone): string {
  if (c < NO_LEAN_BELOW) return 'no undertone on the card'
  const name = hueName(hueDeg)
  if (c < ONLY_LEANS_BELOW) return `leans ${name}, towards ${neighbouringHueName(hueDeg)}`
  if (c < CLEAR_FROM) return `${name} undertone`
  if (c < A_COLOUR_FROM) return `clearly ${name}`
  return `${withArticle(name)} outright`
}

/** Which way one lean lies from another, as a single word. */
export function leanFrom(of: Undertone, against: Undertone): HueName {
  return hueName(hueDegOf(of.a - against.a, of.b - against.b))
}

export const withArticle = (word: string): string => `${/^[aeiou]/.test(word) ? 'an' : 'a'} ${word}`
