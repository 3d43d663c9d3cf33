import type { AskedRoom, NamedFinish } from '@/core/ranking/asked-room'

/** The parts of the keeper that weighs most in a room: the lead, else the dearest; empty where nothing stays. */
export function decidingParts({ finishes }: Pick<AskedRoom, 'finishes'>): readonly NamedFinish[] {
  const [first] = [...finishes].sort((p, q) => q.matters - p.matters)
  return first ? finishes.filter(({ keeperId }) => keeperId === first.keeperId) : []
}
