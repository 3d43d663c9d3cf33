/**
 * What a wall beside a finish can be wrong by, as far as looks of one eye can tell where its limit is. How empty a wall
 * may look is not among them: too few pairs of a house hang on it (`npm run accuracy`).
 */
export const EYE_LIMITS = ['clashes', 'dirties', 'near miss'] as const
export type EyeLimit = (typeof EYE_LIMITS)[number]

/**
 * By how much an eye's limits differ from the model's: 1 is none, 1.2 lets a fifth more pass before it says no. Of a clash
 * it is how far two leans may quarrel; of what dirties, how much cleaner the other may be; of a near miss, how near two
 * may come, which it shrinks.
 */
export type EyeFactors = Readonly<Record<EyeLimit, number>>

/** The model's own limits. */
export const AS_THE_MODEL: EyeFactors = {
  clashes: 1,
  dirties: 1,
  'near miss': 1,
}

/** A limit is never moved farther than this. */
export const MOST_MOVED = 0.3

/** Whose limits pairs are held to, as it is named wherever it acts. */
export interface EyeInForce {
  /** 0 for the model's own, 1 for the first that was learnt, and so on. */
  readonly version: number
  readonly factors: EyeFactors
}
export const NO_EYE: EyeInForce = { version: 0, factors: AS_THE_MODEL }

/** House rules, and whoever passes them on, may carry the eye that is judged with, where its owner has asked for that. */
export interface WithEye {
  readonly eye?: EyeInForce | undefined
}

const WORDS: Readonly<Record<EyeLimit, string>> = {
  clashes: 'before two leans clash',
  dirties: 'before one makes the other look dirty',
  'near miss': 'before two come too near',
}
const SAID_FROM = 0.005

/** "lets 12 % more pass before two leans clash; …"; the model's own limits where nothing is moved. */
export function factorWords(factors: EyeFactors): string {
  const moved = EYE_LIMITS.filter((limit) => Math.abs(factors[limit] - 1) >= SAID_FROM)
  if (moved.length === 0) return 'no limit is moved'
  return moved
    .map((limit) => {
      const percent = Math.round(100 * Math.abs(factors[limit] - 1))
      return `lets ${percent} % ${factors[limit] > 1 ? 'more' : 'less'} pass ${WORDS[limit]}`
    })
    .join('; ')
}
