import type { Reflectance } from '@/core/colour/spectrum'
import type { Sheen } from '@/core/paint/sheen'
import type { Founded } from '@/core/record/founded'
import type { Surface } from '@/core/record/proposal'
import type { Verdict } from '@/core/record/verdict'

/** A paint as a ruling names it. */
export interface RuledPaint {
  readonly id: string
  readonly deckColourId: string
  readonly name: string
  readonly code: string
  /** "Maker, deck". */
  readonly deckName: string
  readonly strengthPercent: number
  readonly reflectance: Reflectance
}

/** A candidate for a surface as its room's record has it. */
export interface RulingCandidate {
  readonly paint: RuledPaint
  readonly lrvPercent: number
  readonly sheen: Sheen
  readonly verdict: Verdict | null
  /** Where it works lighter or stronger: the strength that looks at the same paint speak for; null where none was looked at. */
  readonly spokenForPercent: number | null
  /** Why it is ruled out; null where it is not. */
  readonly ruledOut: string | null
  /** "works by day", "works lighter under lamps". */
  readonly inLights: readonly string[]
  readonly founded: Founded
  /** The look that its verdict goes by, in words. */
  readonly named: string
  readonly gaps: readonly string[]
  readonly clientSaysNo: boolean
}

/** The ruling that stands on a surface. */
export interface StandingRuling {
  readonly id: string
  readonly candidateId: string
  readonly called: string
  readonly sheen: Sheen
  readonly compromise: string
  readonly gaps: readonly string[]
  readonly by: string
  /** "21 June 2026", by the clocks of the place. */
  readonly on: string
}

/** A room with what is ruled in it, surface by surface. */
export interface RuledRoom {
  readonly id: string
  readonly name: string
  readonly surfaces: readonly {
    readonly surface: Surface
    readonly pick: { readonly paint: RuledPaint; readonly sheen: Sheen } | null
  }[]
}
