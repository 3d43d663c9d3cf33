import type { Look } from '../record/look'

/** A painted sample: of a strip on the wall its room, null for a board, which goes from room to room. */
interface Painted {
  readonly candidateId: string
  readonly roomId: string | null
  /** Null until somebody says when the first tin was opened. */
  readonly begun: unknown
}

/** How many of the colours that go to board in a room are to be painted, and how many painted ones nobody looked at there. */
export function boardsLeft(
  roomId: string,
  goingIds: readonly string[],
  boards: readonly Painted[],
  looks: readonly Pick<Look, 'roomId' | 'candidate' | 'seen'>[],
): { readonly toPaint: number; readonly toLookAt: number } {
  const painted = goingIds.filter((id) =>
    boards.some(
      (board) =>
        board.candidateId === id && board.begun !== null && (board.roomId ?? roomId) === roomId,
    ),
  )
  const isSeen = (id: string): boolean =>
    looks.some(
      ({ roomId: at, candidate, seen }) =>
        at === roomId &&
        candidate.candidateId === id &&
        seen.as === 'sample' &&
        (seen.held === 'board' || seen.held === 'wall'),
    )
  return {
    toPaint: goingIds.length - painted.length,
    toLookAt: painted.filter((id) => !isSeen(id)).length,
  }
}
