import { differenceWords } from '../undertone/difference-words'
import { STRIP_STEP, unitsApart } from './variety'
import type { Undertone } from '../undertone/undertone'

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
