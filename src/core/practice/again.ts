import { createEmptyCard, fsrs, generatorParameters, Rating, State, type Card } from 'ts-fsrs'
import { questionName, type PracticeAnswer } from './answer'
import type { Spec } from './question'

// What was missed comes again by FSRS, as its authors' library has it; without chance, so that the same answers give the
// same days.
const scheduler = fsrs(generatorParameters({ enable_fuzz: false }))
/** What would come again after so many days is known. */
const KNOWN_DAYS = 90

/** A question that was missed once, and when it comes again. */
export interface ToAskAgain {
  readonly spec: Spec
  /** An instant, milliseconds. */
  readonly dueMs: number
}

/** What was missed and is not known yet, the earliest first. */
export function toAskAgain(answers: readonly PracticeAnswer[]): ToAskAgain[] {
  const cards = new Map<string, { readonly spec: Spec; readonly card: Card }>()
  for (const { spec, isRight, at } of answers) {
    const name = questionName(spec)
    const known = cards.get(name)
    // What was right at once needs no card.
    if (!known && isRight) continue
    const card = known?.card ?? createEmptyCard<Card>(at)
    const rating = isRight ? Rating.Good : Rating.Again
    cards.set(name, { spec, card: scheduler.next(card, at, rating).card })
  }
  return [...cards.values()]
    .filter(({ card }) => card.state !== State.Review || card.scheduled_days < KNOWN_DAYS)
    .map(({ spec, card }) => ({ spec, dueMs: card.due.getTime() }))
    .sort((p, q) => p.dueMs - q.dueMs)
}
