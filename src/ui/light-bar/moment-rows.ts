import type { MomentName, NamedMoment } from '@/core/light/ribbon'

export interface PlacedMoment extends NamedMoment {
  /** 0 to 1 along the ribbon. */
  readonly at: number
  readonly row: number
  /** On which side of its line the word stands. */
  readonly side: 'right' | 'left'
}

// What a letter and the gap after a word take of the ribbon on a tablet.
const LETTER_SHARE = 0.0165
const GAP_SHARE = 0.02

// What gives way first when the words do not all fit stands last.
const DEAREST_FIRST: readonly MomentName[] = [
  'sun in',
  'sun out',
  'warmest',
  'coolest',
  'lamps only',
  'brightest',
]

/**
 * Puts the words under the ribbon so that none lies on another, each on either side of its line, in
 * as many rows as there are; a word that fits nowhere is left out.
 */
export function placeMoments(
  moments: readonly NamedMoment[],
  from: number,
  to: number,
  rows: number,
): PlacedMoment[] {
  const taken: (readonly [row: number, start: number, end: number])[] = []
  const placed: PlacedMoment[] = []
  const byWorth = [...moments].sort(
    (p, q) => DEAREST_FIRST.indexOf(p.name) - DEAREST_FIRST.indexOf(q.name),
  )
  for (const moment of byWorth) {
    const at = (moment.minute - from) / (to - from)
    const width = moment.name.length * LETTER_SHARE + GAP_SHARE
    const free = Array.from({ length: rows }, (_, row) => row)
      .flatMap((row) => [
        { row, side: 'right' as const, start: at, end: at + width },
        { row, side: 'left' as const, start: at - width, end: at },
      ])
      .filter(({ start, end }) => start >= 0 && end <= 1)
      .find(({ row, start, end }) =>
        taken.every(([other, s, e]) => other !== row || end <= s || start >= e),
      )
    if (!free) continue
    taken.push([free.row, free.start, free.end])
    placed.push({ ...moment, at, row: free.row, side: free.side })
  }
  return placed.sort((p, q) => p.minute - q.minute)
}
