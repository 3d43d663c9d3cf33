import { between } from '../check'
import { nameOf } from './name'
import type { FamilyName } from './plain-name'
import { COMPARATIVE, differenceSteps, differenceWords, sizedWord } from './difference-words'
import { A_COLOUR_FROM, hueName, hueNameAmongKind, NO_LEAN_BELOW, type HueName } from './hue-name'
import { hueDegOf, leaning, type Undertone } from './undertone'

/** LRV of the white card. */
const WHITE_LRV = 90

/** How many per cent darker than the white card a paint is, never less than 0. */
export function percentDarkerThanWhite(lrvPercent: number): number {
  between(lrvPercent, 0, 100, 'an LRV')
  return Math.round(Math.max(0, 100 * (1 - lrvPercent / WHITE_LRV)))
}

// "Greige is 15 to 30 % darker than white"; common practice.
const GREIGE_DARKER_PERCENT = [15, 30] as const
const GREIGE_NAMES: readonly FamilyName[] = ['greige', 'taupe', 'beige', 'tan', 'sand', 'grey']

/** Whether a pale neutral passes for a white or for a greige, by how much darker than white it is; null for what is neither. */
export function whiteOrGreige(undertone: Undertone, lrvPercent: number): string | null {
  const darker = percentDarkerThanWhite(lrvPercent)
  const [from, to] = GREIGE_DARKER_PERCENT
  if (undertone.c >= A_COLOUR_FROM || darker > to + 5) return null
  const { name } = nameOf(undertone, lrvPercent)
  if (darker < from - 5) return `a white, ${darker} % darker than white paper`
  if (darker < from) return `between white and greige, ${darker} % darker than white paper`
  return GREIGE_NAMES.includes(name) || name === 'off-white'
    ? `a greige by its depth, ${darker} % darker than white paper`
    : null
}

/** What comes out in a colour where another is laid over it, in sized words: "beside navy: yellower, much lighter". */
export function comesOut(main: Undertone, over: Undertone): string {
  const lean = leanBeside(main, over)
  const steps = differenceSteps(over, main).map(({ word, size }) => ({
    // Which lean it is, is said by the same name as to the eye.
    word: lean && Object.values(COMPARATIVE).includes(word) ? COMPARATIVE[lean] : word,
    size,
  }))
  return steps.length === 0 ? 'the same' : steps.map(sizedWord).join(', ')
}

// Two neutrals are at most this far apart.
const STILL_NEUTRAL = 12

/**
 * Which way the lean comes out against a neighbour: among neutrals by the finer names, against a strong one by the plain
 * ones; null where hardly any difference of lean is left.
 */
export function leanBeside(main: Undertone, over: Undertone): HueName | null {
  const [da, db] = [main.a - over.a, main.b - over.b]
  const apart = Math.hypot(da, db)
  if (apart < NO_LEAN_BELOW) return null
  return (apart < STILL_NEUTRAL ? hueNameAmongKind : hueName)(hueDegOf(da, db))
}

/** One of several colours that leans otherwise than the rest. */
export interface OddOneOut {
  readonly place: number
  /** What it is beside the rest: "a little pinker". */
  readonly words: string
}

// So many units of lean from the middle of the others, and so much farther than any other.
const ODD_FROM = 2
const FARTHER_THAN_NEXT = 1.5

/**
 * The odd one out among colours side by side, by its lean: how light each is does not count.
 *
 * @returns null for fewer than three, or where none stands clearly apart
 */
export function oddOneOut(colours: readonly Undertone[]): OddOneOut | null {
  if (colours.length < 3) return null
  const apart = colours.map((own, place) => {
    const others = colours.filter((_, i) => i !== place)
    const mean = (axis: 'a' | 'b'): number =>
      others.reduce((sum, each) => sum + each[axis], 0) / others.length
    const rest = leaning(own.j, mean('a'), mean('b'))
    return {
      place,
      by: Math.hypot(own.a - rest.a, own.b - rest.b),
      words: differenceWords(rest, own),
    }
  })
  const [odd, next] = [...apart].sort((p, q) => q.by - p.by)
  if (!odd || !next || odd.by < ODD_FROM || odd.by < FARTHER_THAN_NEXT * next.by) return null
  return { place: odd.place, words: odd.words }
}
