import type { Look } from './look'

/** What a look must say to be counted. */
export interface SeenPair {
  readonly roomId: string
  readonly keeperId: string
  readonly candidateId: string
}

/** What of a room is to be looked at. */
export interface RoomToSee {
  readonly id: string
  /** What candidates are judged against. */
  readonly keeperIds: readonly string[]
  /** What is proposed and not ruled out. */
  readonly candidateIds: readonly string[]
  /** Candidates that a fixed finish has settled: what of them was not looked at is not asked any more. */
  readonly settledIds?: readonly string[]
}

export interface Progress {
  readonly seen: number
  readonly of: number
}

/** How many of a room's pairs were seen: of those that were or are still asked, so that what was dropped or taken out counts nowhere. */
export function pairsSeen(
  { id, keeperIds, candidateIds, settledIds = [] }: RoomToSee,
  looks: readonly SeenPair[],
): Progress {
  const seen = new Set(
    looks
      .filter(
        ({ roomId, keeperId, candidateId }) =>
          roomId === id && keeperIds.includes(keeperId) && candidateIds.includes(candidateId),
      )
      .map(({ keeperId, candidateId }) => `${keeperId} ${candidateId}`),
  )
  const unasked = keeperIds.flatMap((keeperId) =>
    candidateIds.filter(
      (candidateId) => !settledIds.includes(candidateId) && !seen.has(`${keeperId} ${candidateId}`),
    ),
  )
  return { seen: seen.size, of: seen.size + unasked.length }
}

/** How many of a house's cells, a candidate in a room it is proposed for, were seen beside anything. */
export function cellsSeen(rooms: readonly RoomToSee[], looks: readonly SeenPair[]): Progress {
  const seen = rooms.flatMap((room) =>
    room.candidateIds.filter((candidateId) =>
      looks.some((look) => look.roomId === room.id && look.candidateId === candidateId),
    ),
  )
  return { seen: seen.length, of: rooms.reduce((sum, room) => sum + room.candidateIds.length, 0) }
}

/** What a verdict on paint in the light that was there counts for; on a screen, or beside what is no keeper, nothing. */
export const seenPairOf = ({ against, seen, verdict, roomId, candidate }: Look): SeenPair[] =>
  against.kind === 'keeper' && seen.as !== 'screen' && verdict !== null
    ? [{ roomId, keeperId: against.keeperId, candidateId: candidate.candidateId }]
    : []
