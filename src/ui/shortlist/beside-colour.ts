import type { Reflectance } from '@/core/colour/spectrum'

/** One of the colours side by side. */
export interface BesideColour {
  readonly id: string
  readonly label: string
  /** "Maker, deck". */
  readonly deck: string
  readonly reflectance: Reflectance
}
