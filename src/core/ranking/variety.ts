import type { PreparedLight } from '../colour/appearance'
import { FIRM_FROM, isGood } from '../pairing/chance'
import { lrvPercent } from '../paint/lrv'
import { lightnessWord } from '../undertone/lightness-word'
import { undertoneOf, type Undertone } from '../undertone/undertone'
import { reflectanceOfRow, type DeckRows, type RankedRow } from './rank-for-room'

/** Nearer than a step on a strip, in CAM16-UCS units, nobody could tell two samples apart on a wall. */
export const STRIP_STEP = 4

/** Worth that each colour of one depth takes from the next of that depth, up to so many: ten of a kind are no choice. */
const SAME_DEPTH = { costs: 0.012, upTo: 4 } as const

/** What is worth laying out: where anything works, nothing that is a firm no, however much else speaks for it. */
const worthLayingOut = (ranked: readonly RankedRow[]): readonly RankedRow[] =>
  ranked.some(({ chance }) => isGood(chance))
    ? ranked.filter(({ chance }) => chance > 1 - FIRM_FROM)
    : ranked

export const unitsApart = (p: Undertone, q: Undertone): number =>
  Math.hypot(p.j - q.j, p.a - q.a, p.b - q.b)

/**
 * The first few of a ranking as a choice worth laying out: each deck colour once at its best strength, no two nearer
 * than a strip step, and not all of one depth.
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
    return {
      each,
      place: deck.places[each.row]!,
      undertone: undertoneOf(light, reflectance),
      depth: lightnessWord(lrvPercent(reflectance)),
    }
  })
  const open = left.filter(({ undertone }) => !isRuledOut(undertone))
  const chosen: typeof open = []
  while (chosen.length < most) {
    const value = ({ each, depth }: (typeof open)[number]): number =>
      each.worth -
      SAME_DEPTH.costs *
        Math.min(SAME_DEPTH.upTo, chosen.filter((other) => other.depth === depth).length)
    const best = open
      .filter((one) =>
        chosen.every(
          (other) =>
            other.place !== one.place && unitsApart(other.undertone, one.undertone) >= STRIP_STEP,
        ),
      )
      .reduce<(typeof open)[number] | null>((p, q) => (p && value(p) >= value(q) ? p : q), null)
    if (!best) break
    chosen.push(best)
  }
  return chosen.map(({ each }) => each)
}
