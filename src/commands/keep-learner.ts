import { z } from 'zod'
import { saveLearner } from '../db/practice'
import { kind, Refusal } from './kind'
import { id, name } from './values'

/** Somebody who practises on this store. */
export const keepLearner = kind({
  payload: z.object({ learnerId: id, name: name('a name') }),
  visitOf: () => null,
  write: (tx, { learnerId, name: called }, { receivedAt }) =>
    saveLearner(tx, { id: learnerId, name: called }, receivedAt),
  taken: {
    learner_name: ({ name: called }) =>
      new Refusal('Somebody of that name practises here already.', {
        name: `Expected a name that nobody has yet, got “${called}”.`,
      }),
  },
  sentence: ({ name: called }) => `${called} practises`,
})
