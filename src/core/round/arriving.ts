import type { FinishLook } from '../record/finish-look'

/** What of a keeper decides whether it is held to what stays. */
export interface ArrivingKeeper {
  readonly id: string
  readonly state: string
}

/** What arrives beside what stays. */
export interface FinishPair {
  readonly arrivingId: string
  readonly besideId: string
}

/**
 * Pairs of what is arriving with what is there already, the dearest of that first; two things that both only arrive are
 * pairs too, each once.
 *
 * @param keepers the dearest to change first; what leaves is not among them
 */
export function arrivingPairs(keepers: readonly ArrivingKeeper[]): FinishPair[] {
  const arriving = keepers.filter(({ state }) => state === 'arriving')
  const there = keepers.filter(({ state }) => state !== 'arriving')
  return [
    ...there.flatMap(({ id: besideId }) =>
      arriving.map(({ id }): FinishPair => ({ arrivingId: id, besideId })),
    ),
    ...arriving.flatMap(({ id }, i) =>
      arriving.slice(i + 1).map((other): FinishPair => ({ arrivingId: other.id, besideId: id })),
    ),
  ]
}

/** The latest look at a pair; of the screen's only where no other is. */
export function lookAtPair(
  looks: readonly FinishLook[],
  { arrivingId, besideId }: FinishPair,
): FinishLook | null {
  const own = looks.filter((look) => look.arrivingId === arrivingId && look.besideId === besideId)
  return own.findLast(({ seenAs }) => seenAs === 'sample') ?? own.at(-1) ?? null
}
