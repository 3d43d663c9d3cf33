import { z } from 'zod'
import { factorWords, MOST_MOVED } from '../core/eye/factors'
import { LEAST_LOOKS } from '../core/eye/learn'
import { saveLesson } from '../db/eye-lessons'
import { kind } from './kind'
import { id } from './values'

const factor = z
  .number()
  .min(1 - MOST_MOVED)
  .max(1 + MOST_MOVED)
const told = z
  .object({ looks: z.int().min(0), surprise: z.number().min(0), agreed: z.int().min(0) })
  .refine(({ looks, agreed }) => agreed <= looks, {
    message: 'Expected at most as many looks agreed on as there were.',
  })

/** What was learnt of the eye is used from now on, wherever a pair is judged; a lesson before it is put away. */
export const learnFromEye = kind({
  payload: z
    .object({
      lessonId: id,
      factors: z.object({
        clashes: factor,
        dirties: factor,
        'near miss': factor,
      }),
      learntFrom: z.int().min(1),
      without: told,
      with: told,
    })
    .refine((lesson) => lesson.with.looks === lesson.without.looks, {
      message: 'Expected both to be tried on the same looks.',
    })
    .refine((lesson) => lesson.learntFrom + lesson.with.looks >= LEAST_LOOKS, {
      message: `Expected at least ${LEAST_LOOKS} looks, learnt from and kept aside together.`,
    }),
  visitOf: () => null,
  write: (tx, { lessonId, ...lesson }, { receivedAt }) =>
    saveLesson(tx, lessonId, lesson, receivedAt),
  sentence: ({ factors }) => `The eye is judged with: ${factorWords(factors)}`,
})
