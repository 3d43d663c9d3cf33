import { differenceWords } from '../undertone/difference-words'
import { hueNameAmongKind, NO_LEAN_BELOW } from '../undertone/hue-name'
import { isCoolLean, isWarmLean } from '../undertone/warmth'
import { STRIP_STEP, unitsApart } from './variety'
import { hueApartDeg, type Undertone } from '../undertone/undertone'

/** A deck colour at a strength, as it is seen in the light at hand. */
export interface SeenColour {
  /** Its place in the deck's listing. */
  readonly place: number
  readonly undertone: Undertone
}

/** A colour to fetch, and where it lies from the one at hand in words: "a little greyer, lighter". */
export type NextTry<Colour extends SeenColour = SeenColour> = Colour & { readonly words: string }

/**
 * What to fetch next where a candidate fails: the nearest colours that work in the room, at least one strip step
 * away, each place of the deck once. Colours are tried from the nearest on, so most are never judged.
 *
 * @param worksInRoom see `chanceInRoom`
 */
export function nextTries<Colour extends SeenColour>(
  from: SeenColour,
  colours: readonly Colour[],
  worksInRoom: (colour: Colour) => boolean,
  most: number,
): NextTry<Colour>[] {
  const away = colours.filter(
    ({ place, undertone }) =>
      place !== from.place && unitsApart(undertone, from.undertone) >= STRIP_STEP,
  )
  return nearestFirst(
    from,
    away,
    ({ undertone }) => unitsApart(undertone, from.undertone),
    most,
    worksInRoom,
  )
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

// A lean kept to this; one too short to have a direction stays short.
const KEEPS_HUE_DEG = { lightness: 12, strength: 25 } as const
const TURN_OF_UNIT_DEG = 57

/** Whether a colour is still the same but for the wish: lighter keeps the lean, quieter its direction, cooler is not warm. */
function keepsItself(wish: Wish, from: Undertone, to: Undertone): boolean {
  if (wish === 'warmer') return !isCoolLean(to)
  if (wish === 'cooler') return !isWarmLean(to) || isWarmLean(from)
  const forLightness = wish === 'lighter' || wish === 'deeper'
  if (from.c < NO_LEAN_BELOW) return !forLightness || to.c < 2 * NO_LEAN_BELOW
  const within = forLightness ? KEEPS_HUE_DEG.lightness : KEEPS_HUE_DEG.strength
  return hueApartDeg(from.hueDeg, to.hueDeg) <= Math.max(within, TURN_OF_UNIT_DEG / from.c)
}

/** Colours like one but a step lighter, quieter, warmer: the wished step away, and as little else as can be. */
export function likeThisBut(
  wish: Wish,
  from: SeenColour,
  colours: readonly SeenColour[],
  most: number,
): NextTry[] {
  const step = wish === 'lighter' || wish === 'deeper' ? LIGHTNESS_STEP : LEAN_STEP
  const going = colours.filter(
    ({ place, undertone }) =>
      place !== from.place &&
      along(wish, from.undertone, undertone) >= step &&
      keepsItself(wish, from.undertone, undertone),
  )
  const cost = ({ undertone }: SeenColour): number => {
    const apart = unitsApart(undertone, from.undertone)
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
  isWanted: (colour: Colour) => boolean = () => true,
): NextTry<Colour>[] {
  const best = new Map<number, NextTry<Colour>>()
  const sorted = colours.map((colour) => ({ colour, at: cost(colour) })).sort((p, q) => p.at - q.at)
  for (const { colour } of sorted) {
    if (best.size === most) break
    if (!best.has(colour.place) && isWanted(colour))
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
