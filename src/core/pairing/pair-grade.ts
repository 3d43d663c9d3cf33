import { measurePair, PAIRING_LIMITS, type PairMeasures, type Pairing } from './pairing'
import type { Undertone } from '../undertone/undertone'
import type { Verdict } from '../record/verdict'

/** Which verdict a pairing is. */
export const VERDICT_OF: Readonly<Record<Pairing, Verdict & ('works' | 'unsure' | 'no')>> = {
  connects: 'works',
  'quiet stretch': 'works',
  contrasts: 'works',
  bridges: 'works',
  unsure: 'unsure',
  'near miss': 'no',
  'washes out': 'no',
  dirties: 'no',
  clashes: 'no',
}

/** Two leans as strong as they count, from opposite sides. */
export const MOST_CONFLICT = 2 * PAIRING_LIMITS.strengthCap

/** Grades from 0, where nothing could sit better, to this work. */
export const WORKS_UP_TO = 0.5
/** From 1 to this they are unsure; from 2 to 3 they are a no. */
export const UNSURE_UP_TO = 1.5

// A lean is felt from about this strength, and shared in full from the other.
export const FELT_LEAN = 1.5
export const FULL_LEAN = 4
/** What a finish without a felt lean leaves unshared: a wall can still be quieter or cleaner than it. */
export const UNFELT = 0.25

/**
 * How well a pair sits, on one scale: its verdict, and within the verdict how near to the next.
 *
 * @returns 0 to 0.5 works, 1 to 1.5 unsure, 2 to 3 no
 */
export function gradeOf(pairing: Pairing, wall: Undertone, finish: Undertone): number {
  const measures = measurePair(wall, finish)
  const share = measures.conflict / MOST_CONFLICT
  switch (VERDICT_OF[pairing]) {
    case 'works':
      return worksGrade(pairing, wall, finish, measures)
    case 'unsure':
      return 1 + (UNSURE_UP_TO - 1) * share
    case 'no':
      return 2 + share
  }
}

/** Two clear opposites where the house rule wants a shared undertone: as unsure as can be without a conflict. */
export const UNWANTED_CONTRAST = 1

/**
 * Half by how little conflict there is, half by how much of the finish's lean the wall takes up. Without the
 * second half a grey of black and white would suit everything best, and look like concrete.
 */
function worksGrade(
  pairing: Pairing,
  wall: Undertone,
  finish: Undertone,
  { conflict, hueDeg }: PairMeasures,
): number {
  if (pairing === 'contrasts') return 0
  if (pairing === 'bridges') return WORKS_UP_TO
  const clear = conflict / PAIRING_LIMITS.connectsUpTo
  if (finish.c < FELT_LEAN) return (WORKS_UP_TO / 2) * (clear + UNFELT)
  const taken = Math.min(wall.c, FULL_LEAN) / Math.min(finish.c, FULL_LEAN)
  const shared = Math.max(0, Math.cos((hueDeg * Math.PI) / 180)) * Math.min(1, taken)
  return (WORKS_UP_TO / 2) * (clear + 1 - shared)
}

/** Degrees within "works", best first. */
export type WorksDegree = 'sweet spot' | 'fits' | 'on the edge'

/** The degree of a grade, or null where it does not work. */
export function worksDegree(grade: number): WorksDegree | null {
  if (grade > WORKS_UP_TO) return null
  if (grade <= WORKS_UP_TO / 4) return 'sweet spot'
  return grade <= (3 * WORKS_UP_TO) / 4 ? 'fits' : 'on the edge'
}

/** The verdict a grade stands for. */
export function verdictOfGrade(grade: number): 'works' | 'unsure' | 'no' {
  if (grade <= WORKS_UP_TO) return 'works'
  return grade <= UNSURE_UP_TO ? 'unsure' : 'no'
}
