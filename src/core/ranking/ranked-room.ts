import type { HouseRules } from '../advice/house-rules'
import type { RoomCharacter } from '../advice/room-character'
import type { PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import { unsureOf } from '../pairing/judge-pair'
import { chanceAsShown } from '../pairing/pair-reading'
import { weightsOf, type Role } from '../pairing/role'
import {
  emptyFolded,
  fillOwn,
  foldStays,
  quickScore,
  type FoldedStays,
} from '../pairing/quick-score'
import { APART, chanceOfScore, lifted, type Seen, type Unsure } from '../pairing/score'
import {
  emptyStays,
  emptyWall,
  fillStays,
  fillWall,
  type StaysSide,
  type WallSide,
} from '../pairing/sides'
import { placeIn, shapeAt, tabled, WIDTH } from '../pairing/shapes'
import { RATED_TRAITS, type Traits } from '../pairing/traits'
import type { Firmness, ReadingSource } from '../paint/reading'
import { undertoneOf, type Undertone } from '../undertone/undertone'
import { ROOM_WEIGHTS } from './room-terms'

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
  /** How much its keeper matters where the weakest pair is named, 0 to 1: the lead 1, then the dear and what is most in view. */
  readonly matters: number
  /** How much of its keeper one sees, beside the room's others: the worth goes by that. */
  readonly inView: number
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

/** What stays, as it is seen in one light, with everything that no wall changes. */
interface Beside {
  readonly finish: number
  readonly light: number
  /** Which keeper of the room it is a part of. */
  readonly keeper: number
  /** As it is, and an observer’s step further along each axis. */
  readonly stays: FoldedStays
  readonly apart: readonly FoldedStays[]
  /** The other room's wall, as a wall: the two meet as equals. */
  readonly asWall: { readonly here: WallSide; readonly apart: readonly WallSide[] } | null
  readonly unsure: Unsure
  readonly is: Traits
  readonly weights: Float64Array
  readonly shows: number
  /** Of the light; and of the light and the keeper together. */
  readonly lightMatters: number
  readonly matters: number
}

/** A room's finishes as they are seen in each of its lights, prepared once for any number of walls. */
export interface PreparedRoom extends RankedRoom {
  /** By light, then by finish. */
  readonly seen: readonly (readonly Undertone[])[]
  readonly beside: readonly (readonly Beside[])[]
  /** By keeper: the share of the room's view that is this one, together 1. */
  readonly shares: readonly number[]
}

const AXES = ['j', 'a', 'b'] as const
const stepped = (at: Seen, axis: (typeof AXES)[number]): Seen => ({
  ...at,
  [axis]: at[axis] + APART,
})
const staysAt = ({ j, a, b }: Seen): StaysSide => fillStays(emptyStays(), j, a, b)

function wallAt({ j, a, b }: Seen, into: WallSide): WallSide {
  fillWall(into, j, a, b)
  fillOwn(into)
  return into
}

/** @throws RangeError without a light or a finish */
export function prepareRoom(room: RankedRoom): PreparedRoom {
  if (room.lights.length === 0)
    throw new RangeError('a room is ranked in at least one light, got none')
  if (room.finishes.length === 0)
    throw new RangeError('a room is ranked against at least one finish, got none')
  const keepers = [...new Set(room.finishes.map(({ keeperId }) => keeperId))]
  const views = keepers.map((id) => room.finishes.find(({ keeperId }) => keeperId === id)!.inView)
  const all = views.reduce((sum, each) => sum + each, 0)
  const weights = room.finishes.map(({ role }) => weightsOf(role))
  const seen = room.lights.map(({ light }) =>
    room.finishes.map(({ reflectance }) => undertoneOf(light, reflectance)),
  )
  const beside = room.lights.map((lit, light) =>
    room.finishes.map((stays, finish): Beside => {
      const at = seen[light]![finish]!
      const apart = AXES.map((axis) => stepped(at, axis))
      const is = RATED_TRAITS[stays.role.kind]
      const fold = (there: Seen): FoldedStays => foldStays(staysAt(there), is, weights[finish]!)
      return {
        ...{ finish, light, keeper: keepers.indexOf(stays.keeperId) },
        stays: fold(at),
        apart: apart.map(fold),
        asWall:
          stays.role.kind === 'neighbour'
            ? {
                here: wallAt(at, emptyWall()),
                apart: apart.map((there) => wallAt(there, emptyWall())),
              }
            : null,
        unsure: unsureOf(stays.source, stays.varies),
        is,
        weights: weights[finish]!,
        shows: stays.shows,
        lightMatters: lit.matters,
        matters: lit.matters * stays.matters,
      }
    }),
  )
  return { ...room, seen, beside, shares: views.map((view) => view / all) }
}

// Used anew for every wall: a ranking makes no objects a pair.
const wall = emptyWall()
const asStays = emptyStays()
const apartWall = emptyWall()
const apartStays = emptyStays()
const foldedWall = emptyFolded()

/** The score of a wall beside something; where the two meet as equals, of both ways round. */
const scoreBeside = (
  w: WallSide,
  s: StaysSide,
  of: Beside,
  stays: FoldedStays,
  asWall: WallSide | undefined,
): number =>
  asWall
    ? (quickScore(w, stays) + quickScore(asWall, foldStays(s, of.is, of.weights, foldedWall))) / 2
    : quickScore(w, stays)

/** What is known of a wall so far, over some of a room's lights. */
export interface WallSoFar {
  /** By keeper: the least score over its parts and the lights, each as far as it counts; of 10. */
  readonly scores: Float64Array
  /** The chances of those scores. */
  readonly chances: Float64Array
  /** How weak the weakest pair is, 0 to 1, as far as its part, its keeper and its light count. */
  weakness: number
  finish: number
  light: number
  /** Points that its pairs can still be worth. */
  points: number
  /** Points of pairs under which nobody asks for the rest of them. */
  enough: number
}

export const nothingKnown = (room: PreparedRoom): WallSoFar => ({
  scores: new Float64Array(room.shares.length).fill(MOST),
  chances: new Float64Array(room.shares.length).fill(1),
  weakness: -1,
  finish: 0,
  light: 0,
  points: MOST_PAIR_POINTS,
  enough: NEVER_ENOUGH,
})

/** Makes ready for another wall. */
export function forget(so: WallSoFar): void {
  so.scores.fill(MOST)
  so.chances.fill(1)
  so.weakness = -1
  so.points = MOST_PAIR_POINTS
  so.enough = NEVER_ENOUGH
}

const MOST = 10
const [PER_SCORE, PER_CHANCE] = [ROOM_WEIGHTS[0]!, ROOM_WEIGHTS[1]!]
/** The most that pairs can be worth. */
export const MOST_PAIR_POINTS = MOST * PER_SCORE + PER_CHANCE
// A number with a fraction from the beginning.
const NEVER_ENOUGH = -1e9 - 0.5

/** Holds a wall to all that stays in one light, and keeps what is least; once its pairs come to less than enough it is left. */
export function holdTo(room: PreparedRoom, light: number, seen: Seen, into: WallSoFar): void {
  wallAt(seen, wall)
  const all = room.beside[light]!
  let filled = false
  for (let at = 0; at < all.length; at++) {
    const of = all[at]!
    if (of.asWall && !filled) {
      fillStays(asStays, seen.j, seen.a, seen.b)
      filled = true
    }
    const score = of.asWall
      ? scoreBeside(wall, asStays, of, of.stays, of.asWall.here)
      : quickScore(wall, of.stays)
    const chance = plainChance(score)
    const counts = lifted(score, of.shows * of.lightMatters)
    const { keeper } = of
    const before = into.scores[keeper]!
    if (counts < before) {
      const now = counts === score ? chance : plainChance(counts)
      into.points -=
        room.shares[keeper]! *
        (PER_SCORE * (before - counts) + PER_CHANCE * (into.chances[keeper]! - now))
      into.scores[keeper] = counts
      into.chances[keeper] = now
      if (into.points < into.enough) return
    }
    const weakness = of.matters * of.shows * (1 - chance)
    if (weakness > into.weakness) {
      into.weakness = weakness
      into.finish = of.finish
      into.light = light
    }
  }
}

// A ranking asks millions of times.
const CHANCES = tabled(-6, 16, 32, [(score) => chanceOfScore(score, 0)])

/** The chance of a score by itself, without what readings and eyes differ by. */
export function plainChance(score: number): number {
  const place = placeIn(CHANCES, score)
  return shapeAt(CHANCES.rows, (place | 0) * WIDTH, place - (place | 0))
}

/**
 * The chance of a wall beside one finish in one light, as far as the part shows: with what the readings and an observer's eye
 * bring into the score. The same as `judgePart` says, without its words.
 */
export function chanceBeside(
  room: PreparedRoom,
  { finish, light }: Pick<WallSoFar, 'finish' | 'light'>,
  seen: Seen,
  source: ReadingSource,
): number {
  const of = room.beside[light]![finish]!
  const own = unsureOf(source)
  const { asWall } = of
  wallAt(seen, wall)
  if (asWall) fillStays(asStays, seen.j, seen.a, seen.b)
  const here = scoreBeside(wall, asStays, of, of.stays, asWall?.here)
  let variance = 0
  for (const [i, axis] of AXES.entries()) {
    const there = stepped(seen, axis)
    wallAt(there, apartWall)
    if (asWall) fillStays(apartStays, there.j, there.a, there.b)
    const byWall = scoreBeside(apartWall, apartStays, of, of.stays, asWall?.here)
    const byStays = scoreBeside(wall, asStays, of, of.apart[i]!, asWall?.apart[i])
    const which = axis === 'j' ? 'varJ' : 'varLean'
    variance +=
      ((byWall - here) / APART) ** 2 * own[which] +
      ((byStays - here) / APART) ** 2 * of.unsure[which]
  }
  return chanceAsShown(chanceOfScore(here, variance), of.shows)
}

/** A wall's weakest pair in a room. */
export interface WeakestPair {
  /** Chance of the pair, as far as its part shows. */
  readonly chance: number
  /** The same, lifted by how little its keeper or its light matters. */
  readonly weighed: number
  readonly finish: number
  readonly light: number
}

/** What a pair counts where its keeper or its light matters less. */
export const weighedChance = (chance: number, matters: number): number => 1 - matters * (1 - chance)

/** The weakest pair that was found, with its chance. */
export function weakestOf(
  room: PreparedRoom,
  { finish, light }: Pick<WallSoFar, 'finish' | 'light'>,
  seen: Seen,
  source: ReadingSource,
): WeakestPair {
  const chance = chanceBeside(room, { finish, light }, seen, source)
  const { matters } = room.beside[light]![finish]!
  return { chance, weighed: weighedChance(chance, matters), finish, light }
}

/** The light in which to bound a room's walls: the one that counts most. */
export const weightiestLight = ({ lights }: RankedRoom): number =>
  lights.reduce((best, { matters }, light) => (matters > lights[best]!.matters ? light : best), 0)
