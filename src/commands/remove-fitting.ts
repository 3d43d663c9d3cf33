import { z } from 'zod'
import { removeFitting as writeRemoval } from '../db/fittings'
import { kind, Refusal } from './kind'
import { id } from './values'

/** A window or a lamp is taken out of its room. */
export const removeFitting = kind({
  payload: z.object({ visitId: id, fittingId: id, what: z.enum(['window', 'lamp']) }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, fittingId, what }, { receivedAt }) {
    if (!(await writeRemoval(tx, visitId, what, fittingId, receivedAt)))
      throw new Refusal(`That ${what} is not in this visit, or was removed.`)
  },
  sentence: ({ what }) => `A ${what} removed`,
})
