import { questionFrom } from '../src/core/practice/ask'
import type { PracticeAnswer } from '../src/core/practice/answer'
import { inventedMaterial } from '../src/core/practice/material'
import { A_ROUND, newOf } from '../src/core/practice/next'
import type { Given, Question, RightAnswer } from '../src/core/practice/question'
import { chanceRight } from '../src/core/practice/staircase'
import { QUESTION_KINDS } from '../src/core/practice/kinds'
import { seededRandom } from '../src/core/seeded-random'
import { steadyId, type Hand } from './hand'

/** Somebody invented who practises: how sharp they begin and end, over where each kind starts, and what they are weak in. */
interface DemoLearner {
  readonly name: string
  readonly rounds: number
  readonly from: number
  readonly to: number
  readonly weakLean: string
}

const LEARNERS: readonly DemoLearner[] = [
  { name: 'Ines Tarrow', rounds: 4, from: 0.9, to: 0.4, weakLean: 'green' },
  { name: 'Odo Fell', rounds: 1, from: 1.3, to: 1.2, weakLean: 'violet' },
]
const WEAKER = 2.2
const DAYS_APART = 6
const DAY_MS = 86_400_000

/** Rounds of practice as these learners would have answered them, at questions made as anybody's are. */
export async function seedPractice(hand: Hand, fromMs: number): Promise<void> {
  const material = inventedMaterial(1, 'american')
  const random = seededRandom(23)
  for (const { name, rounds, from, to, weakLean } of LEARNERS) {
    const learnerId = steadyId()
    await hand.make('keep-learner', { learnerId, name })
    const answers: PracticeAnswer[] = []
    for (let round = 0; round < rounds; round++) {
      hand.waitUntil(fromMs + round * DAYS_APART * DAY_MS)
      const sharpness = from + ((to - from) * round) / Math.max(1, rounds - 1)
      for (let n = 0; n < A_ROUND; n++) {
        const question = questionFrom(
          material,
          newOf({ kinds: [], seed: 40 + round }, answers, n, []),
        )
        if (!question) continue
        const { spec, strand, level, answer } = question
        const step =
          QUESTION_KINDS[spec.kind].start * sharpness * (strand.lean === weakLean ? WEAKER : 1)
        const isRight = random() < chanceRight(spec.kind, level, step)
        const given = isRight ? rightGiven(answer) : wrongGiven(answer)
        const answerId = steadyId()
        const tookMs = Math.round(1500 + 4000 * random())
        await hand.make('answer-practice', {
          ...{ learnerId, answerId, level, isRight, tookMs, strand },
          spec: { ...spec, paints: [...spec.paints], lights: [...spec.lights] },
          given: typeof given === 'number' ? given : [...given],
        })
        answers.push({ ...kept(question, answerId), given, isRight, tookMs, at: '' })
      }
    }
  }
}

const kept = ({ spec, strand, level }: Question, id: string) => ({ id, spec, strand, level })

const rightGiven = ({ right }: RightAnswer): Given => right

function wrongGiven(answer: RightAnswer): Given {
  switch (answer.as) {
    case 'choice':
      return (answer.right + 1) % answer.choices.length
    case 'order':
      return [answer.right[1]!, answer.right[0]!, ...answer.right.slice(2)]
    case 'figure':
      return Math.round(answer.to < 95 ? answer.to + 4 : answer.from - 6)
  }
}
