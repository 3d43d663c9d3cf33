import type { Reflectance } from '../colour/spectrum'
import { isBad, isGood } from '../pairing/chance'
import type { ReadingSource } from '../paint/reading'
import { DAYLIGHT } from '../undertone/daylight'
import { undertoneOf } from '../undertone/undertone'
import { chanceInRoom, type RankedRow } from './rank-for-room'
import { reflectanceOfRow, type DeckRows } from './deck-rows'
import type { RankedRoom, WeakestPair } from './ranked-room'

/** What stands in the way of a compromise. */
export interface Lifted {
  /** The one keeper whose change would lift it most, and its chance then; null where none would. */
  readonly lift: { readonly keeperId: string; readonly chance: number } | null
}

/** The best there is where nothing works with all that stays, and what stands in its way. */
export interface BestCompromise extends RankedRow, Lifted {
  /** The quietest of those that have a chance beside all that stays; null where none has, or it is the best itself. */
  readonly softest: RankedRow | null
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
  const softest = ranked
    .filter(({ chance }) => !isBad(chance))
    .map((each) => ({
      each,
      lean: undertoneOf(DAYLIGHT, reflectanceOfRow(deck.rows, each.row)).c,
    }))
    .sort((p, q) => p.lean - q.lean)[0]?.each
  return {
    ...best,
    softest: softest && softest.row !== best.row ? softest : null,
    lift: liftOf(wall, deck.sources[best.row]!, best.chance, room),
  }
}

/**
 * Of a few colours the one whose worst pair, over all that stays and all lights, is the least bad; also where one works.
 *
 * @returns null of none
 */
export function compromiseAmong<
  C extends { readonly reflectance: Reflectance; readonly source: ReadingSource },
>(colours: readonly C[], room: RankedRoom): (WeakestPair & Lifted & { readonly colour: C }) | null {
  const judge = chanceInRoom(room)
  const [best] = colours
    .map((colour) => ({ ...judge(colour.reflectance, colour.source), colour }))
    .sort((p, q) => q.weighed - p.weighed)
  if (!best) return null
  const { reflectance, source } = best.colour
  return { ...best, lift: liftOf(reflectance, source, best.chance, room) }
}

function liftOf(
  wall: Reflectance,
  source: ReadingSource,
  now: number,
  room: RankedRoom,
): Lifted['lift'] {
  let lift: Lifted['lift'] = null
  for (const keeperId of new Set(room.finishes.map((finish) => finish.keeperId))) {
    const finishes = room.finishes.filter((finish) => finish.keeperId !== keeperId)
    if (finishes.length === 0) continue
    const { chance } = chanceInRoom({ ...room, finishes })(wall, source)
    if (chance - now >= WORTH_CHANGING && chance > (lift?.chance ?? 0)) lift = { keeperId, chance }
  }
  return lift
}
