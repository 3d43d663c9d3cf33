import type { Verdict } from './verdict'

/** How a candidate stands in one room of a house. */
export interface SummedCell {
  readonly room: string
  /** Proposed there, and not ruled out. */
  readonly isUp: boolean
  readonly verdict: Verdict | null
}

/** In how many rooms a candidate works as it is. */
export const worksIn = (cells: readonly SummedCell[]): number =>
  cells.filter(({ isUp, verdict }) => isUp && verdict === 'works').length

/** A candidate over the whole house: "works in 3 of 5, stronger in the Snug, not seen in 1". */
export function rowSum(cells: readonly SummedCell[]): string {
  const up = cells.filter(({ isUp }) => isUp)
  if (up.length === 0) return 'proposed nowhere'
  const roomsOf = (verdict: Verdict): string =>
    up
      .filter((cell) => cell.verdict === verdict)
      .map(({ room }) => room)
      .join(' and ')
  const unseen = up.filter(({ verdict }) => verdict === null).length
  if (unseen === up.length) return 'not seen yet'
  const [lighter, stronger] = [roomsOf('works-lighter'), roomsOf('works-stronger')]
  return [
    `works in ${worksIn(cells)} of ${up.length}`,
    ...(lighter ? [`lighter in ${lighter}`] : []),
    ...(stronger ? [`stronger in ${stronger}`] : []),
    ...(unseen > 0 ? [`not seen in ${unseen}`] : []),
  ].join(', ')
}
