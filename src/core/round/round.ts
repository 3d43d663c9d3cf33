import { cellSays, type CellSays } from '../record/cell'
import { isOfSample, isVerdict, type Look } from '../record/look'
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
  const given = looks.filter((look) => !look.retracted && isVerdict(look))
  const looked = pairs.map((pair) => {
    const own = given.filter((look) => isOf(look, pair))
    return {
      pair,
      isAsked: own.some((look) => countsIn(look, manner)),
      isNo: isNo(cellSays(own), manner),
    }
  })
  const settled = new Map<string, string>()
  for (const { id } of keepers.filter(({ settles }) => settles))
    for (const { pair, isNo: failed } of looked)
      if (failed && pair.keeperId === id && !settled.has(pair.candidateId))
        settled.set(pair.candidateId, id)
  const left = looked.flatMap(({ pair, isAsked, isNo: failed }) =>
    isAsked || failed || settled.has(pair.candidateId) || out.has(pair.candidateId) ? [] : [pair],
  )
  return { pairs, left, asked: looked.filter(({ isAsked }) => isAsked).length, settled }
}

const isOf = ({ against, candidate }: Look, { keeperId, candidateId }: RoundPair): boolean =>
  against.kind === 'keeper' &&
  against.keeperId === keeperId &&
  candidate.candidateId === candidateId

/** What a pair's looks come to, in whatever lights: what the record says, and on the screen what the screen does. */
const isNo = ({ verdict, look }: CellSays, manner: RoundManner): boolean =>
  (verdict ?? (manner === 'screen' ? look?.verdict : null)) === 'no'

/** Whether a look answers a round of this manner: paint in its own kind of light, and on the screen also the screen. */
function countsIn(look: Look, manner: RoundManner): boolean {
  if (manner === 'screen') return true
  return isOfSample(look) && (look.light.source === 'lamps') === (manner === 'samples under lamps')
}
