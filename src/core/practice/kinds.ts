import { SEEN_FROM } from '../undertone/difference-words'

/** What the trade practises, one kind of question each. */
export const PRACTICE_KINDS = [
  'works or not',
  'which way off',
  'sort by lean',
  'which of two',
  'which strength',
  'how light',
  'which light turns it',
  'white or greige',
  'odd one out',
] as const
export type PracticeKind = (typeof PRACTICE_KINDS)[number]

interface KindOfQuestion {
  /** What is practised, for a list. */
  readonly says: string
  /** Share of right answers of somebody who sees nothing. */
  readonly guess: number
  /** Level of the hardest question that still has one defensible answer, of the first one, and of the easiest. */
  readonly least: number
  readonly start: number
  readonly most: number
}

/** One step of the eye, CAM16-UCS units. */
export const EYE_STEP = SEEN_FROM
/** Two surfaces that a question is about differ by so much at the least. */
export const LEAST_STEPS = 2 * EYE_STEP
/** A pair is asked about from this chance on, or below its counterpart: Φ(1.0364) = 0.85. */
export const LEAST_SPREADS = 1.0364

/**
 * The level of a question is how far right and wrong lie apart: in steps of the eye, but for a pair, where it is how many
 * standard deviations its chance is from even odds. Guesses are one over what there is to choose from.
 */
export const QUESTION_KINDS: Readonly<Record<PracticeKind, KindOfQuestion>> = {
  'works or not': {
    says: 'A wall beside a finish in a light: does it work?',
    guess: 1 / 2,
    ...{ least: LEAST_SPREADS, start: 2, most: 4 },
  },
  'which way off': {
    says: 'A wall that clashes with a finish: what is it too much of?',
    guess: 1 / 4,
    ...{ least: 4.5, start: 10, most: 30 },
  },
  'sort by lean': {
    says: 'Five neutrals, in the order of their lean.',
    guess: 1 / 120,
    ...{ least: LEAST_STEPS, start: 3, most: 8 },
  },
  'which of two': {
    says: 'Two neighbours: which of them is the greener, pinker, yellower or bluer?',
    guess: 1 / 2,
    ...{ least: LEAST_STEPS, start: 5, most: 16 },
  },
  'which strength': {
    says: 'A colour beside its full strength: 100, 75 or 50 %?',
    guess: 1 / 3,
    ...{ least: LEAST_STEPS, start: 2.8, most: 3.5 },
  },
  'how light': {
    says: 'An LRV, estimated beside a white card.',
    guess: 0,
    ...{ least: LEAST_STEPS, start: 8, most: 25 },
  },
  'which light turns it': {
    says: 'A colour that turns most in one of three lights.',
    guess: 1 / 3,
    ...{ least: LEAST_STEPS, start: 3, most: 4.5 },
  },
  'white or greige': {
    says: 'White, off-white or greige, beside a white card.',
    guess: 1 / 3,
    ...{ least: LEAST_STEPS, start: 2.5, most: 3.5 },
  },
  'odd one out': {
    says: 'Four siblings, one of which leans another way.',
    guess: 1 / 4,
    ...{ least: LEAST_STEPS, start: 6, most: 16 },
  },
}

/** Whether a kind's level counts spreads of a chance, not steps of the eye. */
export const countsSpreads = (kind: PracticeKind): boolean =>
  QUESTION_KINDS[kind].least === LEAST_SPREADS
