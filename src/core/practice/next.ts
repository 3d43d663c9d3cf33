import { KEEPER_KINDS } from '../pairing/keeper-kind'
import { seededRandom } from '../seeded-random'
import { HUE_NAMES } from '../undertone/hue-name'
import { toAskAgain } from './again'
import { questionName, type PracticeAnswer } from './answer'
import type { Wanted } from './ask'
import { beliefOfStrand } from './belief'
import { PRACTICE_KINDS, type PracticeKind } from './kinds'
import { PRACTICE_LIGHTS } from './lights'
import { anyOf, shuffled, type Spec, type Strand } from './question'
import { nextLevel } from './staircase'

export const A_ROUND = 20

/** A round: which kinds it is of, and the chance that it is made from. */
export interface Round {
  readonly kinds: readonly PracticeKind[]
  readonly seed: number
}

/** What comes next: something that was missed, or something new. */
export type Next =
  { readonly as: 'again'; readonly spec: Spec } | { readonly as: 'new'; readonly wanted: Wanted }

// Every third question at the most was missed before: a round of nothing else is no fun, and says little that is new.
const EVERY_THIRD = 3
// The strand that is practised is the weakest of a few that chance brings, so that each has its turn.
const OF_A_FEW = 4
const WITH_FINISH: readonly PracticeKind[] = ['works or not', 'which way off']

/**
 * The question of a round's place.
 *
 * @param answers all there are, oldest first, those of this round among them
 * @param asked how many of this round were asked
 * @param finishes the kinds of finish that there are to ask about
 * @param nowMs an instant
 */
export function nextOf(
  round: Round,
  answers: readonly PracticeAnswer[],
  asked: number,
  finishes: readonly Strand['finish'][],
  nowMs: number,
): Next {
  const among = kindsOf(round)
  const inRound = new Set(
    answers.slice(answers.length - asked).map(({ spec }) => questionName(spec)),
  )
  if (asked % EVERY_THIRD === EVERY_THIRD - 1) {
    const due = toAskAgain(answers).find(
      ({ spec, dueMs }) =>
        dueMs <= nowMs && among.includes(spec.kind) && !inRound.has(questionName(spec)),
    )
    if (due) return { as: 'again', spec: due.spec }
  }
  return { as: 'new', wanted: newOf(round, answers, asked, finishes) }
}

const kindsOf = ({ kinds }: Round): readonly PracticeKind[] =>
  kinds.length > 0 ? kinds : PRACTICE_KINDS

/** Something new for a round's place; see `nextOf`. */
export function newOf(
  round: Round,
  answers: readonly PracticeAnswer[],
  asked: number,
  finishes: readonly Strand['finish'][],
): Wanted {
  const { seed } = round
  const among = kindsOf(round)
  const random = seededRandom(seed + asked)
  const kind = shuffled(among, seededRandom(seed))[asked % among.length]!
  const some = WITH_FINISH.includes(kind) ? (finishes.length > 0 ? finishes : KEEPER_KINDS) : NONE
  const weakest = Array.from({ length: OF_A_FEW }, (): Strand => ({
    kind,
    lean: anyOf(['quiet', ...HUE_NAMES], random),
    finish: anyOf(some, random),
    light: anyOf(PRACTICE_LIGHTS, random),
  }))
    .map((strand) => ({ strand, belief: beliefOfStrand(answers, strand) }))
    .reduce((p, q) => (need(q.belief) > need(p.belief) ? q : p))
  return {
    ...weakest.strand,
    level: nextLevel(kind, weakest.belief),
    seed: Math.floor(random() * 2 ** 31),
  }
}

const NONE = ['none'] as const

// What is weak, and what is little known, is practised before what is strong.
const need = ({ mean, spread }: { readonly mean: number; readonly spread: number }): number =>
  mean + spread
