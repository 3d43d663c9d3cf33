import { SURFACES, type Surface } from '@/core/record/proposal'
import type { Candidate } from '@/db/candidates'
import type { KeptRuling } from '@/db/rulings'

/** Rulings that stand: not reopened since. */
export const standingRulings = (rulings: readonly KeptRuling[]): KeptRuling[] =>
  rulings.filter(({ reopenedBecause }) => reopenedBecause === null)

/** The surfaces of a room that something is proposed for or that are ruled on, in the order of a room's paint. */
export function surfacesOfRoom(
  candidates: readonly Candidate[],
  rulings: readonly KeptRuling[],
  roomId: string,
): Surface[] {
  const used = new Set<Surface>([
    ...candidates.flatMap(({ proposals }) =>
      proposals.filter((each) => each.roomId === roomId).map(({ surface }) => surface),
    ),
    ...standingRulings(rulings)
      .filter((each) => each.roomId === roomId)
      .map(({ surface }) => surface),
  ])
  return SURFACES.filter((surface) => used.has(surface))
}
