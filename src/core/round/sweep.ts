import type { Look, LookLight } from '../record/look'
import { countsIn, pairsSaid, settledBy, type RoundKeeper, type RoundManner } from './round'

/** All candidates side by side past one finish, once that was done: which of them stayed in hand; those that did not have a look each. */
export interface Sweep {
  readonly id: string
  readonly roomId: string
  readonly keeperId: string
  readonly seenAs: 'sample' | 'screen'
  readonly light: LookLight
  readonly stayed: readonly string[]
  readonly by: string
  /** ISO 8601. */
  readonly madeAt: string
}

/** A finish as the sweep comes to it. */
export interface SweptFinish {
  readonly keeperId: string
  /** Candidates that are held up to it: what no finish before it has taken out. */
  readonly held: readonly string[]
  /** Of these, the ones that are out beside it. */
  readonly out: ReadonlySet<string>
  /** What is left to look at: neither out, nor ruled on in a pair, nor has it stayed in a sweep. */
  readonly left: readonly string[]
}

// Two are a pair, which is quicker held up alone.
const FEWEST = 3

/**
 * How far a room's sweep has come: each finish in turn, what is dearest to change first, with what the finishes before it have left
 * in hand.
 *
 * @param keepers the dearest first
 * @param candidateIds in the order in which they lie side by side
 * @param looks of the room, in the order they were given
 * @param sweeps of the room that stand
 * @param leanOut candidates that are not held up, for their lean is out of the room
 */
export function sweepOf(
  keepers: readonly RoundKeeper[],
  candidateIds: readonly string[],
  looks: readonly Look[],
  sweeps: readonly Sweep[],
  manner: RoundManner,
  leanOut: ReadonlySet<string> = new Set(),
): SweptFinish[] {
  const saidOf = pairsSaid(looks, manner)
  // What a fixed finish rules out is out of the room, wherever in the order it stands.
  const settled = settledBy(keepers, candidateIds, saidOf)
  const counted = sweeps.filter(({ seenAs, light }) => countsIn(seenAs, light, manner))
  let inHand = candidateIds.filter((id) => !leanOut.has(id))
  return keepers.map(({ id: keeperId }) => {
    const held = inHand.filter((id) => (settled.get(id) ?? keeperId) === keeperId)
    // A screen overrules no sample, and takes out of a sweep on the screen all the same.
    const out = new Set(
      held.filter((candidateId) => {
        const { isNo, last } = saidOf({ keeperId, candidateId })
        return isNo || last === 'no'
      }),
    )
    const stayed = new Set(
      counted.flatMap((sweep) => (sweep.keeperId === keeperId ? sweep.stayed : [])),
    )
    const left = held.filter(
      (candidateId) =>
        !out.has(candidateId) &&
        !stayed.has(candidateId) &&
        !saidOf({ keeperId, candidateId }).isAsked,
    )
    inHand = inHand.filter((id) => !out.has(id))
    return { keeperId, held, out, left }
  })
}

/** The first finish that a sweep is worth while at; null where there is none. */
export const nextToSweep = (finishes: readonly SweptFinish[]): string | null =>
  finishes.find(({ left }) => left.length >= FEWEST)?.keeperId ?? null
