import type { LookLight, ModelThen } from './look'
import type { Verdict } from './verdict'

export const FINISH_VERDICTS = ['works', 'unsure', 'no'] as const satisfies readonly Verdict[]
/** What is said of two finishes: neither comes lighter or stronger. */
export type FinishVerdict = (typeof FINISH_VERDICTS)[number]

/** What is arriving beside what stays: one observation. */
export interface FinishLook {
  readonly id: string
  readonly roomId: string
  readonly arrivingId: string
  readonly besideId: string
  /** The thing itself or a piece of it in the light that was there; or the screen, which never counts as seen. */
  readonly seenAs: 'sample' | 'screen'
  readonly light: LookLight
  readonly verdict: FinishVerdict
  readonly model: Pick<ModelThen, 'version' | 'judgement' | 'chance' | 'sentence'> | null
  readonly by: string
  /** By the clock of their device, as an instant. */
  readonly madeAt: string
}
