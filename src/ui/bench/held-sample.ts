import type { LightSource } from '@/core/light/light-choice'
import { HELD, type Held } from '@/core/record/look'
import type { RoundManner } from '@/core/round/round'

/** What of the paint is there: nothing but the screen, or a sample in the light that is here now. */
export interface HeldSample {
  readonly held: Held | null
  readonly strengthPercent: number
  /** Where in the room, in plain words. */
  readonly place: string
}

export const ON_SCREEN: HeldSample = { held: null, strengthPercent: 100, place: '' }

/** Another kind of sample: chips and large swatches are of the full formula, what is mixed is mixed for the candidate. */
export const heldAs = (
  sample: HeldSample,
  held: Held | null,
  candidatePercent: number,
): HeldSample => ({
  ...sample,
  held,
  strengthPercent: held === 'chip' || held === 'large swatch' ? 100 : candidatePercent,
})

/** From the screen over chip, swatch, board and wall back to the screen. */
export const nextHeld = (held: Held | null): Held | null =>
  held === null ? HELD[0] : (HELD[HELD.indexOf(held) + 1] ?? null)

/** The round that a look at it belongs to. */
export function mannerOf({ held }: HeldSample, source: LightSource): RoundManner {
  if (held === null) return 'screen'
  return source === 'lamps' ? 'samples under lamps' : 'samples by day'
}
