import type { RoomDay } from '@/core/light/light-choice'
import type { AskedRoom } from '@/core/ranking/asked-room'
import type { BestCompromise } from '@/core/ranking/best-compromise'
import type { DeckRows, RankedRow } from '@/core/ranking/rank-for-room'

/** A deck to be ranked for a room: cloneable data only. */
export interface RankRequest {
  /** Tells answers apart; a later request makes earlier answers out of date. */
  readonly id: number
  readonly roomDay: RoomDay
  readonly room: AskedRoom
  readonly deck: DeckRows
  /** How many rows are wanted. */
  readonly most: number
}

/** How far a ranking is, or what it came to. */
export type RankReply = { readonly id: number; readonly done: number } | RankedDeck

export interface RankedDeck {
  readonly id: number
  /** Best first. */
  readonly ranked: readonly RankedRow[]
  readonly compromise: BestCompromise | null
}
