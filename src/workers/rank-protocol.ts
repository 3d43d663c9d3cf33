import type { LightChoice, RoomDay } from '@/core/light/light-choice'
import type { WeightedFinish } from '@/core/judge/rank'

/** A deck to be ranked for a room: cloneable data only. */
export interface RankRequest {
  /** Tells answers apart; a later request makes earlier answers out of date. */
  readonly id: number
  readonly roomDay: RoomDay
  readonly lights: readonly LightChoice[]
  readonly finishes: readonly WeightedFinish[]
  /** 36 numbers a candidate-at-strength. */
  readonly rows: Float64Array<ArrayBuffer>
}

export interface RankReply {
  readonly id: number
  readonly order: Uint32Array
  readonly worst: Float64Array
  readonly worstFinish: Uint16Array
  readonly worstLight: Uint16Array
}
