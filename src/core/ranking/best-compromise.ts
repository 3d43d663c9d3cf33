import { isGood } from '../pairing/chance'
import { chanceInRoom, type RankedRow } from './rank-for-room'
import { reflectanceOfRow, type DeckRows } from './deck-rows'
import type { RankedRoom } from './ranked-room'

/** The best there is where nothing works with all that stays, and what stands in its way. */
export interface BestCompromise extends RankedRow {
  /** The one keeper whose change would lift it most, and its chance then; null where none would. */
  readonly lift: { readonly keeperId: string; readonly chance: number } | null
}

// A smaller lift is not worth a keeper.
const WORTH_CHANGING = 0.15

/**
 * The compromise: the best across all that stays, weakest beside one. Of the keepers the one is named whose change alone
 * would lift it most.
 *
 * @param ranked best first
 * @returns null where something works with all, or for no rows
 */
export function bestCompromise(
  ranked: readonly RankedRow[],
  deck: DeckRows,
  room: RankedRoom,
): BestCompromise | null {
  const best = ranked[0]
  if (!best || ranked.some(({ chance }) => isGood(chance))) return null
  const wall = reflectanceOfRow(deck.rows, best.row)
  let lift: BestCompromise['lift'] = null
  for (const keeperId of new Set(room.finishes.map((finish) => finish.keeperId))) {
    const finishes = room.finishes.filter((finish) => finish.keeperId !== keeperId)
    if (finishes.length === 0) continue
    const { chance } = chanceInRoom({ ...room, finishes })(wall, deck.sources[best.row]!)
    if (chance - best.chance >= WORTH_CHANGING && chance > (lift?.chance ?? 0))
      lift = { keeperId, chance }
  }
  return { ...best, lift }
}
