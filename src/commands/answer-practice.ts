import { z } from 'zod'
import { GivenShape, insertAnswer, SpecShape, StrandShape } from '../db/practice'
import { kind, Refusal } from './kind'
import { id } from './values'

const MOST_MS = 3_600_000

/** One answer of a round of practice: it touches no visit. */
export const answerPractice = kind({
  payload: z
    .object({
      learnerId: id,
      answerId: id,
      spec: SpecShape,
      strand: StrandShape,
      level: z.number().positive().max(1000),
      given: GivenShape,
      isRight: z.boolean(),
      tookMs: z.int().min(0).max(MOST_MS),
    })
    .refine(({ spec, strand }) => spec.kind === strand.kind, {
      message: 'Expected it to be counted under its own kind.',
      path: ['strand'],
    }),
  visitOf: () => null,
  async write(tx, { learnerId, answerId, ...answer }, { madeAt }) {
    if (!(await insertAnswer(tx, learnerId, { ...answer, id: answerId, at: madeAt })))
      throw new Refusal('Nobody of that name practises here.')
  },
  sentence: ({ spec, isRight }) => `Practice, “${spec.kind}”: ${isRight ? 'right' : 'missed'}`,
})
