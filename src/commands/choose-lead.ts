import { z } from 'zod'
import { setLead } from '../db/rooms'
import { kind, Refusal } from './kind'
import { id } from './values'

/** Which keeper leads in a room. */
export const chooseLead = kind({
  payload: z.object({ visitId: id, roomId: id, keeperId: id }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, roomId, keeperId }) {
    if (!(await setLead(tx, visitId, roomId, keeperId)))
      throw new Refusal('It is not in this room any more. Load the page again.')
  },
  sentence: ({ roomId, keeperId }, nameOf) => `${nameOf(keeperId)} leads in ${nameOf(roomId)}`,
})
