import type { Reflectance } from '@/core/colour/spectrum'
import { reflectanceOfReading, sourceOf } from '@/core/paint/reading'
import { atStrength, STRENGTHS_PERCENT, whyNoLadder } from '@/core/paint/strength'
import type { StrengthRung } from '@/core/judge/model-reading'
import type { Candidate } from '@/db/candidates'
import type { Deck } from '@/db/decks'
import type { Keeper } from '@/db/keepers'
import type { BenchCandidate, BenchKeeper } from '@/ui/bench/bench-model'

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
