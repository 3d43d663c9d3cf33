export const JUDGEMENTS = ['works', 'works likely', 'unsure', 'no likely', 'no'] as const
/** What a chance is called. The consultant's own verdicts are another list: see record/verdict.ts. */
export type Judgement = (typeof JUDGEMENTS)[number]

/** Chances that works, from these on: firmly, likely; and below these not, likely or firmly. */
export const FIRM_FROM = 0.85
export const LIKELY_FROM = 0.6

/** The word for a chance that a pair works, 0 to 1. */
export function judgementOf(chance: number): Judgement {
  if (chance >= FIRM_FROM) return 'works'
  if (chance >= LIKELY_FROM) return 'works likely'
  if (chance > 1 - LIKELY_FROM) return 'unsure'
  return chance > 1 - FIRM_FROM ? 'no likely' : 'no'
}

/** Whether it counts as working, likely or firmly. */
export const isGood = (chance: number): boolean => chance >= LIKELY_FROM
/** Whether it counts as a no, likely or firmly. */
export const isBad = (chance: number): boolean => chance <= 1 - LIKELY_FROM

/** "72 %", in steps of five: nobody knows it closer. */
export const chancePercent = (chance: number): string =>
  `${Math.min(95, Math.max(5, 5 * Math.round(20 * chance)))} %`
