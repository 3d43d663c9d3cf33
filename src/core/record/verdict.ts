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

// What is stored are the keys on the left; what is read are the words on the right, and those may change.

/** Why something is wrong: a dozen that are said all day. */
const FAULT_WORDS = {
  'too-pink': 'too pink',
  'too-orange': 'too orange',
  'too-yellow': 'too yellow',
  'too-green': 'too green',
  'too-blue': 'too blue',
  'too-violet': 'too violet',
  'too-grey': 'too grey',
  'too-strong': 'too strong',
  'too-pale': 'too pale',
  'too-dark': 'too dark',
  'too-light': 'too light',
  dirty: 'dirty',
} as const

/** Reasons for saying nothing: a verdict that only has these is withheld, and counts for nothing. */
const WITHHELD_WORDS = {
  'not-in-this-light': 'can’t say in this light',
  'not-from-here': 'can’t judge from here',
} as const

/** What is said more seldom. */
const MORE_FAULT_WORDS = {
  muddied: 'muddied',
  'empty-beside-it': 'empty beside it',
  'skin-pink': 'skin-pink',
  'near-miss': 'near miss',
  'too-little-contrast': 'too little contrast',
  'needs-more-undertone': 'needs more undertone',
  dated: 'dated',
  'too-clean': 'too clean',
  harsh: 'harsh',
  ...WITHHELD_WORDS,
} as const

/** Why it is right. */
const MERIT_WORDS = {
  'shares-the-undertone': 'shares the undertone',
  'sets-it-off': 'sets it off',
} as const

export const REASON_WORDS = { ...FAULT_WORDS, ...MORE_FAULT_WORDS, ...MERIT_WORDS } as const
export type Reason = keyof typeof REASON_WORDS

const keysOf = <K extends string>(words: Readonly<Record<K, string>>): readonly [K, ...K[]] =>
  Object.keys(words) as [K, ...K[]]
export const REASONS = keysOf(REASON_WORDS)
export const FAULTS = keysOf(FAULT_WORDS)
export const MORE_FAULTS = keysOf(MORE_FAULT_WORDS)
export const MERITS = keysOf(MERIT_WORDS)
export const WITHHELD = keysOf(WITHHELD_WORDS)

/** "too green, dated". */
export const reasonsSaid = (reasons: readonly Reason[]): string =>
  reasons.map((reason) => REASON_WORDS[reason]).join(', ')

/** "no: too green, too strong". */
export const verdictSentence = (verdict: Verdict, reasons: readonly Reason[]): string =>
  [VERDICT_WORDS[verdict], reasonsSaid(reasons)].filter(Boolean).join(': ')
