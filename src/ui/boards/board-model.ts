import type { BoardHourName } from '@/core/boards/placings'
import type { BoardSize } from '@/core/boards/sample'
import type { LightChoice } from '@/core/light/light-choice'
import type { SpotName } from '@/core/light/spot'
import type { WallName } from '@/core/light/walls'
import type { Sheen } from '@/core/paint/sheen'
import type { BenchCandidate } from '../bench/bench-model'

/** A colour that goes to board in a room. */
export interface ShownBoard {
  readonly paint: BenchCandidate
  /** Null before it is said that one is made. */
  readonly board: {
    readonly id: string
    readonly roomId: string | null
    readonly begun: { readonly date: string; readonly clockMinute: number } | null
  } | null
  readonly sheen: Sheen
  readonly wanted: readonly Sheen[]
  readonly size: BoardSize
  readonly count: number
  readonly pots: string
  readonly ground: string
  readonly apart: readonly string[]
  readonly steps: readonly { readonly what: string; readonly when: string }[]
  /** Strengths that boards of the same colour are of. */
  readonly elsewhere: readonly number[]
  /** What is missing, in words; empty where nothing is. */
  readonly missing: string
  /** It had been seen whole before more was asked of boards. */
  readonly isReopened: boolean
}

/** Boards stood in one place in one light. */
export interface ShownStanding {
  readonly key: string
  readonly hour: BoardHourName
  readonly hourSaid: string
  readonly date: string
  readonly clock: string
  readonly choice: Omit<LightChoice, 'spot'>
  readonly words: string
  readonly spot: SpotName
  readonly keeperId: string | null
  readonly wall: WallName | null
  readonly boards: readonly {
    readonly paint: BenchCandidate
    readonly sheen: Sheen
    readonly isPatch: boolean
  }[]
}
