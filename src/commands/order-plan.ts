import { z } from 'zod'
import { setPlanOrder } from '../db/visits'
import { kind } from './kind'
import { id } from './values'

/** In which order the rooms of a visit are to be seen; an empty list leaves it to the light. */
export const orderPlan = kind({
  payload: z.object({ visitId: id, roomIds: z.array(id).max(100) }),
  visitOf: ({ visitId }) => visitId,
  write: (tx, { visitId, roomIds }) => setPlanOrder(tx, visitId, roomIds),
  sentence: ({ roomIds }, nameOf) =>
    roomIds.length > 0
      ? `Day plan: ${roomIds.map(nameOf).join(', ')}`
      : 'Day plan as the light asks for',
})
