import type { RoomCharacter } from '@/core/advice/room-character'
import { weakestStrengthPercent, type HouseRules } from '@/core/advice/house-rules'
import type { Reflectance } from '@/core/colour/spectrum'
import { isCoolAndEven } from '@/core/light/aspect'
import { keyLights, type KeyLight } from '@/core/light/key-lights'
import { lightOf, type LightChoice, type RoomDay } from '@/core/light/light-choice'
import { daylightFactorPercent } from '@/core/light/room'
import { shiftedByEye } from '@/core/paint/by-eye'
import {
  reflectanceOfReading,
  sourceOf,
  type PlainReading,
  type ReadingSource,
} from '@/core/paint/reading'
import { atStrength, ladderOf, whyNoLadder } from '@/core/paint/strength'
import { isJudgedAgainst, mayInspire } from '@/core/pairing/keeper-kind'
import type { StrengthRung } from '@/core/pairing/pair-reading'
import { roleOf } from '@/core/pairing/role'
import { finishesOf, lightMatters } from '@/core/ranking/asked-room'
import type { Candidate } from '@/db/candidates'
import type { Deck, DeckColour } from '@/db/decks'
import type { Keeper } from '@/db/keepers'
import type { Room } from '@/db/rooms'
import type { Visit } from '@/db/visits'
import type { BenchCandidate, BenchKeeper } from '@/ui/bench/bench-model'
import type { RankedFor } from '@/ui/deck/room-ranking'
import type { DeckEntry } from '@/ui/deck/deck-strips'
import type { LeadKeeper } from '@/ui/lead/lead-model'

/** A candidate ready to be looked at, with the ladder its base allows. */
export function candidatePaint(candidate: Candidate, decks: readonly Deck[]): BenchCandidate {
  const deck = decks.find(({ id }) => id === candidate.deckId)
  if (!deck) throw new RangeError(`candidate ${candidate.id} is of an unknown deck`)
  const full = reflectanceOfReading(candidate.reading)
  const whiteBase = whiteBaseOf(deck)
  const rung = (strengthPercent: number): StrengthRung => ({
    strengthPercent,
    reflectance: atStrength(full, whiteBase, strengthPercent),
    source: paintSource(candidate.reading),
  })
  const reason = whyNoLadder(candidate.base)
  return {
    ...rung(candidate.strengthPercent),
    id: candidate.id,
    code: candidate.code,
    name: candidate.name,
    maker: deck.maker,
    ladder: reason ? [] : ladderOf(candidate.base).map(rung),
    whyNoLadder: reason,
  }
}

export const whiteBaseOf = (deck: Deck): Reflectance =>
  reflectanceOfReading({ kind: 'lab', lab: deck.whiteBase })

/** The keepers of a room that could lead, as surfaces. */
export const leadKeepers = (keepers: readonly Keeper[], rules: HouseRules): LeadKeeper[] =>
  keepers
    .filter(({ state }) => isJudgedAgainst(state))
    .map((keeper) => ({
      ...keeperFinish(keeper, rules),
      inspires: mayInspire(keeper.kind, keeper.colours.length),
    }))

/** A keeper with its colours as surfaces. */
export function keeperFinish(keeper: Keeper, rules: HouseRules): BenchKeeper {
  return {
    id: keeper.id,
    name: keeper.name,
    state: keeper.state,
    role: roleOf(keeper.kind, rules),
    varies: keeper.varies,
    colours: keeper.colours.map(({ part, sharePercent, reading, deckColourId, shift, source }) => ({
      part,
      sharePercent,
      reflectance: shiftedByEye(reflectanceOfReading(reading), shift),
      // Matched by eye to a deck colour: the match is weaker than the colour's own reading.
      source: source ?? (deckColourId ? 'eye' : sourceOf(reading)),
    })),
  }
}

/** A deck colour as lists and rankings need it. */
export const deckEntry = ({
  deckColourId,
  code,
  name,
  strip,
  base,
  reading,
}: DeckColour): DeckEntry => ({
  id: deckColourId,
  code,
  name,
  strip,
  base,
  source: paintSource(reading),
})

/** A deck's L*a*b* is its maker's figure, its hex a screen's. */
const paintSource = (reading: PlainReading): ReadingSource =>
  reading.kind === 'lab' ? 'maker' : 'screen'

const LIGHT_WORDS: Record<KeyLight['name'], string> = {
  midday: 'at midday',
  sun: 'in the low sun',
  lamps: 'under lamps',
}

/** Everything that a deck is ranked by in a room. */
export function rankedFor(
  visit: Visit,
  room: Room,
  roomDay: RoomDay,
  keepers: readonly Keeper[],
): RankedFor {
  const rules = visit.houseRules
  const judged = keepers.filter(({ state }) => isJudgedAgainst(state))
  return {
    finishes: finishesOf(
      judged.map((keeper) => ({ ...keeper, ...keeperFinish(keeper, rules) })),
      room.leadKeeperId,
    ),
    lights: keyLights(roomDay).map(({ name, choice }) => ({
      name: LIGHT_WORDS[name],
      choice,
      matters: lightMatters(name, room.useHours),
    })),
    character: characterOf(visit, room, roomDay, judged),
    rules,
    weakestPercent: weakestStrengthPercent(rules),
  }
}

/** What of a room speaks for or against a colour before any finish does. */
function characterOf(
  visit: Visit,
  room: Room,
  roomDay: RoomDay,
  judged: readonly Keeper[],
): RoomCharacter {
  const lamps = lightOf(roomDay, LAMPS_ALONE)
  return {
    daylightFactorPercent: daylightFactorPercent(room),
    coolAndEven: isCoolAndEven(room, roomDay.place),
    hasCarpet: judged.some(({ kind }) => kind === 'carpet'),
    lamps: lamps && { cctK: lamps.cctK, illuminanceLux: lamps.illuminanceLux },
    useHours: room.useHours,
    climate: visit.climate,
    wants: visit.wants,
    willNotHave: visit.willNotHave,
  }
}

const LAMPS_ALONE: LightChoice = {
  source: 'lamps',
  minute: 20 * 60,
  sky: 'clear',
  lampsOn: true,
  spot: 'walls',
}
