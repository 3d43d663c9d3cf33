import type { Reflectance } from '@/core/colour/spectrum'
import { reflectanceOfReading, sourceOf } from '@/core/paint/reading'
import { atStrength, STRENGTHS_PERCENT, whyNoLadder } from '@/core/paint/strength'
import { isJudgedAgainst, KEEPER_KINDS } from '@/core/judge/keeper-kind'
import { DECIDING_SHARE_PERCENT, type StrengthRung } from '@/core/judge/model-reading'
import type { Candidate } from '@/db/candidates'
import type { Deck } from '@/db/decks'
import type { Keeper } from '@/db/keepers'
import type { BenchCandidate, BenchKeeper } from '@/ui/bench/bench-model'
import type { RankedAgainst } from '@/ui/deck/best-here'

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
    ladder: reason ? [] : STRENGTHS_PERCENT.map(rung),
    whyNoLadder: reason,
  }
}

export const whiteBaseOf = (deck: Deck): Reflectance =>
  reflectanceOfReading({ kind: 'lab', lab: deck.whiteBase })

/** A keeper with its colours as surfaces. */
export function keeperFinish(keeper: Keeper): BenchKeeper {
  return {
    id: keeper.id,
    name: keeper.name,
    state: keeper.state,
    colours: keeper.colours.map(({ part, sharePercent, reading, deckColourId }) => ({
      part,
      sharePercent,
      reflectance: reflectanceOfReading(reading),
      // Matched by eye to a deck colour: the match is weaker than the colour's own reading.
      source: deckColourId ? 'eye' : sourceOf(reading),
    })),
  }
}

// Dearest to change counts most: the first of the kinds this many times the last.
const DEAREST_WEIGHT = 3

/** The colours of a room's keepers that a ranking goes by, the dearest to change weighing most. */
export function rankedAgainst(keepers: readonly Keeper[]): RankedAgainst[] {
  return keepers
    .filter(({ state }) => isJudgedAgainst(state))
    .flatMap((keeper) => {
      const rank = KEEPER_KINDS.indexOf(keeper.kind) / (KEEPER_KINDS.length - 1)
      const weight = DEAREST_WEIGHT - (DEAREST_WEIGHT - 1) * rank
      return keeperFinish(keeper)
        .colours.filter(({ sharePercent }) => sharePercent >= DECIDING_SHARE_PERCENT)
        .map(({ reflectance }) => ({ name: keeper.name, reflectance, weight }))
    })
}
