import type { PreparedLight } from '@/core/colour/appearance'
import type { LightChoice, RoomDay } from '@/core/light/light-choice'
import type { RoomLight } from '@/core/light/room-light'
import { modelVersion } from '@/core/model-version'
import type { JudgedKeeper } from '@/core/pairing/judged-keeper'
import { pairReading, type PairReading, type StrengthRung } from '@/core/pairing/pair-reading'
import { againstSaid } from '@/core/record/look-words'
import type { Sheen } from '@/core/paint/sheen'
import type { Against, CLIENT_SAYS, LookLight, ModelThen } from '@/core/record/look'
import { FAULTS, MERITS, MORE_FAULTS, type Reason, type Verdict } from '@/core/record/verdict'
import type { Round } from '@/core/round/round'
import type { TradeWords } from '@/core/trade-words'
import type { Lean } from '@/core/undertone/lean'
import type { ShownLook } from '../record/visit-record'

export interface BenchKeeper extends JudgedKeeper {
  readonly id: string
  readonly state: string
  /** A no beside it settles a candidate for the room: a fixed finish that stays. */
  readonly settles: boolean
  /** The part of its corrected photo that stands for it; null where there is none. */
  readonly patchHash: string | null
  /** Its colours lie in one another, as flecks and veins do. */
  readonly isMottled: boolean
}

export interface BenchCandidate extends StrengthRung {
  readonly id: string
  readonly deckColourId: string
  readonly code: string
  readonly name: string
  /** "Maker, deck". */
  readonly deckName: string
  /** What its deck sells it in; null where that is not said. */
  readonly sheens: readonly Sheen[] | null
  /** What it stands for by daylight at full strength: so it is out where its lean is. */
  readonly lean: Lean | null
  readonly ladder: readonly StrengthRung[]
  readonly whyNoLadder: string | null
}

/** A candidate as it is proposed for the room at hand. */
export interface ProposedCandidate extends BenchCandidate {
  readonly sheen: Sheen
}

export interface BenchPair {
  readonly keeper: BenchKeeper
  readonly candidate: ProposedCandidate
}

/** The pairs of a room's round, in its order. */
export const pairsOf = (
  { pairs }: Round,
  keepers: readonly BenchKeeper[],
  candidates: readonly ProposedCandidate[],
): BenchPair[] =>
  pairs.flatMap(({ keeperId, candidateId }) => {
    const keeper = keepers.find(({ id }) => id === keeperId)
    const candidate = candidates.find(({ id }) => id === candidateId)
    return keeper && candidate ? [{ keeper, candidate }] : []
  })

/** Looks at a pair: at the keeper as a whole or at a part of it. */
export const looksAt = (
  looks: readonly ShownLook[],
  { keeper, candidate }: BenchPair,
): ShownLook[] =>
  looks.filter(
    ({ against, candidate: { candidateId } }) =>
      candidateId === candidate.id && against.kind === 'keeper' && against.keeperId === keeper.id,
  )

/** Reasons that make sense for a verdict, in the order of their keys; those said more seldom stand behind "more". */
export function reasonsFor(verdict: Verdict, more: boolean): readonly Reason[] {
  if (verdict === 'works') return MERITS
  return more ? MORE_FAULTS : FAULTS
}

export const VERDICT_KEYS: Record<Verdict, string> = {
  works: 'w',
  'works-lighter': 'l',
  'works-stronger': 's',
  unsure: 'u',
  no: 'n',
}

export const CLIENT_KEYS: Record<(typeof CLIENT_SAYS)[number], string> = {
  'lit up': 'i',
  fine: 'k',
  no: 'x',
}

export const REASON_KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0', '-', '='] as const

/** The model's reading of a pair, of the keeper as a whole or of one of its parts. */
export function readingOf(
  light: PreparedLight,
  { keeper, candidate }: BenchPair,
  part: string | null,
): PairReading {
  const colours = part === null ? keeper.colours : keeper.colours.filter((c) => c.part === part)
  return pairReading(light, candidate, { ...keeper, colours }, candidate.ladder)
}

/** What of a reading is kept with a look. */
export const modelThen = (
  { judgement, chance, sentence, strength }: PairReading,
  { role }: Pick<BenchKeeper, 'role'>,
): ModelThen => ({
  version: modelVersion(role.eye),
  judgement,
  chance,
  sentence,
  strengthPercent: strength?.percent ?? null,
})

// A meter's word holds for so long before and after.
const METERED_FOR_MINUTES = 30

/**
 * The whole light of a look: what is shown, with the lamps as they burn, the day, and what a meter said there and then.
 *
 * @param place where that was, in plain words
 */
export function lookLight(
  roomDay: RoomDay,
  choice: LightChoice,
  light: RoomLight | null,
  place: string,
): LookLight & { readonly date: string } {
  const lit = choice.source === 'room' || choice.source === 'lamps'
  const { date } = roomDay.day
  const minute = Math.round(choice.minute)
  // Lamps are lit for whoever looks in the dark, whatever the switch says.
  const lampsOn = lit && (light?.parts.lamp ?? 0) > 0
  const metered = lit
    ? roomDay.readings?.findLast(
        (reading) =>
          reading.day?.date === date &&
          reading.spot === choice.spot &&
          reading.lampsOn === lampsOn &&
          Math.abs(reading.minute - minute) <= METERED_FOR_MINUTES,
      )
    : undefined
  return {
    source: choice.source,
    sky: choice.sky,
    spot: choice.spot,
    date,
    minute,
    lampsOn,
    place,
    metered: metered ? { lux: metered.lux, cctK: metered.cctK } : null,
  }
}

export const againstKeeper = ({ keeper }: BenchPair, part: string | null): Against => ({
  kind: 'keeper',
  keeperId: keeper.id,
  part,
})

/** A pair that is asked for; of a candidate alone whichever finish comes first. */
export interface Place {
  readonly candidateId: string
  readonly keeperId: string | null
}

export function placeInAddress(parameters: URLSearchParams): Place | null {
  const candidateId = parameters.get('candidate')
  return candidateId === null ? null : { candidateId, keeperId: parameters.get('keeper') }
}

export function indexOf(pairs: readonly BenchPair[], at: Place | null): number {
  const of = pairs.findIndex(({ candidate }) => candidate.id === at?.candidateId)
  const exact = pairs.findIndex(
    ({ candidate, keeper }) => candidate.id === at?.candidateId && keeper.id === at.keeperId,
  )
  return Math.max(0, exact >= 0 ? exact : of)
}

/** What a look was at, by names. */
export function ofLook(
  { against, candidate }: ShownLook,
  keepers: readonly BenchKeeper[],
  candidates: readonly ProposedCandidate[],
  words: TradeWords,
): string {
  const paint = candidates.find(({ id }) => id === candidate.candidateId)
  const beside = againstSaid(
    against,
    (id) => keepers.find((keeper) => keeper.id === id)?.name ?? 'what was removed since',
    words,
  )
  return `${paint ? `${paint.name} at ${paint.strengthPercent} %` : 'A candidate'} beside ${beside}`
}

// As many as a hand holds of a fan.
const MOST_FANNED = 10

/** Up to ten candidates past the finish of a pair, that one among them; those that the room has done with are left out. */
export function fanOf(
  pairs: readonly BenchPair[],
  at: BenchPair,
  isDone: (candidateId: string) => boolean,
): BenchPair[] {
  const past = pairs.filter(
    (each) => each.keeper.id === at.keeper.id && (each === at || !isDone(each.candidate.id)),
  )
  const from = MOST_FANNED * Math.floor(past.indexOf(at) / MOST_FANNED)
  return past.slice(from, from + MOST_FANNED)
}

/** What each candidate is called, by its id: "Wimham at 50 %". */
export const namesOf = (candidates: readonly ProposedCandidate[]): ReadonlyMap<string, string> =>
  new Map(
    candidates.map(({ id, name, strengthPercent }) => [id, `${name} at ${strengthPercent} %`]),
  )
