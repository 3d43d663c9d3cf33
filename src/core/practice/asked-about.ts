import type { Reflectance } from '../colour/spectrum'
import type { JudgedKeeper } from '../pairing/judged-keeper'
import type { KeeperKind } from '../pairing/keeper-kind'
import type { ReadingSource } from '../paint/reading'
import type { Base } from '../paint/strength'

/** What a question is about, by where it comes from: one's own, by its id, or an invented one, by its number. */
export type Ref = { readonly own: string } | { readonly invented: number }

export interface PracticePaint {
  readonly ref: Ref
  /** Null for an invented one. */
  readonly name: string | null
  readonly reflectance: Reflectance
  readonly source: ReadingSource
  readonly base: Base
  readonly whiteBase: Reflectance
}

export interface PracticeFinish {
  readonly ref: Ref
  readonly kind: KeeperKind
  readonly keeper: JudgedKeeper
  /** The part of its photo that stands for it; null without one. */
  readonly patchHash: string | null
}
