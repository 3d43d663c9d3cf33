import { z } from 'zod'
import { SHEENS } from '../core/paint/sheen'
import { SURFACES } from '../core/record/proposal'
import { inTradeWords } from '../core/trade-words'
import { takeUpCandidate } from '../db/candidates'
import { kind, Refusal } from './kind'
import { id, note, strengthPercent } from './values'

/** A deck colour is taken up at a strength, and proposed for a surface of the room where that was done. */
export const takeUp = kind({
  payload: z.object({
    visitId: id,
    candidateId: id,
    deckColourId: id,
    strengthPercent,
    roomId: id,
    proposalId: id,
    surface: z.enum(SURFACES),
    sheen: z.enum(SHEENS),
    status: z.enum(['to fetch', 'proposed']).default('proposed'),
    /** Of what is to be fetched: in which direction it lies. */
    reason: note.default(''),
  }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, payload, { receivedAt }) {
    if (!(await takeUpCandidate(tx, payload, receivedAt)))
      throw new Refusal('That room is not in this visit, or was removed.')
  },
  sentence: (
    { deckColourId, strengthPercent: percent, roomId, surface, status, reason },
    nameOf,
    { words },
  ) =>
    `${nameOf(deckColourId)} at ${percent} % ${status} for ${nameOf(roomId)}, ${inTradeWords(surface, words)}` +
    (reason && `: ${reason}`),
})
