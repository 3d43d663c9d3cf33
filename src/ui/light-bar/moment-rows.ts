import type { NamedMoment } from '@/core/light/ribbon'

export interface PlacedMoment extends NamedMoment {
  /** 0 to 1 along the ribbon. */
  readonly at: number
  readonly row: number
}

// Width of the longest word as a share of the ribbon; two words closer than this need two rows.
const WORD_SHARE = 0.1

/** Puts the words under the ribbon into rows so that none lies on another; at most `rows` rows. */
export function placeMoments(
  moments: readonly NamedMoment[],
  from: number,
  to: number,
  rows: number,
): PlacedMoment[] {
  const filledTo = new Array<number>(rows).fill(-1)
  const placed: PlacedMoment[] = []
  for (const moment of moments) {
    const at = (moment.minute - from) / (to - from)
    const row = filledTo.findIndex((end) => at >= end)
    if (row < 0) continue
    filledTo[row] = at + WORD_SHARE
    placed.push({ ...moment, at, row })
  }
  return placed
}
