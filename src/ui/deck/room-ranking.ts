import { BANDS, type Reflectance } from '@/core/colour/spectrum'
import { verdictOfGrade } from '@/core/judge/pair-grade'
import type { Verdict } from '@/core/judge/verdict'
import { atStrength, STRENGTHS_PERCENT, whyNoLadder } from '@/core/paint/strength'
import type { RankReply } from '@/workers/rank-protocol'
import type { DeckEntry } from './deck-strips'

/** A deck colour at the strength that fits a room best. */
export interface RankedColour {
  readonly place: number
  readonly strengthPercent: number
  readonly reflectance: Reflectance
  readonly verdict: Verdict
  /** Which finish and which light are its weakest. */
  readonly weakestFinish: number
  readonly weakestLight: number
}

/** What each row of a ranking is: a place of the deck at a strength. */
export interface RankRow {
  readonly place: number
  readonly strengthPercent: number
}

/** Every colour of a deck at every strength its base and the house rule allow. */
export function rankRows(
  entries: readonly DeckEntry[],
  reflectances: readonly Reflectance[],
  whiteBase: Reflectance,
  weakestPercent: number,
): { readonly of: readonly RankRow[]; readonly rows: Float64Array<ArrayBuffer> } {
  const of = entries.flatMap(({ base }, place) =>
    STRENGTHS_PERCENT.filter(
      (percent) => percent === 100 || (whyNoLadder(base) === null && percent >= weakestPercent),
    ).map((strengthPercent) => ({ place, strengthPercent })),
  )
  const rows = new Float64Array(of.length * BANDS)
  of.forEach(({ place, strengthPercent }, i) =>
    rows.set(atStrength(reflectances[place]!, whiteBase, strengthPercent), i * BANDS),
  )
  return { of, rows }
}

/**
 * The best colours, each at its best strength only, at most `most`.
 *
 * @param rows what was ranked, 36 numbers each, in the order of `of`
 */
export function bestColours(
  of: readonly RankRow[],
  rows: Float64Array,
  reply: RankReply,
  most: number,
): RankedColour[] {
  const best = new Map<number, RankedColour>()
  for (const row of reply.order) {
    if (best.size === most) break
    const { place, strengthPercent } = of[row]!
    if (best.has(place)) continue
    best.set(place, {
      place,
      strengthPercent,
      reflectance: rows.slice(row * BANDS, (row + 1) * BANDS),
      verdict: verdictOfGrade(reply.worst[row]!),
      weakestFinish: reply.worstFinish[row]!,
      weakestLight: reply.worstLight[row]!,
    })
  }
  return [...best.values()]
}
