import type { Reflectance } from '@/core/colour/spectrum'
import { reflectanceOfReading } from '@/core/paint/reading'
import { atStrength, STRENGTHS_PERCENT, whyNoLadder } from '@/core/paint/strength'
import type { FinishColour, StrengthRung } from '@/core/judge/model-reading'
import type { Candidate } from '@/db/candidates'
import type { Deck } from '@/db/decks'
import type { Keeper } from '@/db/keepers'

/** A candidate ready to be looked at. */
export interface CandidatePaint extends StrengthRung {
  readonly id: string
  readonly code: string
  readonly name: string
  readonly maker: string
  /** Every strength it could be taken at; empty where its base has no ladder. */
  readonly ladder: readonly StrengthRung[]
  readonly whyNoLadder: string | null
}

export interface KeeperFinish {
  readonly id: string
  readonly name: string
  readonly kind: string
  readonly state: Keeper['state']
  readonly colours: readonly FinishColour[]
}

export function candidatePaint(candidate: Candidate, decks: readonly Deck[]): CandidatePaint {
  const deck = decks.find(({ id }) => id === candidate.deckId)
  if (!deck) throw new RangeError(`candidate ${candidate.id} is of an unknown deck`)
  const full = reflectanceOfReading(candidate.reading)
  const whiteBase = whiteBaseOf(deck)
  const rung = (strengthPercent: number): StrengthRung => ({
    strengthPercent,
    reflectance: atStrength(full, whiteBase, strengthPercent),
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

export function keeperFinish(keeper: Keeper): KeeperFinish {
  return {
    id: keeper.id,
    name: keeper.name,
    kind: keeper.kind,
    state: keeper.state,
    colours: keeper.colours.map(({ part, sharePercent, reading }) => ({
      part,
      sharePercent,
      reflectance: reflectanceOfReading(reading),
    })),
  }
}
