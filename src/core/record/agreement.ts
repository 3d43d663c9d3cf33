import { isBad, isGood } from '../pairing/chance'
import type { Look } from './look'
import type { Verdict } from './verdict'

export const FIRST_SPEAKS = ['eye', 'model'] as const
/** Who speaks first on the bench: by default the eye, and the model waits for the verdict. */
export type FirstSpeaks = (typeof FIRST_SPEAKS)[number]

/** Whether the eye and a chance say different things; an unsure one of them does not differ. */
export function differs(chance: number, verdict: Verdict): boolean {
  if (verdict === 'works') return isBad(chance)
  if (verdict === 'unsure') return false
  return isGood(chance)
}

/** How often the eye and the model said the same. */
export interface Agreement {
  readonly agreed: number
  /** Looks at which both spoke out, the eye before it knew. */
  readonly of: number
  /** Looks that tell nothing of it: the model's reading had been seen before. */
  readonly known: number
}

/**
 * Agreement over the looks that can tell: those that stand, with a verdict, and with a reading of the model that nobody had
 * seen before. Where either was unsure nothing was said.
 */
export function agreementOf(looks: readonly Look[]): Agreement {
  const both = looks.filter(
    ({ retracted, verdict, model }) =>
      !retracted &&
      verdict !== null &&
      verdict !== 'unsure' &&
      model !== null &&
      (isGood(model.chance) || isBad(model.chance)),
  )
  const unseen = both.filter(({ modelSeenBefore }) => modelSeenBefore === false)
  return {
    agreed: unseen.filter(({ model, verdict }) => !differs(model!.chance, verdict!)).length,
    of: unseen.length,
    known: both.length - unseen.length,
  }
}
