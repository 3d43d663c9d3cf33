import { hueName, type HueName } from './hue-name'
import { hueApartDeg, hueDegOf, type Undertone } from './undertone'

// Sizes of a step in CAM16-UCS units, in words; under the first nobody sees it.
export const SEEN_FROM = 1
const SIZES = [
  [2.5, 'a touch '],
  [6, 'a little '],
  [14, ''],
  [Infinity, 'much '],
] as const

/** What is more of a lean: "pinker". */
export const COMPARATIVE: Record<HueName, string> = {
  pink: 'pinker',
  red: 'redder',
  orange: 'more orange',
  yellow: 'yellower',
  'yellow-green': 'yellower and greener',
  green: 'greener',
  'blue-green': 'greener and bluer',
  blue: 'bluer',
  violet: 'more violet',
}

// What is about twice as strong is never "a little stronger", however weak it was.
const TWICE = 1.75
const [PLAIN_FROM, NOT_LITTLE] = [2.5, 6]
// A change of lean within this of the lean itself is a change of its strength, not of its direction.
const ALONG_DEG = 35
const NO_SIDE_BELOW = 2
const SAME_SIDE_DEG = 60

/** One direction a colour could go, and how far in CAM16-UCS units. */
export interface Step {
  readonly word: string
  readonly size: number
}

/** What one colour is beside another, the largest difference first: "pinker", "deeper", "greyer". */
export function differenceSteps(from: Undertone, to: Undertone): Step[] {
  const dj = to.j - from.j
  const [da, db] = [to.a - from.a, to.b - from.b]
  const dc = Math.hypot(da, db)
  const steps: Step[] = []
  if (dc >= SEEN_FROM) {
    const word = leanWord(from, to, da, db)
    const isTwice = word === 'stronger' && dc >= PLAIN_FROM && to.c >= TWICE * from.c
    steps.push({ word, size: isTwice ? Math.max(dc, NOT_LITTLE) : dc })
  }
  if (Math.abs(dj) >= SEEN_FROM)
    steps.push({ word: dj > 0 ? 'lighter' : 'deeper', size: Math.abs(dj) })
  return steps.sort((p, q) => q.size - p.size)
}

function leanWord(from: Undertone, to: Undertone, da: number, db: number): string {
  const direction = hueDegOf(da, db)
  if (from.c >= SEEN_FROM && to.c < from.c) {
    const home = Math.abs(((direction - from.hueDeg + 360) % 360) - 180)
    // Past grey and out on the other side is another colour, not a greyer one.
    const stays = to.c < NO_SIDE_BELOW || hueApartDeg(from.hueDeg, to.hueDeg) <= SAME_SIDE_DEG
    if (home <= ALONG_DEG && stays) return 'greyer'
  }
  if (from.c >= SEEN_FROM && to.c > from.c) {
    const away = Math.abs(((direction - from.hueDeg + 540) % 360) - 180)
    if (away <= ALONG_DEG) return 'stronger'
  }
  return COMPARATIVE[hueName(direction)]
}

/** "a little pinker". */
export const sizedWord = ({ word, size }: Step): string =>
  `${SIZES.find(([upTo]) => size < upTo)![1]}${word}`

/** "a little pinker, a touch deeper"; "the same" where nothing is seen. */
export function differenceWords(from: Undertone, to: Undertone): string {
  const steps = differenceSteps(from, to)
  if (steps.length === 0) return 'the same'
  return steps.map(sizedWord).join(', ')
}
