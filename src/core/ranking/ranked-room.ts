import type { HouseRules } from '../advice/house-rules'
import type { RoomCharacter } from '../advice/room-character'
import type { PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import { chanceAsShown } from '../pairing/pair-reading'
import { chanceOf } from '../pairing/pairing'
import { fillFromReading } from '../pairing/judged-keeper'
import type { Role } from '../pairing/role'
import { emptyStrengths, pairStrengths } from '../pairing/strengths'
import { emptySurface, fillSurface, type PairSurface } from '../pairing/surface'
import { uncertaintyOf, type Firmness, type ReadingSource } from '../paint/reading'
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
  readonly tried: TriedPair[]
}

interface TriedPair {
  readonly light: number
  readonly finish: number
  readonly surface: PairSurface
  readonly role: Role
  readonly shows: number
  /** Of the light and of the keeper, together. */
  readonly matters: number
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
  return { ...room, seen, surfaces, tried: pairsOf(room, surfaces) }
}

/** Light by light: the first one's appearances are at hand. */
const pairsOf = (
  { lights, finishes }: RankedRoom,
  surfaces: readonly (readonly PairSurface[])[],
): TriedPair[] =>
  lights.flatMap((light, l) =>
    finishes.map((stays, f) => ({
      light: l,
      finish: f,
      surface: surfaces[l]![f]!,
      role: stays.role,
      shows: stays.shows,
      matters: light.matters * stays.matters,
    })),
  )

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
 * @param giveUpBelow once a weighed chance falls below this: nobody asks any more how far
 * @param known the weakest pair in one of the lights, which is not tried again
 */
export function weakestPair(
  room: PreparedRoom,
  seenIn: (light: number) => Pick<Undertone, 'j' | 'a' | 'b'>,
  source: ReadingSource,
  giveUpBelow = -1,
  known: WeakestPair | null = null,
): WeakestPair {
  const { tried } = room
  const { lean, lightness } = uncertaintyOf(source)
  filled.fill(false, 0, room.lights.length)
  let chance = known?.chance ?? 1
  let weighed = known?.weighed ?? Infinity
  let weakest: Pick<TriedPair, 'finish' | 'light'> | null = known
  for (let at = 0; at < tried.length; at++) {
    const pair = tried[at]!
    const { light, role, shows, matters } = pair
    if (light === known?.light) continue
    // A pair that works at this chance cannot be the weakest.
    const enough = 1 - (1 - weighed) / (matters * shows)
    if (enough <= 0) continue
    const wall = (wallIn[light] ??= emptySurface())
    if (!filled[light]) {
      const { j, a, b } = seenIn(light)
      fillSurface(wall, j, a, b, lean / 2, lightness / 2)
      filled[light] = true
    }
    pairStrengths(wall, pair.surface, role, strengths, enough)
    const own = chanceAsShown(chanceOf(strengths, role), shows)
    const counts = weighedChance(own, matters)
    if (counts >= weighed) continue
    chance = own
    weighed = counts
    weakest = pair
    if (weighed < giveUpBelow) {
      // What spoils one wall spoils the next oftener than not.
      tried.splice(at, 1)
      tried.unshift(pair)
      break
    }
  }
  return { chance, weighed, finish: weakest?.finish ?? 0, light: weakest?.light ?? 0 }
}

/** The same room in its weightiest light alone, which bounds the weakest pair over all of them. */
export function inWeightiestLight(room: PreparedRoom): PreparedRoom & { readonly place: number } {
  const place = room.lights.reduce(
    (best, { matters }, light) => (matters > room.lights[best]!.matters ? light : best),
    0,
  )
  const [lights, surfaces] = [[room.lights[place]!], [room.surfaces[place]!]]
  return {
    ...room,
    place,
    lights,
    surfaces,
    seen: [room.seen[place]!],
    tried: pairsOf({ ...room, lights }, surfaces),
  }
}
