import type { Sheen } from '../paint/sheen'
import type { Surface } from '../record/proposal'

export const SCHEME_ORIGINS = ['dominant', 'lesser', 'as it stands', 'own'] as const
/** What a whole scheme was drawn from: the leading piece's dominant colour, a lesser one of it, what is proposed now, or a hand. */
export type SchemeOrigin = (typeof SCHEME_ORIGINS)[number]

/** What each surface of a room would be, and its accents. */
export interface Scheme {
  readonly id: string
  readonly roomId: string
  readonly name: string
  readonly origin: SchemeOrigin
  readonly parts: readonly {
    readonly surface: Surface
    readonly candidateId: string
    readonly sheen: Sheen
  }[]
  /** Deck colours at full strength, used sparingly. */
  readonly accents: readonly string[]
  /** Furnishings that come with it, as ids of what arrives; null: everything that arrives does. */
  readonly comes: readonly string[] | null
  readonly isChosen: boolean
}

/** More than this nobody compares. */
export const MOST_SCHEMES = 3
