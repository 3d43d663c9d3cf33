import { z } from 'zod'
import { SHEENS } from '../core/paint/sheen'
import { PROPOSAL_STATUSES, SURFACES } from '../core/record/proposal'
import { inTradeWords } from '../core/trade-words'
import { saveProposal, withdrawProposal } from '../db/candidates'
import { kind, Refusal } from './kind'
import { id, note } from './values'

/** How a candidate stands with a surface of a room. */
export const propose = kind({
  payload: z.object({
    visitId: id,
    proposalId: id,
    candidateId: id,
    roomId: id,
    surface: z.enum(SURFACES),
    sheen: z.enum(SHEENS),
    status: z.enum(PROPOSAL_STATUSES),
    reason: note,
    /** Not for this surface any more. */
    withdrawn: z.boolean(),
    /** The proposal that makes way for this one: the same candidate, for another surface. */
    replaces: id.nullable(),
  }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, payload, { receivedAt }) {
    if (payload.status === 'picked')
      throw new Refusal('A pick is ruled on, with what it rests on: go to the ruling.')
    if (payload.replaces) await withdrawProposal(tx, payload.visitId, payload.replaces, receivedAt)
    if (!(await saveProposal(tx, payload, receivedAt)))
      throw new Refusal('That room or candidate is not in this visit, or was removed.')
  },
  sentence({ candidateId, roomId, surface, status, reason, withdrawn }, nameOf, { words }) {
    const where = `${nameOf(roomId)}, ${inTradeWords(surface, words)}`
    const why = reason && `: ${reason}`
    return withdrawn
      ? `${nameOf(candidateId)} withdrawn from ${where}`
      : `${nameOf(candidateId)} ${status} for ${where}${why}`
  },
})
