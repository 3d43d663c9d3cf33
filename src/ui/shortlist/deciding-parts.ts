import type { AskedRoom, NamedFinish } from '@/core/ranking/asked-room'
import type { FirstRanked } from '@/workers/rank-protocol'

/**
 * The parts of the keeper that decides in a room: the one that the first ten are oftenest weakest beside; before they are
 * ranked the one that weighs most. Empty where nothing stays.
 */
export function decidingParts(
  { finishes }: Pick<AskedRoom, 'finishes'>,
  first: FirstRanked | null,
): readonly NamedFinish[] {
  const times = new Map<string, number>()
  for (const { finish } of first?.laidOut ?? []) {
    const keeperId = finishes[finish]?.keeperId
    if (keeperId) times.set(keeperId, (times.get(keeperId) ?? 0) + 1)
  }
  const weight = ({ keeperId, matters }: NamedFinish): number =>
    (times.get(keeperId) ?? 0) + matters / 2
  const [decides] = [...finishes].sort((p, q) => weight(q) - weight(p))
  return decides ? finishes.filter(({ keeperId }) => keeperId === decides.keeperId) : []
}
