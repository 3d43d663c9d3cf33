import type { HouseRules } from '../advice/house-rules'
import type { RoomCharacter } from '../advice/room-character'
import type { PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import { chanceAsShown } from '../pairing/pair-reading'
import { chanceOf } from '../pairing/pairing'
import { fillFromReading } from '../pairing/judged-keeper'
import type { Role } from '../pairing/role'
import { emptyStrengths, emptySurface, pairStrengths, type PairSurface } from '../pairing/strengths'
import type { ReadingSource } from '../paint/reading'
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
  readonly source: ReadingSource
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
  return { ...room, seen, surfaces }
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

const strengths = emptyStrengths()
const wallSurface = emptySurface()

/** What a pair counts where its keeper or its light matters less. */
export const weighedChance = (chance: number, matters: number): number => 1 - matters * (1 - chance)

/**
 * The weakest pair of a wall over all that stays and all lights; by far the most of a ranking's time goes here.
 *
 * @param give up once a weighed chance falls below this: the wall can no longer be among the best
 */
export function weakestPair(
  room: PreparedRoom,
  seenIn: (light: number) => Pick<Undertone, 'j' | 'a' | 'b'>,
  source: ReadingSource,
  giveUpBelow = -1,
): WeakestPair {
  let [chance, weighed, finish, light] = [1, Infinity, 0, 0]
  for (let l = 0; l < room.lights.length && weighed >= giveUpBelow; l++) {
    const wall = fillFromReading(wallSurface, seenIn(l), source)
    const surfaces = room.surfaces[l]!
    const { matters } = room.lights[l]!
    for (let f = 0; f < surfaces.length && weighed >= giveUpBelow; f++) {
      const stays = room.finishes[f]!
      pairStrengths(wall, surfaces[f]!, stays.role, strengths)
      const own = chanceAsShown(chanceOf(strengths, stays.role), stays.shows)
      const counts = weighedChance(own, matters * stays.matters)
      if (counts < weighed) [chance, weighed, finish, light] = [own, counts, f, l]
    }
  }
  return { chance, weighed, finish, light }
}
