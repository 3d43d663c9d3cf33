import { finiteAll } from '../check'

/** How bright a photo's white card came out, and in what light. */
export interface Exposure {
  /** Share of what the camera can show, linear, 0 to 1. */
  readonly white: number
  readonly illuminanceLux: number
}

// A card lies nearer to the window, or further off, than the place the light is worked out for: a stop and a third in either
// direction says nothing (common practice).
const SAYS_FROM = 2.5

/**
 * How many times brighter a photo was exposed than the ones before it, allowing for the light; null where that is as far as
 * can be told the same exposure.
 *
 * @param before exposures of other photos of the visit; their middle one counts
 */
export function exposureMoved(now: Exposure, before: readonly Exposure[]): number | null {
  if (before.length === 0) return null
  const gains = [now, ...before].map(({ white, illuminanceLux }) => {
    finiteAll([white, illuminanceLux], 'an exposure')
    if (!(white > 0 && illuminanceLux > 0))
      throw new RangeError(
        `an exposure needs a white and a light above 0, got ${white} and ${illuminanceLux}`,
      )
    return white / illuminanceLux
  })
  const [own, ...others] = gains as [number, ...number[]]
  const sorted = others.sort((p, q) => p - q)
  const times = own / sorted[Math.floor(sorted.length / 2)]!
  return times >= SAYS_FROM || times <= 1 / SAYS_FROM ? times : null
}
