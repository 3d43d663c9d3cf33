export const VERDICTS = ['works', 'works-lighter', 'works-stronger', 'unsure', 'no'] as const
/** What the consultant, or the model, says of a candidate beside a finish in a light. */
export type Verdict = (typeof VERDICTS)[number]

export const VERDICT_WORDS: Record<Verdict, string> = {
  works: 'works',
  'works-lighter': 'works lighter',
  'works-stronger': 'works stronger',
  unsure: 'unsure',
  no: 'no',
}

/** Why something is wrong, in the trade's words: a dozen that are said all day. */
export const FAULTS = [
  'too pink',
  'too orange',
  'too yellow',
  'too green',
  'too blue',
  'too violet',
  'too grey',
  'too strong',
  'too pale',
  'too dark',
  'too light',
  'dirty',
] as const

/** Reasons for saying nothing: a verdict that only has these is withheld, and counts for nothing. */
export const WITHHELD = ['can’t say in this light', 'can’t judge from here'] as const

/** What is said more seldom. */
export const MORE_FAULTS = [
  'muddied',
  'empty beside it',
  'skin-pink',
  'near miss',
  'too little contrast',
  'needs more undertone',
  'dated',
  'too clean',
  'harsh',
  ...WITHHELD,
] as const

/** Why it is right. */
export const MERITS = ['shares the undertone', 'sets it off'] as const

export const REASONS = [...FAULTS, ...MORE_FAULTS, ...MERITS] as const
export type Reason = (typeof REASONS)[number]

/** "no: too green, too strong". */
export const verdictSentence = (verdict: Verdict, reasons: readonly Reason[]): string =>
  [VERDICT_WORDS[verdict], reasons.join(', ')].filter(Boolean).join(': ')
