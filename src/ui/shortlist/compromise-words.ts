import { isGood } from '@/core/pairing/chance'
import type { AskedRoom } from '@/core/ranking/asked-room'
import type { FirstRanked } from '@/workers/rank-protocol'
import type { ListedDecks } from '../deck/listed-decks'

/** The compromise said aloud: candidate, strength, weakest finish and light, and the one keeper whose change would lift it. */
export function compromiseWords(
  compromise: NonNullable<FirstRanked['compromise']>,
  decks: Pick<ListedDecks, 'nameOf'>,
  { finishes, lights }: Pick<AskedRoom, 'finishes' | 'lights'>,
): string {
  const { place, strengthPercent, finish, light, lift } = compromise
  const lifting = finishes.find(({ keeperId }) => keeperId === lift?.keeperId)
  return [
    `Nothing works with all that stays. Best compromise: ${decks.nameOf(place)} at ` +
      `${strengthPercent} %, weakest beside ${finishes[finish]!.name} ${lights[light]!.name}.`,
    ...(lifting && lift
      ? [
          isGood(lift.chance)
            ? `With another ${lifting.name} it would work.`
            : `Another ${lifting.name} would help most.`,
        ]
      : []),
  ].join(' ')
}
