import { z } from 'zod'
import { orderRooms as writeOrder } from '../db/rooms'
import { kind } from './kind'
import { id } from './values'

/** The order in which the rooms of a visit stand. */
export const orderRooms = kind({
  payload: z.object({ visitId: id, roomIds: z.array(id).max(1000) }),
  visitOf: ({ visitId }) => visitId,
  write: (tx, { visitId, roomIds }) => writeOrder(tx, visitId, roomIds),
  sentence: ({ roomIds }, nameOf) => `Order of the rooms: ${roomIds.map(nameOf).join(', ')}`,
})
