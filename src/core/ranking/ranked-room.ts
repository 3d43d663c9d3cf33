import type { HouseRules } from '../advice/house-rules'
import type { RoomCharacter } from '../advice/room-character'
import type { PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import { chanceAsShown } from '../pairing/pair-reading'
import { chanceOf } from '../pairing/pairing'
import { fillFromReading } from '../pairing/judged-keeper'
import type { Role } from '../pairing/role'
import { emptyStrengths, pairStrengths } from '../pairing/strengths'
import { emptySurface, type PairSurface } from '../pairing/surface'
import type { Firmness, ReadingSource } from '../paint/reading'
import { undertoneOf, type Undertone } from '../undertone/undertone'

/** A light moment of the room and how much it matters, 0 to 1: by when the room is used. */
export interface WeightedLight {
  readonly light: PreparedLight
  readonly matters: number
}

/** One part of a keeper as walls are held to it; cloneable. */
export interface RoomFinish {
  readonly keeperId: string
  readonly reflectance: Reflectance
  readonly source: Firmness
  readonly varies: boolean
  readonly role: Role
  /** How far the part shows, 0 to 1; see `partsOf`. */
  readonly shows: number
  /** How much its keeper matters, 0 to 1: the lead 1, then the dear and what is most in view. */
  readonly matters: number
}

/** Everything that a colour is ranked by in a room. */
export interface RankedRoom {
  /** At least one. */
  readonly lights: readonly WeightedLight[]
  /** At least one. */
  readonly finishes: readonly RoomFinish[]
  readonly character: RoomCharacter
  readonly rules: HouseRules
}

/** A room's finishes as they are seen in each of its lights, prepared once for any number of walls. */
export interface PreparedRoom extends RankedRoom {
  /** By light, then by finish. */
  readonly surfaces: readonly (readonly PairSurface[])[]
  readonly seen: readonly (readonly Undertone[])[]
  /** Pairs of light and finish as they are tried: whatever spoiled the last wall first. It changes no result, only how soon a wall is given up. */
  readonly tried: { light: number; finish: number }[]
}

/** @throws RangeError without a light or a finish */
export function prepareRoom(room: RankedRoom): PreparedRoom {
  if (room.lights.length === 0)
    throw new RangeError('a room is ranked in at least one light, got none')
  if (room.finishes.length === 0)
    throw new RangeError('a room is ranked against at least one finish, got none')
  const seen = room.lights.map(({ light }) =>
    room.finishes.map(({ reflectance }) => undertoneOf(light, reflectance)),
  )
  const surfaces = seen.map((inLight) =>
    inLight.map((undertone, f) => {
      const { source, varies } = room.finishes[f]!
      return fillFromReading(emptySurface(), undertone, source, varies)
    }),
  )
  // Light by light, the first one's appearances are at hand.
  const tried = room.lights.flatMap((_, light) =>
    room.finishes.map((__, finish) => ({ light, finish })),
  )
  return { ...room, seen, surfaces, tried }
}

/** A wall's weakest pair in a room. */
export interface WeakestPair {
  /** Chance of the pair, as far as its part shows. */
  readonly chance: number
  /** The same, lifted by how little its keeper or its light matters: what the worth goes by. */
  readonly weighed: number
  readonly finish: number
  readonly light: number
}

// Used anew for every wall: a ranking makes no objects a pair.
const strengths = emptyStrengths()
const wallIn: PairSurface[] = []
const filled: boolean[] = []

/** What a pair counts where its keeper or its light matters less. */
export const weighedChance = (chance: number, matters: number): number => 1 - matters * (1 - chance)

/**
 * The weakest pair of a wall over all that stays and all lights; by far the most of a ranking's time goes here.
 *
 * @param giveUpBelow once a weighed chance falls below this: the wall can no longer be among the best
 */
export function weakestPair(
  room: PreparedRoom,
  seenIn: (light: number) => Pick<Undertone, 'j' | 'a' | 'b'>,
  source: ReadingSource,
  giveUpBelow = -1,
): WeakestPair {
  const { tried, surfaces, finishes, lights } = room
  filled.fill(false, 0, lights.length)
  let chance = 1
  let weighed = Infinity
  let finish = 0
  let light = 0
  for (let at = 0; at < tried.length; at++) {
    const pair = tried[at]!
    const wall = (wallIn[pair.light] ??= emptySurface())
    if (!filled[pair.light]) {
      fillFromReading(wall, seenIn(pair.light), source)
      filled[pair.light] = true
    }
    const stays = finishes[pair.finish]!
    pairStrengths(wall, surfaces[pair.light]![pair.finish]!, stays.role, strengths)
    const own = chanceAsShown(chanceOf(strengths, stays.role), stays.shows)
    const counts = weighedChance(own, lights[pair.light]!.matters * stays.matters)
    const isFirst =
      counts === weighed && (pair.light < light || (pair.light === light && pair.finish < finish))
    if (counts < weighed || isFirst) {
      chance = own
      weighed = counts
      finish = pair.finish
      light = pair.light
    }
    if (weighed < giveUpBelow) {
      // What spoils one wall spoils the next oftener than not.
      tried.splice(at, 1)
      tried.unshift(pair)
      break
    }
  }
  return { chance, weighed, finish, light }
}
