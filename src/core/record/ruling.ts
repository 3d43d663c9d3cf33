import type { Sheen } from '../paint/sheen'
import type { Surface } from './proposal'
import type { Verdict } from './verdict'

/** The outcome for a surface of a room. */
export interface Ruling {
  readonly id: string
  readonly roomId: string
  readonly surface: Surface
  readonly candidateId: string
  readonly sheen: Sheen
  /** What is given up, said aloud; empty where the pick works as it is. */
  readonly compromise: string
  /** What the record did not hold when it was ruled, each by name. */
  readonly gaps: readonly string[]
  readonly by: string
  /** By the clock of their device, as an instant. */
  readonly madeAt: string
}

/** A candidate for a surface as its room's record has it. */
export interface ToRule {
  readonly verdict: Verdict | null
  readonly isRuledOut: boolean
  readonly gaps: readonly string[]
}

const STANDS: readonly (Verdict | null)[] = [
  'works',
  'works-lighter',
  'works-stronger',
  'unsure',
  null,
  'no',
]

/** Candidates for a surface in the order they are offered: what works first, what is ruled out last, of equals what is better founded. */
export const byStanding = <T extends ToRule>(candidates: readonly T[]): T[] =>
  candidates.toSorted(
    (p, q) =>
      Number(p.isRuledOut) - Number(q.isRuledOut) ||
      STANDS.indexOf(p.verdict) - STANDS.indexOf(q.verdict) ||
      p.gaps.length - q.gaps.length,
  )
