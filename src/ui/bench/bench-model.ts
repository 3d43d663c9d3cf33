import type { PayloadOf } from '@/commands/kinds'
import type { PreparedLight } from '@/core/colour/appearance'
import type { LightChoice, RoomDay } from '@/core/light/light-choice'
import type { RoomLight } from '@/core/light/room-light'
import { modelVersion } from '@/core/model-version'
import type { JudgedKeeper } from '@/core/pairing/judged-keeper'
import { pairReading, type PairReading, type StrengthRung } from '@/core/pairing/pair-reading'
import { againstSaid } from '@/core/record/look-words'
import type { Sheen } from '@/core/paint/sheen'
import type { Against, CLIENT_SAYS, ClientResponse, LookLight, ModelThen } from '@/core/record/look'
import { FAULTS, MERITS, MORE_FAULTS, type Reason, type Verdict } from '@/core/record/verdict'
import { faultsThatFit } from '@/core/record/reasons-that-fit'
import type { Round } from '@/core/round/round'
import type { TradeWords } from '@/core/trade-words'
import type { Lean } from '@/core/undertone/lean'
import { undertoneOf } from '@/core/undertone/undertone'
import type { ShownLook } from '../record/visit-record'
import type { HeldSample } from './held-sample'

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

/** Faults that may be found with what some looks were at, as it is seen in a light. */
export function faultsOfLooks(
  looks: readonly ShownLook[],
  keepers: readonly BenchKeeper[],
  candidates: readonly ProposedCandidate[],
  light: PreparedLight | null,
): readonly Reason[] {
  const walls = candidates.filter(({ id }) =>
    looks.some(({ candidate }) => candidate.candidateId === id),
  )
  const finish = keepers.find(({ id }) =>
    looks.some(({ against }) => against.kind === 'keeper' && against.keeperId === id),
  )
  if (!light || !finish || walls.length === 0) return FAULTS.slice(0, 6)
  return faultsThatFit(
    walls.map(({ reflectance }) => undertoneOf(light, reflectance)),
    undertoneOf(light, finish.colours[0]!.reflectance),
  )
}

const DIGITS = [...'1234567890-=']
/** Each reason always on its own key: why it fails by itself or, said more seldom, with shift; why it works from 1 on. */
export const REASON_KEYS = Object.fromEntries([
  ...FAULTS.map((reason, i) => [reason, DIGITS[i]!]),
  ...MORE_FAULTS.map((reason, i) => [reason, `⇧${DIGITS[i]!}`]),
  ...MERITS.map((reason, i) => [reason, DIGITS[i]!]),
]) as Readonly<Record<Reason, string>>

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

/** What is held at a candidate of a room, and what is said of it then. */
export interface Glance {
  readonly visitId: string
  readonly roomId: string
  readonly pair: BenchPair
  readonly part: string | null
  readonly held: HeldSample
  readonly light: LookLight & { readonly date: string }
  readonly verdict: Verdict | null
  readonly bestOf?: readonly string[]
  readonly client?: ClientResponse | null
  /** Whether the model's reading of it stood on the screen before. */
  readonly modelSeenBefore: boolean
  readonly reading: PairReading | null
}

/** A look at a pair, as it is sent. */
export function lookToSend(
  lookId: string,
  { visitId, roomId, pair, part, held, light, reading, ...said }: Glance,
): PayloadOf<'keep-look'> {
  const { candidate, keeper } = pair
  return {
    ...{ visitId, lookId, roomId, light },
    against: againstKeeper(pair, part),
    candidate: {
      candidateId: candidate.id,
      deckColourId: candidate.deckColourId,
      strengthPercent: candidate.strengthPercent,
      sheen: candidate.sheen,
    },
    seen:
      held.held === null
        ? { as: 'screen' }
        : { as: 'sample', held: held.held, strengthPercent: held.strengthPercent },
    verdict: said.verdict,
    bestOf: [...(said.bestOf ?? [])],
    reasons: [],
    lean: null,
    note: '',
    client: said.client ?? null,
    modelSeenBefore: said.modelSeenBefore,
    model: reading && modelThen(reading, keeper),
  }
}

const againstKeeper = ({ keeper }: BenchPair, part: string | null): Against => ({
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

/** What each candidate is called, by its id: "Wimham at 50 %". */
export const namesOf = (candidates: readonly ProposedCandidate[]): ReadonlyMap<string, string> =>
  new Map(
    candidates.map(({ id, name, strengthPercent }) => [id, `${name} at ${strengthPercent} %`]),
  )
