import { z } from 'zod'
import { setKeeperRemoved } from '../db/keepers'
import { kind, Refusal } from './kind'
import { id } from './values'

/** What stays is taken out of its visit, or put back; looks beside it stay on record, and count for nothing while it is out. */
export const removeKeeper = kind({
  payload: z.object({ visitId: id, keeperId: id, removed: z.boolean() }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, keeperId, removed }, { receivedAt }) {
    if (!(await setKeeperRemoved(tx, visitId, keeperId, removed ? receivedAt : null)))
      throw new Refusal('That keeper is not in this visit.')
  },
  sentence: ({ keeperId, removed }, nameOf) =>
    `${nameOf(keeperId)} ${removed ? 'removed' : 'brought back'}`,
})
