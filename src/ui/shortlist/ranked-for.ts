import { saidOf, roomAdvice } from '@/core/advice/room-advice'
import type { Reflectance } from '@/core/colour/spectrum'
import type { AskedRoom } from '@/core/ranking/asked-room'

/** What a room is ranked by, and the weakest strength that is ranked. */
export interface RankedFor extends AskedRoom {
  readonly weakestPercent: number
}

/** What a room's own light and its house rules say against a colour; empty where nothing does. */
export const adviceWords = (
  reflectance: Reflectance,
  { character, rules }: Pick<AskedRoom, 'character' | 'rules'>,
): string[] => saidOf(roomAdvice(reflectance, character, rules)).map(({ words }) => words)
