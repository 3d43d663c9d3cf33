import { z } from 'zod'
import { HUE_NAMES } from '../core/undertone/hue-name'
import { leanWords } from '../core/undertone/lean'
import { setLeanOut } from '../db/rooms'
import { kind, Refusal } from './kind'
import { id } from './values'

/** "None of this lean": every colour of it is out of a room at once; or in again. */
export const ruleOutLean = kind({
  payload: z.object({
    visitId: id,
    roomId: id,
    lean: z.enum(HUE_NAMES),
    strong: z.boolean(),
    out: z.boolean(),
  }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, roomId, lean, strong, out }) {
    if (!(await setLeanOut(tx, visitId, roomId, { lean, strong }, out)))
      throw new Refusal('That room is not in this visit, or was removed.')
  },
  sentence: ({ roomId, out, ...lean }, nameOf) =>
    `${nameOf(roomId)}: ${out ? 'no' : 'again'} ${leanWords(lean)}`,
})
