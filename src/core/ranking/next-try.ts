import { differenceWords } from '../undertone/difference-words'
import { LEANS, type LeanName } from './like-this'
import { STRIP_STEP, unitsApart } from './variety'
import type { Direction } from '../pairing/said-of-pair'
import type { Undertone } from '../undertone/undertone'

const FAULT_OF: Readonly<Partial<Record<Direction, LeanName>>> = {
  'too pink': 'pink',
  'too orange': 'orange',
  'too yellow': 'yellow',
  'too green': 'green',
  'too blue': 'blue',
  'too violet': 'violet',
}
// So much more of a fault is not seen.
const UNSEEN = 0.5

/** Whether a colour goes away from what another is too much of; never on into it. */
export function goesAway(direction: Direction, from: Undertone, to: Undertone): boolean {
  const fault = FAULT_OF[direction]
  if (fault !== undefined) {
    const angle = (LEANS[fault] * Math.PI) / 180
    return (to.a - from.a) * Math.cos(angle) + (to.b - from.b) * Math.sin(angle) <= UNSEEN
  }
  if (direction === 'too strong' || direction === 'too clean') return to.c <= from.c + UNSEEN
  if (direction === 'too grey' || direction === 'too dirty') return to.c >= from.c - UNSEEN
  if (direction === 'too dark') return to.j >= from.j - UNSEEN
  return true
}

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

function nearestFirst<Colour extends SeenColour>(
  from: SeenColour,
  colours: readonly Colour[],
  cost: (colour: Colour) => number,
  most: number,
  isWanted: (colour: Colour) => boolean,
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
