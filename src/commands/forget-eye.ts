import { z } from 'zod'
import { forgetLesson } from '../db/eye-lessons'
import { kind, Refusal } from './kind'

/** The model judges by its own limits again. */
export const forgetEye = kind({
  payload: z.object({}),
  visitOf: () => null,
  async write(tx, _, { receivedAt }) {
    if (!(await forgetLesson(tx, receivedAt)))
      throw new Refusal('The model judges by its own limits already.')
  },
  sentence: () => 'The model judges by its own limits again',
})
