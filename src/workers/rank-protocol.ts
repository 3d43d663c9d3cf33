import type { PreparedLight } from '@/core/colour/appearance'
import type { RoomDay } from '@/core/light/light-choice'
import type { AskedRoom } from '@/core/ranking/asked-room'
import type { BestCompromise } from '@/core/ranking/best-compromise'
import type { LikeThis } from '@/core/ranking/like-this'
import type { RankedRow } from '@/core/ranking/rank-for-room'
import type { Lean } from '@/core/undertone/lean'
import type { Blocks } from '@/core/ranking/what-blocks'
import type { BestOfColours } from '@/core/ranking/whole-ranking'
import type { DeckName } from './fetch-deck'

/** Which colours at which strengths are meant. The worker fetches the decks and keeps them; all data is cloneable. */
interface OfDecks {
  /** Tells answers apart. */
  readonly id: number
  readonly decks: readonly DeckName[]
  readonly weakestPercent: number
}

/** Decks to be ranked for a room. A later ranking makes an earlier one out of date. */
export interface RankRequest extends OfDecks {
  readonly task: 'rank'
  readonly roomDay: RoomDay
  readonly room: AskedRoom
  /** Leans that are out of the room. */
  readonly without: readonly Lean[]
  /** How many rows are judged first, and how many of them are laid out. */
  readonly first: number
  readonly laidOut: number
}

/** Ends whatever is being ranked. */
export interface StopRequest {
  readonly task: 'stop'
}

/** A colour at a strength. */
export interface AtStrength {
  readonly place: number
  readonly strengthPercent: number
}

/** "Like this, but …": in the light at hand. */
export interface LikeRequest extends OfDecks {
  readonly task: 'like'
  readonly from: AtStrength
  readonly wish: LikeThis
  readonly light: PreparedLight
  /** Leans that are out of the room, and what the household will not have: none of it is offered. */
  readonly without: readonly Lean[]
  readonly willNotHave: string
  readonly most: number
}

/** The nearest that work in the room, for one that does not. */
export interface NextRequest extends OfDecks {
  readonly task: 'next'
  readonly from: AtStrength
  readonly light: PreparedLight
  readonly roomDay: RoomDay
  readonly room: AskedRoom
  readonly without: readonly Lean[]
  readonly most: number
}

export type WorkRequest = RankRequest | LikeRequest | NextRequest

/** A colour at a strength that was found, and what it is beside the one at hand. */
export interface FoundColour extends AtStrength {
  readonly words: string
}

/** A colour at a strength as it stands in a room; `place` is its place in all decks, one after another. */
export interface RankedColour extends RankedRow, AtStrength {
  /** In the order of the ranking, 0 the best. */
  readonly rank: number
}

/** The best, exactly. */
export interface FirstRanked {
  /** A choice worth laying out, best first; see `variedFirst`. */
  readonly laidOut: readonly RankedColour[]
  readonly compromise:
    | (Omit<BestCompromise, 'softest'> &
        AtStrength & { readonly softest: (RankedRow & AtStrength) | null })
    | null
}

export type WorkReply =
  | { readonly id: number; readonly found: readonly FoundColour[] }
  | { readonly id: number; readonly done: number }
  | { readonly id: number; readonly first: FirstRanked; readonly ms: number }
  | { readonly id: number; readonly whole: BestOfColours; readonly ms: number }
  | { readonly id: number; readonly blocks: Blocks }
  | { readonly id: number; readonly failed: string }
