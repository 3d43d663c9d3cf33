import { z } from 'zod'
import { copyFittings } from '../db/fittings'
import { findRoom, likenRoom } from '../db/rooms'
import { kind, Refusal } from './kind'
import { id } from './values'

/** A room that is not set up yet takes size, turn, windows and lamps of another. */
export const makeAlike = kind({
  payload: z.object({ visitId: id, roomId: id, likeRoomId: id }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, roomId, likeRoomId }) {
    const [room, like] = [await findRoom(tx, roomId), await findRoom(tx, likeRoomId)]
    if (room?.visitId !== visitId || like?.visitId !== visitId)
      throw new Refusal('That room is not in this visit, or was removed.')
    if (room.windows.length + room.doors.length + room.lamps.length > 0)
      throw new Refusal('It has windows or lamps of its own already: take them out first.')
    await likenRoom(tx, roomId, likeRoomId)
    await copyFittings(tx, likeRoomId, roomId)
  },
  sentence: ({ roomId, likeRoomId }, nameOf) => `${nameOf(roomId)}: like ${nameOf(likeRoomId)}`,
})
