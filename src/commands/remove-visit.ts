import { z } from 'zod'
import { setVisitRemoved } from '../db/visits'
import { kind } from './kind'
import { id } from './values'

/** A visit is taken out of the list, or put back; its record stays. */
export const removeVisit = kind({
  payload: z.object({ visitId: id, removed: z.boolean() }),
  visitOf: ({ visitId }) => visitId,
  begins: true,
  write: (tx, { visitId, removed }, { receivedAt }) =>
    setVisitRemoved(tx, visitId, removed ? receivedAt : null),
  sentence: ({ removed }) => (removed ? 'Visit removed' : 'Visit brought back'),
})
