import { z } from 'zod'
import { saveWhatIf, WhatIfShape } from '../db/what-ifs'
import { kind, Refusal } from './kind'
import { id, name } from './values'

/** What a room might have instead, with what it came to: a proposal; the room stays as it is. */
export const keepWhatIf = kind({
  payload: z.object({
    visitId: id,
    roomId: id,
    whatIfId: id,
    name: name('a name for it'),
    change: WhatIfShape.refine((change) => Object.values(change).some((each) => each !== null), {
      message: 'Expected something that is different.',
    }),
    says: z.string().trim().max(2000),
    removed: z.boolean().default(false),
  }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, whatIfId, ...whatIf }, { receivedAt }) {
    if (!(await saveWhatIf(tx, visitId, { ...whatIf, id: whatIfId }, receivedAt)))
      throw new Refusal('That room is not in this visit, or was removed.')
  },
  sentence: ({ roomId, name: called, removed }, nameOf) =>
    removed
      ? `What if “${called}” in ${nameOf(roomId)} removed`
      : `What if in ${nameOf(roomId)}: ${called}`,
})
