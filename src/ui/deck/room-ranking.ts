import { saidOf, roomAdvice } from '@/core/advice/room-advice'
import type { PreparedLight } from '@/core/colour/appearance'
import { BANDS, type Reflectance } from '@/core/colour/spectrum'
import { isGood } from '@/core/pairing/chance'
import { atStrength, STRENGTHS_PERCENT, whyNoLadder } from '@/core/paint/strength'
import type { AskedRoom } from '@/core/ranking/asked-room'
import type { BestCompromise } from '@/core/ranking/best-compromise'
import type { SeenColour } from '@/core/ranking/next-try'
import type { DeckRows } from '@/core/ranking/rank-for-room'
import { emptyUndertones, flatUndertones, undertoneAt } from '@/core/undertone/flat-undertones'
import type { DeckEntry } from './deck-strips'

/** What a room is ranked by, and the weakest strength that is ranked. */
export interface RankedFor extends AskedRoom {
  readonly weakestPercent: number
}

/** Every colour of a deck at every strength its base and the house rule allow. */
export function deckRows(
  entries: readonly DeckEntry[],
  reflectances: readonly Reflectance[],
  whiteBase: Reflectance,
  weakestPercent: number,
): DeckRows {
  const of = entries.flatMap(({ base, source }, place) =>
    STRENGTHS_PERCENT.filter(
      (percent) => percent === 100 || (whyNoLadder(base) === null && percent >= weakestPercent),
    ).map((strengthPercent) => ({ place, strengthPercent, source })),
  )
  const rows = new Float64Array(of.length * BANDS)
  of.forEach(({ place, strengthPercent }, i) =>
    rows.set(atStrength(reflectances[place]!, whiteBase, strengthPercent), i * BANDS),
  )
  return {
    rows,
    places: of.map(({ place }) => place),
    strengthsPercent: of.map(({ strengthPercent }) => strengthPercent),
    sources: of.map(({ source }) => source),
  }
}

/** Every row of a deck as it is seen in a light; `row` is its place among the rows. */
export function seenRows(
  light: PreparedLight,
  { rows, places }: DeckRows,
): (SeenColour & { readonly row: number })[] {
  const seen = emptyUndertones(places.length)
  flatUndertones(light, rows, seen)
  return places.map((place, row) => ({ place, row, undertone: undertoneAt(seen, row) }))
}

/** What a room's own light and its house rules say against a colour; empty where nothing does. */
export const adviceWords = (
  reflectance: Reflectance,
  { character, rules }: Pick<AskedRoom, 'character' | 'rules'>,
): string[] => saidOf(roomAdvice(reflectance, character, rules)).map(({ words }) => words)

/** The compromise said aloud: candidate, strength, weakest finish and light, and the one keeper whose change would lift it. */
export function compromiseWords(
  compromise: BestCompromise | null,
  entries: readonly DeckEntry[],
  deck: DeckRows,
  { finishes, lights }: AskedRoom,
): string | null {
  if (!compromise) return null
  const entry = entries[deck.places[compromise.row]!]!
  const finish = finishes[compromise.finish]!
  const lifting = finishes.find(({ keeperId }) => keeperId === compromise.lift?.keeperId)
  return [
    `Nothing works with all that stays. Best compromise: ${entry.name} at ` +
      `${deck.strengthsPercent[compromise.row]} %, weakest beside ${finish.name} ${lights[compromise.light]!.name}.`,
    ...(lifting && compromise.lift
      ? [
          isGood(compromise.lift.chance)
            ? `With another ${lifting.name} it would work.`
            : `Another ${lifting.name} would help most.`,
        ]
      : []),
  ].join(' ')
}
