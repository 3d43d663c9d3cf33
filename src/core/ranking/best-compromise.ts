import { BANDS } from '../colour/spectrum'
import { bestFirst, fitToRoom, type RoomFit, type WeightedFinish, type WeightedLight } from './rank'

/** A finish and the keeper it is a colour of. */
export interface KeeperFinish extends WeightedFinish {
  readonly keeperId: string
}

/** The best there is when nothing fits all, and what stands in its way. */
export interface HappyMedium {
  readonly row: number
  readonly grade: number
  /** The finish and the light that it is weakest against. */
  readonly finish: number
  readonly light: number
  /** The one keeper whose change would lift it most, and the grade it would have then; null where none would. */
  readonly lift: { readonly keeperId: string; readonly grade: number } | null
}

// A smaller lift is not worth a keeper.
const WORTH_CHANGING = 0.25

/**
 * The compromise: best across all keepers and lights, weakest against one. Of the keepers the one is named whose
 * change alone would lift it most.
 *
 * @param against see `bestFirst`
 * @returns null for no rows
 */
export function happyMedium(
  rows: Float64Array,
  lights: readonly WeightedLight[],
  finishes: readonly KeeperFinish[],
  fit: RoomFit,
  against?: Float64Array,
): HappyMedium | null {
  const row = bestFirst(fit, against)[0]
  if (row === undefined) return null
  const grade = fit.worst[row]!
  const own = rows.slice(row * BANDS, (row + 1) * BANDS)
  let lift: HappyMedium['lift'] = null
  for (const keeperId of new Set(finishes.map((finish) => finish.keeperId))) {
    const others = finishes.filter((finish) => finish.keeperId !== keeperId)
    if (others.length === 0) continue
    const without = fitToRoom(own, lights, others).worst[0]!
    if (grade - without >= WORTH_CHANGING && without < (lift?.grade ?? Infinity))
      lift = { keeperId, grade: without }
  }
  return { row, grade, finish: fit.worstFinish[row]!, light: fit.worstLight[row]!, lift }
}
