import type { Reflectance } from '../colour/spectrum'
import { REASONS_FOR, type Pairing } from '../pairing/said-of-pair'
import { lrvPercent } from '../paint/lrv'
import { DAYLIGHT } from '../undertone/daylight'
import { nameOf } from '../undertone/name'
import { NO_LEAN_BELOW, ONLY_LEANS_BELOW } from '../undertone/hue-name'
import { undertoneName } from '../undertone/plain-name'
import { undertoneOf } from '../undertone/undertone'
import type { AskedRoom, NamedFinish } from './asked-room'
import type { TableRow } from './pairing-table'
import type { RankedRow } from './rank-for-room'
import { capital } from '../words'

/** What a ranking says of one colour. */
export interface ProposalLine {
  /** What it is: "Off-white, LRV 86". */
  readonly called: string
  /** What it gives this room: "takes up the pink of Stone counter"; null where it is nothing to speak of. */
  readonly gift: string | null
  /** Against which part of which keeper it is weakest, and in which light. */
  readonly weakest: string
}

/** A ranked colour with everything that can be said of it. */
export interface LineOf extends Pick<RankedRow, 'finish' | 'light' | 'gives'> {
  readonly reflectance: Reflectance
  /** How it sits with what stays; see `pairingTable`. */
  readonly table: readonly TableRow[]
}

/** The finishes whose undertone a wall takes up, with its name, the weightiest first: only what both are said to lean to. */
function takenUp(
  reflectance: Reflectance,
  finishes: readonly NamedFinish[],
): { readonly name: string; readonly undertone: string }[] {
  const wall = undertoneOf(DAYLIGHT, reflectance)
  const undertone = undertoneName(wall)
  if (wall.c < NO_LEAN_BELOW || undertone === 'none') return []
  return finishes
    .filter((finish) => {
      const own = undertoneOf(DAYLIGHT, finish.reflectance)
      return own.c >= ONLY_LEANS_BELOW && undertoneName(own) === undertone
    })
    .sort((p, q) => q.matters * q.shows - p.matters * p.shows)
    .map(({ name }) => ({ name, undertone }))
}

const GIVES: Partial<Record<Pairing, (keeper: string) => string>> = {
  'quiet relative': (keeper) => `a quiet relative of ${keeper}`,
  'sets off': (keeper) => `set off by ${keeper}`,
  bridges: (keeper) => `bridges to ${keeper}`,
  'shares the undertone': (keeper) => `shares the undertone of ${keeper}`,
  'carried through': (keeper) => `carries ${keeper} on`,
}

/** Everything that it gives, the weightiest first, each once. */
function gifts({ reflectance, gives, table }: LineOf, finishes: readonly NamedFinish[]): string[] {
  const taken = takenUp(reflectance, finishes).map(
    ({ name, undertone }) => `takes up the ${undertone} of ${name}`,
  )
  const pairs = REASONS_FOR.flatMap((pairing) =>
    table
      .filter(({ cells }) => cells.every(({ judged }) => judged.pairing === pairing))
      .map(({ name }) => GIVES[pairing]!(name)),
  )
  // That it shares a lean is said by what it shares it with.
  const others = gives.filter((words) => !words.startsWith('shares the undertone'))
  return [...new Set([...taken.slice(0, 1), ...others, ...pairs, ...taken.slice(1)])]
}

/**
 * One line on each of some ranked colours, of its own: what it is and gives, and what it is weakest beside. Of all that
 * could be said of one, what was said least so far is said.
 *
 * @param lights names of the room's lights, as the ranking counts them
 */
export function proposalLines(
  colours: readonly LineOf[],
  { finishes, rules }: Pick<AskedRoom, 'finishes' | 'rules'>,
  lights: readonly string[],
): ProposalLine[] {
  const times = new Map<string, number>()
  const lines = new Set<string>()
  return colours.map((colour) => {
    const lrvHere = lrvPercent(colour.reflectance)
    const { short, words } = nameOf(undertoneOf(DAYLIGHT, colour.reflectance), lrvHere, rules)
    const lrv = Math.round(lrvHere)
    const calledBy = (name: string): string => `${capital(name)}, LRV ${lrv}`
    const lineWith = (gift: string | null): string => `${calledBy(short)}, ${gift}`
    // Twice the same line is no line of its own.
    const said = (gift: string): number =>
      (times.get(gift) ?? 0) + (lines.has(lineWith(gift)) ? colours.length : 0)
    const gift = gifts(colour, finishes).reduce<string | null>(
      (p, q) => (p !== null && said(p) <= said(q) ? p : q),
      null,
    )
    if (gift !== null) times.set(gift, (times.get(gift) ?? 0) + 1)
    // Where even so it would be another’s, its undertone is said too.
    const called = calledBy(lines.has(lineWith(gift)) ? words : short)
    lines.add(lineWith(gift))
    return {
      ...{ called, gift },
      weakest: `weakest beside ${partOf(finishes[colour.finish]!, finishes)} ${lights[colour.light]!}`,
    }
  })
}

/** A finish by its keeper, and by its part where the keeper has several. */
const partOf = ({ keeperId, name, part }: NamedFinish, all: readonly NamedFinish[]): string =>
  all.filter((other) => other.keeperId === keeperId).length > 1 ? `${name} (${part})` : name
