import { prepareLight } from '@/core/colour/appearance'
import { lightOf, type LightChoice, type RoomDay } from '@/core/light/light-choice'
import type { LookedPaint } from '@/core/record/eye-said'
import type { ProposalStatus } from '@/core/record/proposal'
import type { LitWalls } from '@/core/scheme/doorways'
import type { BenchCandidate } from '../bench/bench-model'

/** A room with what stands for its walls. */
export interface HouseWalls {
  readonly id: string
  readonly name: string
  readonly seenFrom: readonly string[]
  readonly roomDay: RoomDay
  /** What the eye refused there: no way out. */
  readonly refused: readonly LookedPaint[]
  readonly walls:
    (BenchCandidate & { readonly lrvPercent: number; readonly status: ProposalStatus }) | null
}

/** The same with its walls lit at a moment. */
export interface LitRoom extends HouseWalls {
  readonly walls: NonNullable<HouseWalls['walls']>
  readonly lit: LitWalls
}

/** The walls of a house at one moment, each in its own light; rooms without a colour, and those in the dark, are left out. */
export function litRooms(
  rooms: readonly HouseWalls[],
  choice: LightChoice,
  date: RoomDay['day'],
): LitRoom[] {
  return rooms.flatMap((room) => {
    if (!room.walls) return []
    const light = lightOf({ ...room.roomDay, day: date }, { ...choice, spot: 'walls' })
    if (!light) return []
    const prepared = prepareLight(light.spectrum, light.illuminanceLux)
    const { reflectance, source, lrvPercent } = room.walls
    return [
      {
        ...room,
        walls: room.walls,
        lit: { prepared, spectrum: light.spectrum, reflectance, source, lrvPercent },
      },
    ]
  })
}

/** Pairs of rooms that are seen from one another, each once. */
export const pairsOf = (rooms: readonly LitRoom[]): (readonly [LitRoom, LitRoom])[] =>
  rooms.flatMap((room, at) =>
    rooms
      .slice(at + 1)
      .filter(({ id }) => room.seenFrom.includes(id))
      .map((other) => [room, other] as const),
  )
