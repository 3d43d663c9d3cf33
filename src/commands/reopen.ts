import { z } from 'zod'
import { reopenRuling } from '../db/rulings'
import { kind, Refusal } from './kind'
import { id } from './values'

/** A ruling is reopened, with the reason. */
export const reopen = kind({
  payload: z.object({
    visitId: id,
    rulingId: id,
    because: z.string().trim().min(1, 'Expected why it is reopened, got nothing.').max(2000),
    // What it was, for its sentence.
    roomId: id,
    candidateId: id,
  }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, rulingId, because }, { receivedAt }) {
    if (!(await reopenRuling(tx, visitId, rulingId, because, receivedAt)))
      throw new Refusal('That ruling does not stand any more: load the page again.')
  },
  sentence: ({ roomId, candidateId, because }, nameOf) =>
    `Reopened in ${nameOf(roomId)}, ${nameOf(candidateId)}: ${because}`,
})
