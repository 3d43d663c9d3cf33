import { colourRenderingIndex } from '../colour/colour-rendering'
import { prepareLight } from '../colour/appearance'
import { ucsDifference } from '../colour/cam16'
import type { Reflectance } from '../colour/spectrum'
import { differenceWords } from '../undertone/difference-words'
import { undertoneOf, type Undertone } from '../undertone/undertone'
import { BULBS } from '../light/fittings'
import type { LitRoom } from '../light/room'
import { roomLight } from '../light/room-light'
import type { Place } from '../light/sun-position'

/** A colour whose change under better lamps is told. */
export interface NamedColour {
  readonly name: string
  readonly reflectance: Reflectance
}

export interface BetterLamps {
  /** CIE general colour rendering index of the lamps now, and of the same with bulbs of good rendering. */
  readonly raNow: number
  readonly raThen: number
  /** What each colour would become, the largest change first, in CAM16-UCS units. */
  readonly changes: readonly {
    readonly name: string
    readonly size: number
    readonly words: string
  }[]
}

const GOOD_BULB = 'led-90'

/**
 * What better bulbs of the same colour and brightness would do to a room's colours of an evening.
 *
 * @returns null without lamps, or where they render well already
 */
export function betterLamps(
  room: LitRoom,
  place: Place,
  utcMs: number,
  colours: readonly NamedColour[],
): BetterLamps | null {
  if (room.lamps.every(({ bulb }) => BULBS[bulb].ra >= BULBS[GOOD_BULB].ra)) return null
  const moment = { utcMs, sky: 'clear', lampsOn: true, lampsAlone: true } as const
  const better = {
    ...room,
    lamps: room.lamps.map((lamp) => ({
      ...lamp,
      bulb: BULBS[lamp.bulb].ra < BULBS[GOOD_BULB].ra ? GOOD_BULB : lamp.bulb,
    })),
  } satisfies LitRoom
  const [now, then] = [room, better].map((each) => roomLight(each, place, moment))
  if (!now || !then) return null
  const [before, after] = [now, then].map((light) =>
    prepareLight(light.spectrum, light.illuminanceLux),
  )
  const changes = colours
    .map(({ name, reflectance }) => {
      const [p, q] = [undertoneOf(before!, reflectance), undertoneOf(after!, reflectance)]
      return { name, size: ucsDifference(ucs(p), ucs(q)), words: differenceWords(p, q) }
    })
    .sort((p, q) => q.size - p.size)
  return {
    raNow: colourRenderingIndex(now.spectrum),
    raThen: colourRenderingIndex(then.spectrum),
    changes,
  }
}

const ucs = ({ j, a, b }: Undertone) => [j, a, b] as const
