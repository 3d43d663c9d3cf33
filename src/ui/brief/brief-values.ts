import type { HouseRules } from '@/core/advice/house-rules'

/** A brief as its form shows it. */
export interface BriefValues {
  readonly id: string
  readonly household: string
  readonly wishes: string
  readonly willNotHave: string
  readonly houseRules: HouseRules
  readonly wants: readonly string[]
  readonly contrast: string
  readonly climate: string
  readonly oldPaint: string
  readonly fromMinute: number
  readonly toMinute: number
  readonly placeName: string
  readonly latitudeDeg: number | null
  readonly longitudeDeg: number | null
  readonly timeZone: string
  /** Null of a new visit: today, where it is made. */
  readonly visitDate: string | null
}
