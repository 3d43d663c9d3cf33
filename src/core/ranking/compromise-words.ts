import type { RoomDay } from '../light/light-choice'
import { isGood } from '../pairing/chance'
import type { JudgedWall } from '../pairing/pair-reading'
import { askedRoomOn, rankedRoomOf, type AskedRoom, type RoomBrief } from './asked-room'
import { compromiseAmong, type BestCompromise } from './best-compromise'

/**
 * The compromise said aloud: the colour, what it is weakest beside and in which light, and the one keeper whose change would
 * lift it.
 *
 * @param called the colour at its strength, "Wimham at 75 %"
 */
export function compromiseWords(
  { finish, light, lift }: Pick<BestCompromise, 'finish' | 'light' | 'lift'>,
  called: string,
  {
    finishes,
    lights,
  }: {
    readonly finishes: readonly Pick<AskedRoom['finishes'][number], 'keeperId' | 'name'>[]
    readonly lights: readonly { readonly name: string }[]
  },
): string {
  const lifting = finishes.find(({ keeperId }) => keeperId === lift?.keeperId)
  return [
    `Best compromise: ${called}, weakest beside ${finishes[finish]!.name} ${lights[light]!.name}.`,
    ...(lifting && lift
      ? [
          isGood(lift.chance)
            ? `With another ${lifting.name} it would work.`
            : `Another ${lifting.name} would help most.`,
        ]
      : []),
  ].join(' ')
}

/** A paint that a compromise may be. */
interface NamedPaint extends JudgedWall {
  readonly id: string
  readonly name: string
  readonly strengthPercent: number
}

/**
 * The compromise among a few paints of a room on a day, said aloud; also where one of them works.
 *
 * @returns null without a paint, a finish or a light
 */
export function compromiseSaid(
  paints: readonly NamedPaint[],
  brief: RoomBrief,
  roomDay: RoomDay,
): { readonly candidateId: string; readonly words: string } | null {
  const room = rankedRoomOf(askedRoomOn(brief, roomDay), roomDay)
  if (room.lights.length === 0 || brief.finishes.length === 0) return null
  const best = compromiseAmong(paints, room)
  if (!best) return null
  const { id, name, strengthPercent } = best.colour
  return {
    candidateId: id,
    words: compromiseWords(best, `${name} at ${strengthPercent} %`, {
      finishes: brief.finishes,
      lights: room.lights,
    }),
  }
}
