import { z } from 'zod'
import { setRoomRemoved } from '../db/rooms'
import { kind, Refusal } from './kind'
import { id } from './values'

/** A room is taken out of its visit, or put back; its record stays. */
export const removeRoom = kind({
  payload: z.object({ visitId: id, roomId: id, removed: z.boolean() }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, roomId, removed }, { receivedAt }) {
    if (!(await setRoomRemoved(tx, visitId, roomId, removed ? receivedAt : null)))
      throw new Refusal('That room is not in this visit.')
  },
  taken: {
    room_name_in_visit: () =>
      new Refusal('Another room has its name by now; rename that one first.'),
  },
  sentence: ({ roomId, removed }, nameOf) =>
    `${nameOf(roomId)} ${removed ? 'removed' : 'brought back'}`,
})
