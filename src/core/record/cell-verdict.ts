import type { LightSource } from '../light/light-choice'
import type { Verdict } from './verdict'

/** What of a look the record of a room needs. */
export interface SeenLook {
  readonly keeperId: string
  readonly lightSource: LightSource
  readonly lightMinute: number
  readonly verdict: Verdict
}

/** How a candidate stands in a room. */
export interface CellVerdict {
  readonly verdict: Verdict
  /** In how many different lights it was looked at, up to three. */
  readonly notches: 1 | 2 | 3
  /** The keeper whose look names it. */
  readonly keeperId: string
}

// The worst that was seen names the cell; "lighter" and "stronger" together leave it unsure.
const WORST_FIRST: readonly Verdict[] = ['no', 'unsure', 'works-lighter', 'works-stronger', 'works']

/**
 * The verdict on a candidate in a room from its looks, oldest first: of each keeper in each light
 * the latest look counts, and the worst of those stands for the room.
 *
 * @returns null where nothing was looked at
 */
export function cellVerdict(looks: readonly SeenLook[]): CellVerdict | null {
  const latest = new Map<string, SeenLook>()
  for (const look of looks) latest.set(`${look.keeperId} ${lightOfLook(look)}`, look)
  const standing = [...latest.values()]
  if (standing.length === 0) return null
  const verdicts = new Set(standing.map(({ verdict }) => verdict))
  const torn = verdicts.has('works-lighter') && verdicts.has('works-stronger')
  const worst = WORST_FIRST.find((verdict) => verdicts.has(verdict))!
  const lights = new Set(standing.map(lightOfLook)).size
  return {
    verdict: torn && worst !== 'no' ? 'unsure' : worst,
    notches: Math.min(3, lights) as 1 | 2 | 3,
    keeperId: standing.find(({ verdict }) => verdict === worst)!.keeperId,
  }
}

// Two looks within an hour of a room's own day are looks in one light.
const lightOfLook = ({ lightSource, lightMinute }: SeenLook): string =>
  lightSource === 'room' ? `room ${Math.floor(lightMinute / 60)}` : lightSource
