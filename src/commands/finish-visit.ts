import { z } from 'zod'
import { setVisitFinished } from '../db/visits'
import { kind } from './kind'
import { id } from './values'

/** A visit is finished, or open again. */
export const finishVisit = kind({
  payload: z.object({ visitId: id, finished: z.boolean() }),
  visitOf: ({ visitId }) => visitId,
  write: (tx, { visitId, finished }, { receivedAt }) =>
    setVisitFinished(tx, visitId, finished ? receivedAt : null),
  sentence: ({ finished }) => (finished ? 'Visit finished' : 'Visit opened again'),
})
