import { PAIRING_LIMITS, type PairMeasures, type Pairing } from './pairing'
import type { Undertone } from './undertone'

/** Grades within "works" run from 0, where nothing could sit better, to this. */
export const WORKS_UP_TO = 0.5

// A lean is felt from about this strength, and shared in full from the other.
export const FELT_LEAN = 1.5
export const FULL_LEAN = 4

export type WorksDegree = 'sweet spot' | 'fits' | 'on the edge'

/**
 * How well a pair that works does so, 0 to 0.5: half by how little conflict there is, half by how much of
 * the finish's lean the wall takes up. Without the second half a grey of black and white would suit
 * everything best, and look like concrete.
 */
export function worksGrade(
  pairing: Pairing,
  wall: Undertone,
  finish: Undertone,
  { conflict, hueDeg }: PairMeasures,
): number {
  if (pairing === 'contrasts') return 0
  if (pairing === 'bridges') return WORKS_UP_TO
  const clear = conflict / PAIRING_LIMITS.connectsUpTo
  if (finish.c < FELT_LEAN) return (WORKS_UP_TO / 2) * clear + WORKS_UP_TO / 8
  const taken = Math.min(wall.c, FULL_LEAN) / Math.min(finish.c, FULL_LEAN)
  const shared = Math.max(0, Math.cos((hueDeg * Math.PI) / 180)) * Math.min(1, taken)
  return (WORKS_UP_TO / 2) * (clear + 1 - shared)
}

/** The grade in the trade's words. */
export function worksDegree(grade: number): WorksDegree {
  if (grade <= WORKS_UP_TO / 4) return 'sweet spot'
  return grade <= (3 * WORKS_UP_TO) / 4 ? 'fits' : 'on the edge'
}
