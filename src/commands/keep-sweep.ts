import { z } from 'zod'
import { counted } from '../core/words'
import { insertSweep } from '../db/sweeps'
import { lookLight } from './keep-look'
import { kind, Refusal } from './kind'
import { id } from './values'

// As many as a room's looks could be given of; what is out is a look each, by itself.
const MOST_IN_HAND = 400

/** All candidates were held side by side past a finish: what stayed in hand. */
export const keepSweep = kind({
  payload: z.object({
    visitId: id,
    sweepId: id,
    roomId: id,
    keeperId: id,
    seenAs: z.enum(['sample', 'screen']),
    light: lookLight,
    stayed: z.array(id).max(MOST_IN_HAND),
  }),
  visitOf: ({ visitId }) => visitId,
  observes: true,
  async write(tx, sweep, at) {
    if (!(await insertSweep(tx, sweep, at)))
      throw new Refusal('That finish, or that room, is not of this house.')
  },
  sentence: ({ keeperId, roomId, stayed, seenAs }, nameOf) =>
    `Swept past ${nameOf(keeperId)} in ${nameOf(roomId)}: ` +
    `${stayed.length === 0 ? 'none' : counted(stayed.length, 'candidate')} left in` +
    (seenAs === 'screen' ? ' (on the screen)' : ''),
})
