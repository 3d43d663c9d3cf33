export const JUDGEMENTS = ['works', 'likely-works', 'unsure', 'likely-not', 'no'] as const
/** What a chance is, as it is stored. The consultant's own verdicts are another list: see record/verdict.ts. */
export type Judgement = (typeof JUDGEMENTS)[number]

/** What a chance is called. */
export const JUDGEMENT_WORDS: Readonly<Record<Judgement, string>> = {
  works: 'works',
  'likely-works': 'likely works',
  unsure: 'unsure',
  'likely-not': 'likely not',
  no: 'no',
}

/** Chances that works, from these on: firmly, likely; and below these not, likely or firmly. */
export const FIRM_FROM = 0.85
export const LIKELY_FROM = 0.6

/** What a chance is that a pair works, 0 to 1. */
export function judgementOf(chance: number): Judgement {
  if (chance >= FIRM_FROM) return 'works'
  if (chance >= LIKELY_FROM) return 'likely-works'
  if (chance > 1 - LIKELY_FROM) return 'unsure'
  return chance > 1 - FIRM_FROM ? 'likely-not' : 'no'
}

/** The words for a chance that a pair works, 0 to 1. */
export const judgedWords = (chance: number): string => JUDGEMENT_WORDS[judgementOf(chance)]

/** Whether it counts as working, likely or firmly. */
export const isGood = (chance: number): boolean => chance >= LIKELY_FROM
/** Whether it counts as a no, likely or firmly. */
export const isBad = (chance: number): boolean => chance <= 1 - LIKELY_FROM

/** Of one colour carried on, which never quarrels and never sets off (common practice). */
export const CARRIED_ON = 0.9

const STEP_PERCENT = 5

/** "70 %", in steps of five, as nobody knows it closer; never a figure that another word stands for. */
export function chancePercent(chance: number): string {
  const word = judgementOf(chance)
  const nearest = STEP_PERCENT * Math.round((100 * chance) / STEP_PERCENT)
  const percent = [nearest, nearest - STEP_PERCENT, nearest + STEP_PERCENT].find(
    (each) => judgementOf(each / 100) === word,
  )!
  return `${Math.min(100 - STEP_PERCENT, Math.max(STEP_PERCENT, percent))} %`
}
