import { z } from 'zod'
import { copyRoom as writeCopy } from '../db/rooms'
import { kind, Refusal } from './kind'
import { roomNameTaken } from './room-words'
import { id, name } from './values'

/** A room once more under another name, with its windows and lamps. */
export const copyRoom = kind({
  payload: z.object({ visitId: id, roomId: id, copyId: id, name: name('a name for the room') }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, roomId, copyId, name: copyName }, { receivedAt }) {
    if (copyId === roomId)
      throw new Refusal('Expected an id of its own for the copy, got the room’s.')
    if (!(await writeCopy(tx, { visitId, roomId, copyId, name: copyName, at: receivedAt })))
      throw new Refusal('That room is not in this visit, or was removed.')
  },
  taken: {
    room_name_in_visit: (copy) => roomNameTaken(copy.name),
    room_pkey: () =>
      new Refusal('Expected an id of its own for the copy, got that of another room.'),
  },
  sentence: ({ roomId, name: copyName }, nameOf) =>
    `Room: ${copyName}, copied from ${nameOf(roomId)}`,
})
