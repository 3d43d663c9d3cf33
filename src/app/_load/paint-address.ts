import { typedNumber } from '@/core/typed-number'
import type { OpeningPaint } from '@/ui/trial/trial-view'

/** What an address says of a paint: by its id, or as ever by deck and code. */
export interface PaintQuery {
  readonly paint?: string
  readonly deck?: string
  readonly colour?: string
  readonly strength?: string
}

const [WEAKEST, STRONGEST] = [1, 150]

/** The paint that an address names; null where it names none. */
export function paintOfAddress({ paint, deck, colour, strength }: PaintQuery): OpeningPaint | null {
  if (!paint && !colour) return null
  const percent = typedNumber(strength ?? '')
  const isStrength = percent !== null && percent >= WEAKEST && percent <= STRONGEST
  return {
    deckColourId: paint ?? null,
    deckId: deck ?? null,
    code: colour ?? null,
    strengthPercent: isStrength ? Math.round(percent) : 100,
  }
}
