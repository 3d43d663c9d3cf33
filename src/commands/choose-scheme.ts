import { z } from 'zod'
import { saveProposal } from '../db/candidates'
import { chooseScheme as choose } from '../db/schemes'
import { kind, Refusal } from './kind'
import { id } from './values'

/** A scheme of a room is chosen: its colours go to board for their surfaces, and so to the ruling; the others stay on record. */
export const chooseScheme = kind({
  payload: z.object({
    visitId: id,
    schemeId: id,
    roomId: id,
    name: z.string(),
    /** Ids for proposals that are not there yet, one a surface of the scheme. */
    proposalIds: z.array(id).min(1).max(11),
  }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, schemeId, proposalIds }, { receivedAt }) {
    const chosen = await choose(tx, visitId, schemeId, receivedAt)
    if (!chosen) throw new Refusal('That scheme is not in this visit, or was removed.')
    if (chosen.parts.length > proposalIds.length)
      throw new Refusal('The scheme has more surfaces than were sent: load the page again.')
    for (const [at, { surface, candidateId, sheen }] of chosen.parts.entries())
      await saveProposal(
        tx,
        {
          visitId,
          roomId: chosen.roomId,
          proposalId: proposalIds[at]!,
          ...{ surface, candidateId, sheen },
          status: 'going to board',
          reason: '',
          withdrawn: false,
        },
        receivedAt,
      )
  },
  sentence: ({ roomId, name }, nameOf) => `Scheme “${name}” chosen for ${nameOf(roomId)}`,
})
