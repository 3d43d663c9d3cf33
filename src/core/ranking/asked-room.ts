import type { HouseRules } from '../advice/house-rules'
import type { RoomCharacter } from '../advice/room-character'
import { prepareLight } from '../colour/appearance'
import type { KeyLight } from '../light/key-lights'
import { lightOf, type LightChoice, type RoomDay } from '../light/light-choice'
import type { UseHours } from '../light/use-hours'
import { dearnessOf, keeperMatters, type KeeperKind, type ViewShare } from '../pairing/keeper-kind'
import type { JudgedKeeper } from '../pairing/judged-keeper'
import { partsOf, roleOfPart } from '../pairing/parts'
import { DAYLIGHT } from '../undertone/daylight'
import type { RankedRoom, RoomFinish } from './ranked-room'

/** A light that a room is ranked in, before it is computed. */
export interface AskedLight {
  /** "at midday", "under lamps". */
  readonly name: string
  readonly choice: LightChoice
  readonly matters: number
}

/** Which part of which keeper a finish of a ranking is. */
export interface NamedFinish extends RoomFinish {
  readonly name: string
  readonly part: string
}

/** Everything that a deck is ranked by in a room; cloneable. */
export interface AskedRoom {
  readonly finishes: readonly NamedFinish[]
  readonly lights: readonly AskedLight[]
  readonly character: RoomCharacter
  readonly rules: HouseRules
}

/** A keeper with what its weight in a ranking hangs on. */
export interface WeighedKeeper extends JudgedKeeper {
  readonly id: string
  readonly kind: KeeperKind
  readonly dearness: number | null
  readonly viewShare: ViewShare
}

// Hardly in sight, a part changes no ranking.
const SHOWS_FROM = 0.02

/** The parts of a room's keepers that walls are held to. */
export function finishesOf(
  keepers: readonly WeighedKeeper[],
  leadId: string | null,
): NamedFinish[] {
  return keepers.flatMap((keeper) => {
    const matters = keeperMatters(
      dearnessOf(keeper.kind, keeper.dearness),
      keeper.viewShare,
      keeper.id === leadId,
    )
    return partsOf(DAYLIGHT, keeper.colours)
      .filter(({ shows }) => shows >= SHOWS_FROM)
      .map((part) => ({
        keeperId: keeper.id,
        name: keeper.name,
        part: part.part,
        reflectance: part.reflectance,
        source: part.source,
        varies: keeper.varies,
        role: roleOfPart(keeper.role, part),
        shows: part.shows,
        matters,
      }))
  })
}

// A light in which a room is hardly used matters less; common practice.
const MATTERS: Record<UseHours, Record<KeyLight['name'], number>> = {
  breakfast: { midday: 1, sun: 1, lamps: 0.6 },
  daytime: { midday: 1, sun: 1, lamps: 0.6 },
  evening: { midday: 0.7, sun: 0.7, lamps: 1 },
  'all-day': { midday: 1, sun: 0.9, lamps: 0.9 },
}

/** How much a light matters in a room that is used at these hours, 0 to 1. */
export const lightMatters = (name: KeyLight['name'], useHours: UseHours): number =>
  MATTERS[useHours][name]

/** The room with its lights computed; a light in which nothing is seen is left out. */
export function rankedRoomOf(asked: AskedRoom, roomDay: RoomDay): RankedRoom {
  return {
    ...asked,
    lights: asked.lights.flatMap(({ choice, matters }) => {
      const light = lightOf(roomDay, choice)
      return light ? [{ light: prepareLight(light.spectrum, light.illuminanceLux), matters }] : []
    }),
  }
}
