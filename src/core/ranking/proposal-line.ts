import type { Reflectance } from '../colour/spectrum'
import { judgementOf } from '../pairing/chance'
import { lrvPercent } from '../paint/lrv'
import { DAYLIGHT } from '../undertone/daylight'
import { seenWords } from '../undertone/drawn'
import { hueNameAmongKind, NO_LEAN_BELOW, ONLY_LEANS_BELOW } from '../undertone/hue-name'
import { hueApartDeg, undertoneOf } from '../undertone/undertone'
import type { AskedRoom, NamedFinish } from './asked-room'
import type { RankedRow } from './rank-for-room'

/** What a ranking says of one colour. */
export interface ProposalLine {
  /** What it gives this room. */
  readonly gives: string
  /** Against which part of which keeper it is weakest, in which light, and how it stands there. */
  readonly weakest: string
}

// Two leans within this of each other are one lean taken up.
const TAKEN_UP_DEG = 25

/** The finish whose lean a wall takes up most clearly; null where it takes up none. */
function takenUp(reflectance: Reflectance, finishes: readonly NamedFinish[]): NamedFinish | null {
  const wall = undertoneOf(DAYLIGHT, reflectance)
  if (wall.c < NO_LEAN_BELOW) return null
  const leaning = finishes
    .map((finish) => ({ finish, own: undertoneOf(DAYLIGHT, finish.reflectance) }))
    .filter(
      ({ own }) =>
        own.c >= ONLY_LEANS_BELOW && hueApartDeg(own.hueDeg, wall.hueDeg) <= TAKEN_UP_DEG,
    )
    .sort(
      (p, q) =>
        q.finish.matters * q.finish.shows - p.finish.matters * p.finish.shows ||
        hueApartDeg(p.own.hueDeg, wall.hueDeg) - hueApartDeg(q.own.hueDeg, wall.hueDeg),
    )
  return leaning[0]?.finish ?? null
}

/**
 * One line on a ranked colour, of its own: what it is and gives, and what it is weakest beside.
 *
 * @param lights names of the room's lights, as the ranking counts them
 */
export function proposalLine(
  reflectance: Reflectance,
  { chance, finish, light, reasons }: Pick<RankedRow, 'chance' | 'finish' | 'light' | 'reasons'>,
  { finishes, rules }: AskedRoom,
  lights: readonly string[],
): ProposalLine {
  const { drawn } = seenWords(DAYLIGHT, reflectance, rules)
  const family = drawn.split(';')[0]!
  const lrv = Math.round(lrvPercent(reflectance))
  const taken = takenUp(reflectance, finishes)
  const { hueDeg } = undertoneOf(DAYLIGHT, reflectance)
  const lean = taken && `takes up the ${hueNameAmongKind(hueDeg)} of ${partOf(taken)}`
  // That it shares a lean is said by what it shares it with.
  const others = reasons.filter((words) => !(taken && words.startsWith('shares the undertone')))
  const gives = [lean, ...others.slice(0, lean ? 1 : 2)].filter(Boolean).join(', ')
  const weak = finishes[finish]!
  return {
    gives: `${capital(family)}, LRV ${lrv}${gives && `: ${gives}`}`,
    weakest: `weakest beside ${partOf(weak)} ${lights[light]!}: ${judgementOf(chance)}`,
  }
}

const partOf = ({ name, part }: NamedFinish): string =>
  part.toLowerCase() === 'all' || part.toLowerCase() === name.toLowerCase()
    ? name
    : `${name} (${part})`

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)
