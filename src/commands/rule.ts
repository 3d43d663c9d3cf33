import { z } from 'zod'
import { SHEENS } from '../core/paint/sheen'
import { SURFACES } from '../core/record/proposal'
import { inTradeWords } from '../core/trade-words'
import { insertRuling } from '../db/rulings'
import { kind, Refusal } from './kind'
import { id, note } from './values'

/** A surface of a room is ruled on: the pick, what it gives up, and what the record did not hold then. */
export const rule = kind({
  payload: z.object({
    visitId: id,
    rulingId: id,
    roomId: id,
    surface: z.enum(SURFACES),
    candidateId: id,
    sheen: z.enum(SHEENS),
    compromise: note,
    gaps: z.array(z.string().trim().min(1).max(400)).max(20),
  }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, ruling, at) {
    if (!(await insertRuling(tx, ruling, at)))
      throw new Refusal(
        'The pick is not proposed for this surface, or was ruled out: propose it first.',
      )
  },
  taken: {
    ruling_of_surface: () =>
      new Refusal(`There is a ruling on this already: reopen it first, with a reason.`),
  },
  sentence: ({ candidateId, roomId, surface, sheen, compromise }, nameOf, { words }) =>
    `Ruled: ${nameOf(candidateId)}, ${sheen}, for ${nameOf(roomId)}, ${inTradeWords(surface, words)}` +
    (compromise && `. ${compromise}`),
})
