import { z } from 'zod'
import { setRuledOut } from '../db/candidates'
import { kind, Refusal } from './kind'
import { id, note } from './values'

/** A candidate is ruled out for the whole house, with the reason; or is back. */
export const ruleOut = kind({
  payload: z.object({ visitId: id, candidateId: id, reason: note.nullable() }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, candidateId, reason }) {
    if (!(await setRuledOut(tx, visitId, candidateId, reason)))
      throw new Refusal('That candidate is not in this visit.')
  },
  sentence: ({ candidateId, reason }, nameOf) =>
    reason === null
      ? `${nameOf(candidateId)} is back`
      : `${nameOf(candidateId)} ruled out for the house${reason && `: ${reason}`}`,
})
