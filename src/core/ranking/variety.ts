import type { PreparedLight } from '../colour/appearance'
import { FIRM_FROM, isBad, isGood } from '../pairing/chance'
import { lrvPercent } from '../paint/lrv'
import { lightnessWord } from '../undertone/lightness-word'
import { undertoneOf, type Undertone } from '../undertone/undertone'
import { type RankedRow } from './rank-for-room'
import { leanOf } from '../undertone/lean'
import { reflectanceOfRow, type DeckRows } from './deck-rows'

/** Nearer than a step on a strip, in CAM16-UCS units, nobody could tell two samples apart on a wall. */
export const STRIP_STEP = 4

/**
 * Worth that each colour of one depth takes from the next of that depth, and each of one lean from the next of that lean,
 * up to so many: ten of a kind are no choice.
 */
const SAME_DEPTH = { costs: 0.011, upTo: 4 } as const
const SAME_LEAN = { costs: 0.007, upTo: 4 } as const
// What likely fails beside something that stays is laid out after what does not, unless it is worth clearly more.
const LIKELY_NO_COSTS = 0.1

/** Within a strip step and of one lean: two of one kind. */
const isAlike = (
  p: { readonly undertone: Undertone; readonly lean: string },
  q: { readonly undertone: Undertone; readonly lean: string },
): boolean => p.lean === q.lean && unitsApart(p.undertone, q.undertone) < STRIP_STEP

/** What is worth laying out: where anything works, nothing that is a firm no, however much else speaks for it. */
const worthLayingOut = (ranked: readonly RankedRow[]): readonly RankedRow[] =>
  ranked.some(({ chance }) => isGood(chance))
    ? ranked.filter(({ chance }) => chance > 1 - FIRM_FROM)
    : ranked

export const unitsApart = (p: Undertone, q: Undertone): number =>
  Math.hypot(p.j - q.j, p.a - q.a, p.b - q.b)

/**
 * The first few of a ranking as a choice worth laying out: each deck colour once at its best strength, no two nearer
 * than a strip step, and not all of one depth or of one lean.
 *
 * @param ranked best first
 * @param isRuledOut colours to leave out: the siblings of a lean that got a no
 */
export function variedFirst(
  ranked: readonly RankedRow[],
  deck: DeckRows,
  light: PreparedLight,
  most: number,
  isRuledOut: (undertone: Undertone) => boolean = () => false,
): RankedRow[] {
  const left = worthLayingOut(ranked).map((each) => {
    const reflectance = reflectanceOfRow(deck.rows, each.row)
    const undertone = undertoneOf(light, reflectance)
    return {
      each,
      place: deck.places[each.row]!,
      undertone,
      depth: lightnessWord(lrvPercent(reflectance)),
      lean: leanOf(undertone)?.lean ?? 'none',
    }
  })
  const open = left.filter(({ undertone }) => !isRuledOut(undertone))
  const chosen: typeof open = []
  while (chosen.length < most) {
    const value = ({ each, depth, lean }: (typeof open)[number]): number => {
      const alike = (is: (other: (typeof open)[number]) => boolean): number =>
        chosen.filter(is).length
      return (
        each.worth -
        (isBad(each.chance) ? LIKELY_NO_COSTS : 0) -
        SAME_DEPTH.costs *
          Math.min(
            SAME_DEPTH.upTo,
            alike((other) => other.depth === depth),
          ) -
        SAME_LEAN.costs *
          Math.min(
            SAME_LEAN.upTo,
            alike((other) => other.lean === lean),
          )
      )
    }
    const best = open
      .filter((one) => chosen.every((other) => other.place !== one.place && !isAlike(other, one)))
      .reduce<(typeof open)[number] | null>((p, q) => (p && value(p) >= value(q) ? p : q), null)
    if (!best) break
    chosen.push(best)
  }
  return chosen.map(({ each }) => each)
}
