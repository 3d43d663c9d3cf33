import { differenceWords } from '../undertone/difference-words'
import { hueNameAmongKind, NO_LEAN_BELOW } from '../undertone/hue-name'
import { WORKS_UP_TO } from '../pairing/pair-grade'
import { isCoolLean, isWarmLean } from '../undertone/warmth'
import type { Undertone } from '../undertone/undertone'

/** A deck colour at a strength, as it is seen in the light at hand. */
export interface SeenColour {
  /** Its place in the deck's listing. */
  readonly place: number
  readonly undertone: Undertone
}

/** A colour to fetch, and where it lies from the one at hand in words: "a little greyer, lighter". */
export type NextTry<Colour extends SeenColour = SeenColour> = Colour & { readonly words: string }

// Nearer than a step on the strip nobody could tell two samples apart on a wall.
const STRIP_STEP = 4

const distance = (p: Undertone, q: Undertone): number => Math.hypot(p.j - q.j, p.a - q.a, p.b - q.b)

/**
 * What to fetch next where a candidate fails: the nearest colours that work in the room, at least one strip step
 * away, each place of the deck once.
 *
 * @param grades of the colours in the room, see `gradeOf`
 */
export function nextTries<Colour extends SeenColour>(
  from: SeenColour,
  colours: readonly Colour[],
  grades: ArrayLike<number>,
  most: number,
): NextTry<Colour>[] {
  const working = colours.filter(
    (colour, i) =>
      grades[i]! <= WORKS_UP_TO &&
      colour.place !== from.place &&
      distance(colour.undertone, from.undertone) >= STRIP_STEP,
  )
  return nearestFirst(from, working, (colour) => distance(colour.undertone, from.undertone), most)
}

export const WISHES = ['lighter', 'deeper', 'quieter', 'stronger', 'warmer', 'cooler'] as const
/** "Like this but …". */
export type Wish = (typeof WISHES)[number]

const LIGHTNESS_STEP = 6
const LEAN_STEP = 2.5

/** How far a colour goes the wished way, in units; the other ways count against it. */
function along(wish: Wish, from: Undertone, to: Undertone): number {
  switch (wish) {
    case 'lighter':
      return to.j - from.j
    case 'deeper':
      return from.j - to.j
    case 'quieter':
      return from.c - to.c
    case 'stronger':
      return to.c - from.c
    // Warm lies towards orange, cool towards the blue opposite.
    case 'warmer':
      return (to.a - from.a) * WARM[0] + (to.b - from.b) * WARM[1]
    case 'cooler':
      return (from.a - to.a) * WARM[0] + (from.b - to.b) * WARM[1]
  }
}
const WARM = [Math.cos(Math.PI / 3), Math.sin(Math.PI / 3)] as const

/** Colours like one but a step lighter, quieter, warmer: the wished step away, and as little else as can be. */
export function likeThisBut(
  wish: Wish,
  from: SeenColour,
  colours: readonly SeenColour[],
  most: number,
): NextTry[] {
  const step = wish === 'lighter' || wish === 'deeper' ? LIGHTNESS_STEP : LEAN_STEP
  const keepsSide = (to: Undertone): boolean =>
    wish === 'warmer'
      ? !isCoolLean(to)
      : wish === 'cooler'
        ? !isWarmLean(to) || isWarmLean(from.undertone)
        : true
  const going = colours.filter(
    ({ place, undertone }) =>
      place !== from.place &&
      along(wish, from.undertone, undertone) >= step &&
      keepsSide(undertone),
  )
  const cost = ({ undertone }: SeenColour): number => {
    const apart = distance(undertone, from.undertone)
    const wished = along(wish, from.undertone, undertone)
    return 2 * Math.sqrt(Math.max(0, apart ** 2 - wished ** 2)) + (wished - step)
  }
  return nearestFirst(from, going, cost, most)
}

function nearestFirst<Colour extends SeenColour>(
  from: SeenColour,
  colours: readonly Colour[],
  cost: (colour: Colour) => number,
  most: number,
): NextTry<Colour>[] {
  const best = new Map<number, NextTry<Colour>>()
  const sorted = colours.map((colour) => ({ colour, at: cost(colour) })).sort((p, q) => p.at - q.at)
  for (const { colour } of sorted) {
    if (best.size === most) break
    if (!best.has(colour.place))
      best.set(colour.place, {
        ...colour,
        words: differenceWords(from.undertone, colour.undertone),
      })
  }
  return [...best.values()]
}

// A colour this strong has left its lean behind: it is a colour outright.
const LEANS_BELOW = 20

/**
 * "No to this whole lean": whether a colour is a sibling of the one ruled out, leaning the same way among its kind.
 * Something without a lean has no siblings.
 */
export function sharesLean(ruledOut: Undertone, other: Undertone): boolean {
  if (ruledOut.c < NO_LEAN_BELOW || other.c < NO_LEAN_BELOW) return false
  return (
    ruledOut.c < LEANS_BELOW === other.c < LEANS_BELOW &&
    hueNameAmongKind(ruledOut.hueDeg) === hueNameAmongKind(other.hueDeg)
  )
}
