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
  /** How many it will be in the end, as far as the answers so far tell. */
  readonly about: number
  /** Candidates that a fixed finish has settled, by the finish. */
  readonly settled: ReadonlyMap<string, string>
}

// Before anything was answered every fourth pair is taken for a no: common practice, "too many samples".
const NO_BEFORE = 1
const ASKED_BEFORE = 4

/**
 * A room's round: each finish in turn, what is dearest to change first, every candidate past it. What a fixed finish has
 * ruled out, by day or under lamps, is not asked again. The order of the candidates hangs on the seed alone, so that it does not lead the eye, and
 * stays as it is when one is added or dropped.
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
  const given = looks.filter((look) => !look.retracted && isVerdict(look))
  const seen = latestByPair(given.filter((look) => countsIn(look, manner)))
  // What is a no in one light that counts is not asked in another.
  const noes = [
    ...seen.values(),
    ...latestByPair(given.filter((look) => countsIn(look, 'samples by day'))).values(),
    ...latestByPair(given.filter((look) => countsIn(look, 'samples under lamps'))).values(),
  ].filter(({ verdict }) => verdict === 'no')
  const failed = new Set(noes.map(pairOf))
  const settled = new Map<string, string>()
  for (const { id, settles } of keepers)
    for (const candidateId of candidateIds)
      if (settles && !settled.has(candidateId) && failed.has(keyOf(id, candidateId)))
        settled.set(candidateId, id)
  const pairs = keepers.flatMap(({ id }) =>
    inOrder.map((candidateId): RoundPair => ({ keeperId: id, candidateId })),
  )
  const keyOfPair = ({ keeperId, candidateId }: RoundPair): string => keyOf(keeperId, candidateId)
  const left = pairs.filter(
    (pair) =>
      !seen.has(keyOfPair(pair)) &&
      !failed.has(keyOfPair(pair)) &&
      !settled.has(pair.candidateId) &&
      !out.has(pair.candidateId),
  )
  const asked = pairs.filter((pair) => seen.has(keyOfPair(pair))).length
  return { pairs, left, asked, about: asked + expected(keepers, left, seen), settled }
}

/** Of one pair the latest look. */
const latestByPair = (looks: readonly Look[]): ReadonlyMap<string, Look> =>
  new Map(
    looks.filter(({ against }) => against.kind === 'keeper').map((look) => [pairOf(look), look]),
  )

const pairOf = ({ against, candidate }: Look): string =>
  against.kind === 'keeper' ? keyOf(against.keeperId, candidate.candidateId) : ''

const keyOf = (keeperId: string, candidateId: string): string => `${keeperId} ${candidateId}`

/** Whether a look answers a round of this manner: paint in its own kind of light, and on the screen also the screen. */
function countsIn(look: Look, manner: RoundManner): boolean {
  if (manner === 'screen') return true
  return isOfSample(look) && (look.light.source === 'lamps') === (manner === 'samples under lamps')
}

/** How many of the pairs that are left will be asked: a candidate goes on past fixed finishes as long as none says no. */
function expected(
  keepers: readonly RoundKeeper[],
  left: readonly RoundPair[],
  seen: ReadonlyMap<string, Look>,
): number {
  const fixed = new Set(keepers.flatMap(({ id, settles }) => (settles ? [id] : [])))
  const answers = [...seen.values()].filter(
    ({ against }) => against.kind === 'keeper' && fixed.has(against.keeperId),
  )
  const noes = answers.filter(({ verdict }) => verdict === 'no').length
  const goesOn = 1 - (noes + NO_BEFORE) / (answers.length + ASKED_BEFORE)
  const chances = new Map<string, number>()
  let sum = 0
  for (const { keeperId, candidateId } of left) {
    const chance = chances.get(candidateId) ?? 1
    sum += chance
    chances.set(candidateId, fixed.has(keeperId) ? chance * goesOn : chance)
  }
  return Math.round(sum)
}
