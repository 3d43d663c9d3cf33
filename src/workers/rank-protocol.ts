import type { LightChoice, RoomDay } from '@/core/light/light-choice'
import type { HappyMedium, KeeperFinish } from '@/core/ranking/best-compromise'
import type { HouseRules } from '@/core/advice/house-rules'
import type { RoomCharacter } from '@/core/advice/room-advice'

/** A deck to be ranked for a room: cloneable data only. */
export interface RankRequest {
  /** Tells answers apart; a later request makes earlier answers out of date. */
  readonly id: number
  readonly roomDay: RoomDay
  readonly lights: readonly LightChoice[]
  readonly finishes: readonly KeeperFinish[]
  /** What of the room and the house rules speaks for or against a colour. */
  readonly room: RoomCharacter
  readonly rules: HouseRules
  /** 36 numbers a candidate-at-strength. */
  readonly rows: Float64Array<ArrayBuffer>
}

export interface RankReply {
  readonly id: number
  readonly order: Uint32Array
  readonly worst: Float64Array
  readonly worstFinish: Uint16Array
  readonly worstLight: Uint16Array
  /** What holds each row back besides its pairs; see `roomAdvice`. */
  readonly against: Float64Array
  readonly happyMedium: HappyMedium | null
}
