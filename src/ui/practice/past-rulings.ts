import type { PracticeAnswer } from '@/core/practice/answer'
import type { Question, Strand } from '@/core/practice/question'
import { counted } from '@/core/words'

/** What was ruled in visits on pairs of a lean and a kind of finish. */
export interface PastRulings extends Pick<Strand, 'lean' | 'finish'> {
  readonly works: number
  readonly no: number
  readonly unsure: number
}

/** One's own past on such pairs: in visits, and in practice. */
export function pastWords(
  { strand: { lean, finish, kind } }: Question,
  rulings: readonly PastRulings[],
  answers: readonly PracticeAnswer[],
): string {
  const colour = lean === 'quiet' ? 'quiet colours' : `${lean} leans`
  const what = finish === 'none' ? colour : `${colour} beside ${finish}`
  const own = rulings.find((each) => each.lean === lean && each.finish === finish)
  const before = answers.filter(
    ({ strand }) => strand.kind === kind && strand.lean === lean && strand.finish === finish,
  )
  const inVisits =
    finish === 'none'
      ? ''
      : own
        ? `In your visits: ${own.works} worked, ${own.no} did not, ${own.unsure} unsure.`
        : 'Nothing ruled on such pairs in your visits.'
  const inPractice =
    before.length === 0
      ? 'Not practised before.'
      : `Practised ${counted(before.length, 'time')} before, ${before.filter(({ isRight }) => isRight).length} right.`
  return `Of ${what}. ${[inVisits, inPractice].filter(Boolean).join(' ')}`
}
