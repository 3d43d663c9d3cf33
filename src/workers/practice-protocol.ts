import type { PracticeAnswer } from '@/core/practice/answer'
import type { PracticeFinish } from '@/core/practice/asked-about'
import type { Round } from '@/core/practice/next'
import type { Question } from '@/core/practice/question'
import type { FacetScore, KindScore, ScorePoint } from '@/core/practice/score'
import type { TradeWords } from '@/core/trade-words'
import type { DeckName } from './fetch-deck'

/** What questions are made of: one's own decks and keepers, or invented ones. Cloneable. */
export interface OpenRequest {
  readonly task: 'open'
  readonly id: number
  readonly own: {
    readonly decks: readonly DeckName[]
    readonly finishes: readonly PracticeFinish[]
  } | null
  readonly seed: number
  readonly words: TradeWords
}

/** The next question of a round. */
export interface QuestionRequest {
  readonly task: 'question'
  readonly id: number
  readonly round: Round
  readonly answers: readonly PracticeAnswer[]
  readonly asked: number
  readonly nowMs: number
}

/** How somebody does. */
export interface ScoreRequest {
  readonly task: 'score'
  readonly id: number
  readonly answers: readonly PracticeAnswer[]
}

export interface PracticeScore {
  readonly kinds: readonly KindScore[]
  readonly facets: readonly FacetScore[]
  readonly next: string
  /** Over time, of everything and of each lean and finish, by its name: "lean pink". */
  readonly overTime: Readonly<Record<string, readonly ScorePoint[]>>
}

export type PracticeRequest = OpenRequest | QuestionRequest | ScoreRequest
export type PracticeReply =
  | { readonly id: number; readonly opened: { readonly isOwn: boolean } }
  /** Null where nothing of that kind can be asked. */
  | { readonly id: number; readonly question: Question | null; readonly isAgain: boolean }
  | { readonly id: number; readonly score: PracticeScore }
  | { readonly id: number; readonly failed: string }
