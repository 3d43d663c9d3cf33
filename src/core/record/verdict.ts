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

/** Why something is wrong, in the trade's words. */
export const FAULTS = [
  'too pink',
  'too orange',
  'too yellow',
  'too green',
  'too blue',
  'too violet',
  'too grey',
  'too strong',
  'too weak',
  'too dark',
  'too light',
  'too little contrast',
] as const

/** Why it is right. */
export const MERITS = ['shares the undertone', 'sets it off'] as const

export const REASONS = [...FAULTS, ...MERITS] as const
export type Reason = (typeof REASONS)[number]
