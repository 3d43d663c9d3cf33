import type { LitRoom } from '@/core/light/room'
import type { UseHours } from '@/core/light/use-hours'
import type { Treatment } from '@/core/paint/treatment'

export type Identified<T> = T & { readonly id: string }

/** A room as its light view needs it. */
export interface LightRoom extends Identified<Omit<LitRoom, 'windows' | 'lamps'>> {
  readonly name: string
  readonly visitId: string
  readonly northDeg: number
  readonly useHours: UseHours
  readonly treatment: Treatment
  readonly seenFrom: readonly string[]
  readonly windows: readonly Identified<LitRoom['windows'][number]>[]
  readonly doors: readonly Identified<
    Pick<LitRoom['windows'][number], 'bearingDeg' | 'widthMm' | 'heightMm' | 'alongPercent'>
  >[]
  readonly lamps: readonly Identified<LitRoom['lamps'][number]>[]
}
