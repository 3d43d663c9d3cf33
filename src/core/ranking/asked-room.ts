import type { HouseRules } from '../advice/house-rules'
import type { RoomCharacter } from '../advice/room-character'
import { prepareLight } from '../colour/appearance'
import { isCoolAndEven } from '../light/aspect'
import { keyLights, type KeyLight } from '../light/key-lights'
import { lightOf, type LightChoice, type RoomDay } from '../light/light-choice'
import { daylightFactorPercent } from '../light/daylight-factor'
import type { UseHours } from '../light/use-hours'
import {
  dearnessOf,
  keeperMatters,
  VIEW_WEIGHT,
  type KeeperKind,
  type ViewShare,
} from '../pairing/keeper-kind'
import type { JudgedKeeper } from '../pairing/judged-keeper'
import { partsOf, roleOfPart } from '../pairing/parts'
import { ratedRole } from '../pairing/role'
import type { EyeSaid } from '../record/eye-said'
import { DAYLIGHT } from '../undertone/daylight'
import type { RankedRoom, RoomFinish, WeightedLight } from './ranked-room'
import { SHOWN } from './room-terms'

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
  /** How dear its keeper is to change, 1 easily to 5 never. */
  readonly costs: number
}

/** Everything that a deck is ranked by in a room; cloneable. */
export interface AskedRoom {
  readonly finishes: readonly NamedFinish[]
  readonly lights: readonly AskedLight[]
  readonly character: RoomCharacter
  readonly rules: HouseRules
  /** What the eye said here, pair by pair: it comes before what is computed. */
  readonly eye: readonly EyeSaid[]
}

/** A keeper with what its weight in a ranking hangs on. */
export interface WeighedKeeper extends JudgedKeeper {
  readonly id: string
  readonly kind: KeeperKind
  readonly dearness: number | null
  readonly viewShare: ViewShare
}

// What leads a room is looked at for itself (common practice).
const LEAD_COUNTS = 2

// Hardly in sight, a part changes no ranking.
const SHOWS_FROM = 0.02

/** The parts of a room's keepers that walls are held to. */
export function finishesOf(
  keepers: readonly WeighedKeeper[],
  leadId: string | null,
): NamedFinish[] {
  return keepers.flatMap((keeper) => {
    const costs = dearnessOf(keeper.kind, keeper.dearness)
    const matters = keeperMatters(costs, keeper.viewShare, keeper.id === leadId)
    const inView =
      SHOWN[keeper.role.kind] *
      VIEW_WEIGHT[keeper.viewShare] *
      (keeper.id === leadId ? LEAD_COUNTS : 1)
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
        inView,
        costs,
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

/** What a room is ranked by on any day; cloneable. */
export interface RoomBrief {
  readonly finishes: readonly NamedFinish[]
  /** What of the house and its wishes speaks for or against a colour. */
  readonly wishes: Omit<RoomCharacter, 'daylightFactorPercent' | 'coolAndEven' | 'lamps'>
  readonly rules: HouseRules
  /** What the eye said here, pair by pair. */
  readonly eye: readonly EyeSaid[]
}

const LIGHT_WORDS: Record<KeyLight['name'], string> = {
  midday: 'at midday',
  sun: 'in the low sun',
  lamps: 'under lamps',
}

const LAMPS_ALONE: LightChoice = {
  source: 'lamps',
  minute: 20 * 60,
  sky: 'clear',
  lampsOn: true,
  spot: 'walls',
}

/** What a deck is ranked by in a room on a day: the lights of that day, and what they make of the room. */
export function askedRoomOn(
  { finishes, wishes, rules, eye }: RoomBrief,
  roomDay: RoomDay,
): AskedRoom {
  const lamps = lightOf(roomDay, LAMPS_ALONE)
  return {
    finishes,
    rules,
    eye,
    lights: keyLights(roomDay).map(({ name, choice }) => ({
      name: LIGHT_WORDS[name],
      choice,
      matters: lightMatters(name, wishes.useHours),
    })),
    character: {
      ...wishes,
      daylightFactorPercent: daylightFactorPercent(roomDay.room),
      coolAndEven: isCoolAndEven(roomDay.room, roomDay.place),
      lamps: lamps && { cctK: lamps.cctK, illuminanceLux: lamps.illuminanceLux },
    },
  }
}

// Through a doorway a wall is seen beside another, and only beside it.
const NEIGHBOUR_MATTERS = 0.4
// A wall is painted in a day.
const NEIGHBOUR_COSTS = 2

/** The wall of a room that is seen from this one, as what a colour here is held to: a painted, smooth neighbour. */
export const neighbourFinish = (
  wall: { readonly id: string; readonly name: string; readonly part: string } & Pick<
    RoomFinish,
    'reflectance' | 'source'
  >,
  rules: HouseRules,
): NamedFinish => ({
  keeperId: wall.id,
  name: wall.name,
  part: wall.part,
  reflectance: wall.reflectance,
  source: wall.source,
  varies: false,
  role: ratedRole('neighbour', rules),
  shows: 1,
  matters: NEIGHBOUR_MATTERS,
  inView: SHOWN.neighbour,
  costs: NEIGHBOUR_COSTS,
})

/** The room with its lights computed; a light in which nothing is seen is left out. */
export function rankedRoomOf(
  asked: AskedRoom,
  roomDay: RoomDay,
): Omit<RankedRoom, 'lights'> & {
  readonly lights: readonly (WeightedLight & { readonly name: string })[]
} {
  return {
    ...asked,
    lights: asked.lights.flatMap(({ name, choice, matters }) => {
      const light = lightOf(roomDay, choice)
      return light
        ? [{ name, light: prepareLight(light.spectrum, light.illuminanceLux), matters }]
        : []
    }),
  }
}
