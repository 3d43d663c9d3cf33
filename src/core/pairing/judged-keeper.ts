import type { FinishColour } from './parts'
import type { Role } from './role'

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
