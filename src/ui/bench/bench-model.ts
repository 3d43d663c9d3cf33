import type { JudgedKeeper } from '@/core/pairing/judged-keeper'
import type { StrengthRung } from '@/core/pairing/pair-reading'
import { FAULTS, MERITS, type Reason, type Verdict } from '@/core/record/verdict'
import type { LightSource } from '@/core/light/light-choice'
import type { Sky } from '@/core/light/sky'
import type { SpotName } from '@/core/light/spot'

export interface BenchKeeper extends JudgedKeeper {
  readonly id: string
  readonly state: string
}

export interface BenchCandidate extends StrengthRung {
  readonly id: string
  readonly code: string
  readonly name: string
  readonly maker: string
  readonly ladder: readonly StrengthRung[]
  readonly whyNoLadder: string | null
}

export interface BenchLook {
  readonly id: string
  readonly candidateId: string
  readonly keeperId: string
  readonly lightSource: LightSource
  readonly lightMinute: number
  readonly sky: Sky
  readonly lampsOn: boolean
  readonly spot: SpotName
  readonly verdict: Verdict
  readonly reasons: readonly Reason[]
  readonly note: string
  readonly retracted: boolean
}

export interface BenchPair {
  readonly keeper: BenchKeeper
  readonly candidate: BenchCandidate
}

/** Every candidate past one finish, then past the next. */
export function benchPairs(
  keepers: readonly BenchKeeper[],
  candidates: readonly BenchCandidate[],
): BenchPair[] {
  return keepers.flatMap((keeper) => candidates.map((candidate) => ({ keeper, candidate })))
}

/** Reasons that make sense for a verdict, in the order of their keys. */
export const reasonsFor = (verdict: Verdict): readonly Reason[] =>
  verdict === 'works' ? MERITS : FAULTS

export const VERDICT_KEYS: Record<Verdict, string> = {
  works: 'w',
  'works-lighter': 'l',
  'works-stronger': 's',
  unsure: 'u',
  no: 'n',
}

export const REASON_KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0', '-', '='] as const
