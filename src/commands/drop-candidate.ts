import { z } from 'zod'
import { dropCandidate as writeDrop } from '../db/candidates'
import { kind, Refusal } from './kind'
import { id } from './values'

/** A candidate goes out of sight; its looks stay. */
export const dropCandidate = kind({
  payload: z.object({ visitId: id, candidateId: id }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, candidateId }, { receivedAt }) {
    if (!(await writeDrop(tx, visitId, candidateId, receivedAt)))
      throw new Refusal('That candidate is not in this visit.')
  },
  sentence: ({ candidateId }, nameOf) => `${nameOf(candidateId)} dropped`,
})
