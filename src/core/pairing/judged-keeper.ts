import { uncertaintyOf, type Firmness } from '../paint/reading'
import type { FinishColour } from './parts'
import type { Role } from './role'
import { fillSurface, type PairSurface } from './surface'
import type { Undertone } from '../undertone/undertone'

/** What stays, as a wall is judged against it. */
export interface JudgedKeeper {
  readonly name: string
  /** At least one. */
  readonly colours: readonly FinishColour[]
  /** What its kind changes; see `roleOf`. */
  readonly role: Role
  /** From piece to piece: its readings are no surer than that. */
  readonly varies: boolean
}

/** Fills a surface from what is seen of it and how it was read. */
export function fillFromReading(
  into: PairSurface,
  { j, a, b }: Pick<Undertone, 'j' | 'a' | 'b'>,
  firmness: Firmness,
  varies = false,
): PairSurface {
  const { lean, lightness } = uncertaintyOf(firmness, varies)
  // Both are expanded uncertainties, twice the standard one.
  return fillSurface(into, j, a, b, lean / 2, lightness / 2)
}
