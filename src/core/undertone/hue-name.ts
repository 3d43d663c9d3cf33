import { undertoneName } from './plain-name'
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
export const HUE_NAMES = [
  ...new Set(ON_THE_CARD.map(([, name]) => name)),
] as readonly HueName[] as readonly [HueName, ...HueName[]]

// The same among neutrals of its kind, where warm is the rule: a beige that is orange on a card is
// pink among beiges. Only for leans under AMONG_KIND_BELOW.
const AMONG_ITS_KIND: readonly (readonly [number, HueName])[] = [
  [62, 'pink'],
  [73, 'orange'],
  [92, 'yellow'],
  [106, 'yellow-green'],
  [175, 'green'],
  [225, 'blue-green'],
  [280, 'blue'],
  [335, 'violet'],
  [360, 'pink'],
]

/** From this strength on a colour has no kind of neutral to be among. */
export const AMONG_KIND_BELOW = 20

/** Below this no lean is seen on the card. */
export const NO_LEAN_BELOW = 1.2
/** Below this the direction is unsure: half a unit of error turns it by 20° and more. */
export const ONLY_LEANS_BELOW = 3
const CLEAR_FROM = 9
export const A_COLOUR_FROM = 20

/** Where less than this is left of an undertone there is little more than the base. */
export const LITTLE_LEFT_BELOW = 1.5

/** Name of a direction on the white card. */
export function hueName(hueDeg: number): HueName {
  return ON_THE_CARD.find(([upTo]) => hueDeg <= upTo)?.[1] ?? 'pink'
}

/** Name of a direction among neutrals; practitioners who differ over a beige read it this way. */
export function hueNameAmongKind(hueDeg: number): HueName {
  return AMONG_ITS_KIND.find(([upTo]) => hueDeg <= upTo)?.[1] ?? 'pink'
}

/** The undertone in words, one relative word as the trade says it: "no undertone", "slight pink undertone", "clearly green". */
export function undertoneWords(undertone: Undertone): string {
  const { c, hueDeg } = undertone
  if (c >= A_COLOUR_FROM) return `${withArticle(hueName(hueDeg))} outright`
  const name = c < NO_LEAN_BELOW ? 'none' : undertoneName(undertone)
  if (name === 'none') return 'no undertone'
  if (c < ONLY_LEANS_BELOW) return `slight ${name} undertone`
  return c < CLEAR_FROM ? `${name} undertone` : `clearly ${name}`
}

/** Which way one lean lies from another, as a single word. */
export function leanFrom(of: Undertone, against: Undertone): HueName {
  return hueName(hueDegOf(of.a - against.a, of.b - against.b))
}

export const withArticle = (word: string): string => `${/^[aeiou]/.test(word) ? 'an' : 'a'} ${word}`
