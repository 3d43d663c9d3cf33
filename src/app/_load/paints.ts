import { prepareLight } from '@/core/colour/appearance'
import { ILLUMINANT_SPECTRA } from '@/core/colour/illuminant'
import type { Reflectance } from '@/core/colour/spectrum'
import { reflectanceOfReading, sourceOf } from '@/core/paint/reading'
import { shiftedByEye } from '@/core/paint/by-eye'
import { atStrength, ladderOf, whyNoLadder } from '@/core/paint/strength'
import {
  dearnessOf,
  isJudgedAgainst,
  keeperWeight,
  mayBeSetOff,
  mayInspire,
} from '@/core/pairing/keeper-kind'
import { decidingParts } from '@/core/pairing/keeper-parts'
import { weakestStrengthPercent, type HouseRules } from '@/core/advice/house-rules'
import { isCoolAndEven } from '@/core/light/aspect'
import { keyLights, type KeyLight } from '@/core/light/key-lights'
import type { RoomDay } from '@/core/light/light-choice'
import { daylightFactorPercent } from '@/core/light/room'
import type { StrengthRung } from '@/core/pairing/pair-reading'
import type { Candidate } from '@/db/candidates'
import type { Deck } from '@/db/decks'
import type { Keeper } from '@/db/keepers'
import type { Room } from '@/db/rooms'
import type { Visit } from '@/db/visits'
import type { BenchCandidate, BenchKeeper } from '@/ui/bench/bench-model'
import type { RankedFor } from '@/ui/deck/best-here'
import type { LeadKeeper } from '@/ui/lead/lead-model'
import type { RankedAgainst } from '@/ui/deck/room-ranking'

/** A candidate ready to be looked at, with the ladder its base allows. */
export function candidatePaint(candidate: Candidate, decks: readonly Deck[]): BenchCandidate {
  const deck = decks.find(({ id }) => id === candidate.deckId)
  if (!deck) throw new RangeError(`candidate ${candidate.id} is of an unknown deck`)
  const full = reflectanceOfReading(candidate.reading)
  const whiteBase = whiteBaseOf(deck)
  const rung = (strengthPercent: number): StrengthRung => ({
    strengthPercent,
    reflectance: atStrength(full, whiteBase, strengthPercent),
    source: candidate.reading.kind === 'lab' ? 'maker' : 'screen',
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
    mayBeSetOff: mayBeSetOff(keeper.kind, rules),
    colours: keeper.colours.map(({ part, sharePercent, reading, deckColourId, shift, source }) => ({
      part,
      sharePercent,
      reflectance: shiftedByEye(reflectanceOfReading(reading), shift),
      // Matched by eye to a deck colour: the match is weaker than the colour's own reading.
      source: source ?? (deckColourId ? 'eye' : sourceOf(reading)),
    })),
  }
}

// Which parts of a keeper catch the eye is settled by daylight.
const DAYLIGHT = prepareLight(ILLUMINANT_SPECTRA.D65, 500)

/** The colours of a room's keepers that a ranking goes by, the dearest to change and most in view weighing most. */
function rankedAgainst(keepers: readonly Keeper[], rules: HouseRules): RankedAgainst[] {
  return keepers
    .filter(({ state }) => isJudgedAgainst(state))
    .flatMap((keeper) => {
      const weight = keeperWeight(dearnessOf(keeper.kind, keeper.dearness), keeper.viewShare)
      const { colours, mayBeSetOff } = keeperFinish(keeper, rules)
      const parts = decidingParts(DAYLIGHT, colours)
      const shares = parts.reduce((sum, { sharePercent }) => sum + sharePercent, 0)
      return parts.map((colour) => ({
        keeperId: keeper.id,
        name: keeper.name,
        colour,
        reflectance: colour.reflectance,
        weight: (weight * colour.sharePercent) / shares,
        mayBeSetOff,
      }))
    })
}

const LIGHT_WORDS: Record<KeyLight['name'], string> = {
  midday: 'at midday',
  sun: 'in the low sun',
  lamps: 'under lamps',
}

/** Everything that a deck is ranked by in a room. */
export function rankedFor(
  { houseRules }: Visit,
  room: Room,
  roomDay: RoomDay,
  keepers: readonly Keeper[],
): RankedFor {
  return {
    finishes: rankedAgainst(keepers, houseRules),
    lights: keyLights(roomDay).map(({ name, choice }) => ({ name: LIGHT_WORDS[name], choice })),
    room: {
      daylightFactorPercent: daylightFactorPercent(room),
      coolAndEven: isCoolAndEven(room, roomDay.place),
      hasCarpet: keepers.some(({ kind, state }) => kind === 'carpet' && isJudgedAgainst(state)),
    },
    rules: houseRules,
    weakestPercent: weakestStrengthPercent(houseRules),
  }
}
