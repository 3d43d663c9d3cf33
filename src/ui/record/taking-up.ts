import type { PayloadOf } from '@/commands/kinds'
import { newId } from './new-id'

/** A deck colour at a strength taken up for a room, on its walls and matt until something else is said. */
export const takingUp = (
  what: Pick<PayloadOf<'take-up'>, 'visitId' | 'roomId' | 'deckColourId' | 'strengthPercent'> &
    Partial<Pick<PayloadOf<'take-up'>, 'surface' | 'sheen' | 'status' | 'reason'>>,
): PayloadOf<'take-up'> => ({
  candidateId: newId(),
  proposalId: newId(),
  surface: 'walls',
  sheen: 'matt',
  ...what,
})
