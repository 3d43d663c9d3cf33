import { cellSays } from '../record/cell'
import { isVerdict, type Look, type LookLight, type Seen } from '../record/look'
import type { Verdict } from '../record/verdict'
import { shuffledBy } from './shuffled-by'

/** A candidate past a finish. */
export interface RoundPair {
  readonly keeperId: string
  readonly candidateId: string
}

/** A finish of a round. */
export interface RoundKeeper {
  readonly id: string
  /** A no beside it settles a candidate for the room: a fixed finish that stays. */
  readonly settles: boolean
}

/** What one looks at in a round: samples, by day or under the lamps alone, or the screen. */
export type RoundManner = 'samples by day' | 'samples under lamps' | 'screen'

/** How far a round has come. */
export interface Round {
  /** Every pair, in the order in which they are asked. */
  readonly pairs: readonly RoundPair[]
  /** Those still to be asked, in order. */
  readonly left: readonly RoundPair[]
  readonly asked: number
  /** Candidates that a fixed finish has settled, by the finish. */
  readonly settled: ReadonlyMap<string, string>
}

/**
 * A room's round: each finish in turn, what is dearest to change first, every candidate past it. What a fixed finish has
 * ruled out, by day or under lamps, is not asked again. The order of the candidates hangs on the seed alone, so that it
 * does not lead the eye, and stays as it is when one is added or dropped.
 *
 * @param keepers the dearest first
 * @param looks of the room, in the order they were given
 * @param out candidates that are not asked about, for their lean is out of the room
 */
export function roundOf(
  keepers: readonly RoundKeeper[],
  candidateIds: readonly string[],
  looks: readonly Look[],
  manner: RoundManner,
  seed: string,
  out: ReadonlySet<string> = new Set(),
): Round {
  const inOrder = shuffledBy(candidateIds, (id) => id, seed)
  const pairs = keepers.flatMap(({ id }) =>
    inOrder.map((candidateId): RoundPair => ({ keeperId: id, candidateId })),
  )
  const saidOf = pairsSaid(looks, manner)
  const settled = settledBy(keepers, candidateIds, saidOf)
  const left = pairs.filter((pair) => {
    const { isAsked, isNo } = saidOf(pair)
    return !isAsked && !isNo && !settled.has(pair.candidateId) && !out.has(pair.candidateId)
  })
  return { pairs, left, asked: pairs.filter((pair) => saidOf(pair).isAsked).length, settled }
}

/** What the looks at a pair come to in a round. */
export interface PairSaid {
  /** It was ruled on in the round's own manner. */
  readonly isAsked: boolean
  /** In whatever lights: what the record says, and on the screen what the screen does. */
  readonly isNo: boolean
  /** What was said last, of what the manner looks at: on the screen the screen alone. */
  readonly last: Verdict | null
}

const UNSAID: PairSaid = { isAsked: false, isNo: false, last: null }

/** What some looks say of each pair, in a round of a manner. */
export function pairsSaid(
  looks: readonly Look[],
  manner: RoundManner,
): (pair: RoundPair) => PairSaid {
  const byPair = new Map<string, Look[]>()
  for (const look of looks) {
    const { against, candidate, retracted } = look
    if (retracted || !isVerdict(look) || against.kind !== 'keeper') continue
    const pair = `${against.keeperId} ${candidate.candidateId}`
    byPair.set(pair, [...(byPair.get(pair) ?? []), look])
  }
  const said = new Map(
    [...byPair].map(([pair, own]): readonly [string, PairSaid] => {
      const { verdict, look } = cellSays(own)
      const says = verdict ?? (manner === 'screen' ? look?.verdict : null)
      return [
        pair,
        {
          isAsked: own.some((each) => countsIn(each.seen.as, each.light, manner)),
          isNo: says === 'no',
          last:
            own.findLast(({ seen, light }) =>
              manner === 'screen' ? seen.as === 'screen' : countsIn(seen.as, light, manner),
            )?.verdict ?? null,
        },
      ]
    }),
  )
  return ({ keeperId, candidateId }) => said.get(`${keeperId} ${candidateId}`) ?? UNSAID
}

/** Which candidates a fixed finish has settled, by the first such finish. */
export function settledBy(
  keepers: readonly RoundKeeper[],
  candidateIds: readonly string[],
  saidOf: (pair: RoundPair) => PairSaid,
): ReadonlyMap<string, string> {
  const fixed = keepers.filter(({ settles }) => settles)
  return new Map(
    candidateIds.flatMap((candidateId): (readonly [string, string])[] => {
      const by = fixed.find(({ id }) => saidOf({ keeperId: id, candidateId }).isNo)
      return by ? [[candidateId, by.id]] : []
    }),
  )
}

/** Whether what was seen, and in which light, answers a round of this manner: paint in its own kind of light, and on the screen also the screen. */
export const countsIn = (
  seenAs: Seen['as'],
  { source }: Pick<LookLight, 'source'>,
  manner: RoundManner,
): boolean =>
  manner === 'screen' ||
  (seenAs === 'sample' && (source === 'lamps') === (manner === 'samples under lamps'))
