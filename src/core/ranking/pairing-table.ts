import type { Reflectance } from '../colour/spectrum'
import type { RoomDay } from '../light/light-choice'
import { judgementOf, type Judgement } from '../pairing/chance'
import type { PartJudgement } from '../pairing/judge-pair'
import { judgePart, speakingFor } from '../pairing/pair-reading'
import { pairSentence } from '../pairing/sentence'
import type { ReadingSource } from '../paint/reading'
import { undertoneOf } from '../undertone/undertone'
import { rankedRoomOf, type AskedRoom, type NamedFinish } from './asked-room'

/** A wall beside a keeper in one of the room's key lights. */
export interface TableCell {
  /** "at midday". */
  readonly light: string
  readonly judgement: Judgement
  /** One line in the trade's words. */
  readonly sentence: string
  /** For who asks. */
  readonly judged: PartJudgement
}

export interface TableRow {
  readonly keeperId: string
  readonly name: string
  /** In the order of the room's lights. */
  readonly cells: readonly TableCell[]
}

/**
 * The whole pairing table of a wall in a room: keepers × key lights, the same judgements that a ranking goes by.
 *
 * @returns keepers in the order of the room; no row without a light
 */
export function pairingTable(
  asked: AskedRoom,
  roomDay: RoomDay,
  reflectance: Reflectance,
  source: ReadingSource,
): TableRow[] {
  const { lights } = rankedRoomOf(asked, roomDay)
  if (lights.length === 0) return []
  const keepers = new Map<string, NamedFinish[]>()
  for (const finish of asked.finishes)
    keepers.set(finish.keeperId, [...(keepers.get(finish.keeperId) ?? []), finish])
  return [...keepers].map(([keeperId, parts]) => ({
    keeperId,
    name: parts[0]!.name,
    cells: lights.map(({ light, name }) => {
      const wall = { undertone: undertoneOf(light, reflectance), source }
      const judged = speakingFor(
        parts.map((part) =>
          judgePart(wall, { ...part, undertone: undertoneOf(light, part.reflectance) }, part.role),
        ),
      )
      return {
        light: name,
        judgement: judgementOf(judged.chance),
        sentence: pairSentence(judged),
        judged,
      }
    }),
  }))
}
