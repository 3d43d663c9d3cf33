import { appearanceOf, prepareLight } from '../colour/appearance'
import type { Ucs } from '../colour/cam16'
import type { Reflectance } from '../colour/spectrum'
import { lightOf, type RoomDay } from '../light/light-choice'
import { dayRibbon, type MomentName } from '../light/ribbon'
import type { Sky } from '../light/sky'

/** A room to be seen, and the colours whose change in it decides when. */
export interface PlanRoom {
  readonly id: string
  readonly roomDay: RoomDay
  /** Its candidates, or reference colours before there are any; at least one. */
  readonly colours: readonly Reflectance[]
  /** How much there is to do in it, beside the other rooms: pairs to be held up, at least 1; left out, as much as elsewhere. */
  readonly work?: number
}

export interface Stop {
  readonly roomId: string
  readonly fromMinute: number
  readonly toMinute: number
  /** How far its colours stand from their middle over the day then, mean of CAM16-UCS units. */
  readonly change: number
  /** Their change in the best of the visit's slots. */
  readonly mostChange: number
}

/** A moment that matters and lies outside the visit. */
export interface UnseenMoment {
  readonly roomId: string
  readonly name: MomentName
  readonly minute: number
}

export interface DayPlan {
  /** In the order of the visit. */
  readonly stops: readonly Stop[]
  readonly later: readonly UnseenMoment[]
}

// More rooms than this in one visit nobody sees; the table of subsets grows with 2 to their number.
export const MOST_ROOMS = 14

/**
 * The order in which to see the rooms of a visit: each room gets the part of its hours in which its colours stand farthest
 * from their middle over the day, as far as the others allow; a slot is as long as the work in it.
 *
 * @param skyAt the sky expected at a minute of the day
 * @param byHand rooms in the order that a hand has put them in; rooms it does not name come after
 * @throws RangeError for more than 14 rooms, or for work that is no positive number
 */
export function dayPlan(
  rooms: readonly PlanRoom[],
  fromMinute: number,
  toMinute: number,
  skyAt: (minute: number) => Sky,
  byHand: readonly string[] = [],
): DayPlan {
  if (rooms.length > MOST_ROOMS)
    throw new RangeError(`a day plan takes at most ${MOST_ROOMS} rooms, got ${rooms.length}`)
  for (const { work = 1 } of rooms)
    if (!(work > 0)) throw new RangeError(`the work in a room must be over 0, got ${work}`)
  const length = (toMinute - fromMinute) / Math.max(1, rooms.length)
  const middles = rooms.map((_, slot) => Math.round(fromMinute + (slot + 0.5) * length))
  const changes = rooms.map((room) => changesAt(room, middles, skyAt))
  const order = byHand.length > 0 ? orderByHand(rooms, byHand) : bestAssignment(changes)
  const all = rooms.reduce((sum, { work = 1 }) => sum + work, 0)
  let done = 0
  const stops = order.map((place): Stop => {
    const room = rooms[place]!
    const at = (work: number): number =>
      Math.round(fromMinute + (work / all) * (toMinute - fromMinute))
    const [from, to] = [at(done), at(done + (room.work ?? 1))]
    done += room.work ?? 1
    const [change] = changesAt(room, [Math.round((from + to) / 2)], skyAt)
    return {
      roomId: room.id,
      fromMinute: from,
      toMinute: to,
      change: change!,
      mostChange: Math.max(change!, ...changes[place]!),
    }
  })
  const later = rooms.flatMap(({ id, roomDay }) =>
    dayRibbon(roomDay, skyAt(fromMinute))
      .moments.filter(({ minute }) => minute < fromMinute || minute > toMinute)
      .map(({ name, minute }): UnseenMoment => ({ roomId: id, name, minute })),
  )
  return { stops, later }
}

/** Places of the rooms as a hand has put them, the rest after. */
function orderByHand(rooms: readonly PlanRoom[], byHand: readonly string[]): number[] {
  const rank = (place: number): number => {
    const at = byHand.indexOf(rooms[place]!.id)
    return at < 0 ? byHand.length + place : at
  }
  return rooms.map((_, place) => place).sort((p, q) => rank(p) - rank(q))
}

// Under half a unit nobody sees a room's colours change.
const SEEN_CHANGE = 0.5

/** Why a room is seen when it is, in plain words. */
export function whyThen({ change, mostChange }: Pick<Stop, 'change' | 'mostChange'>): string {
  if (mostChange < SEEN_CHANGE) return 'Its colours hardly change that day: any hour does.'
  if (mostChange - change < SEEN_CHANGE) return 'Its colours change most here.'
  return 'Others need its best hour more: look once more at another.'
}

const DAY_STEP_MINUTES = 60

/** Mean distance of a room's colours from their middle over the day, at each of some minutes. */
function changesAt(
  { roomDay, colours }: PlanRoom,
  minutes: readonly number[],
  skyAt: (minute: number) => Sky,
): number[] {
  const seenAt = (minute: number, byDayOnly = false): Ucs[] | null => {
    const light = lightOf(roomDay, {
      source: 'room',
      minute,
      sky: skyAt(minute),
      lampsOn: false,
      spot: 'walls',
    })
    if (!light || (byDayOnly && light.parts.lamp > 0)) return null
    const prepared = prepareLight(light.spectrum, light.illuminanceLux)
    return colours.map((colour) => appearanceOf(prepared, colour).ucs)
  }
  // The middle of its daylight, where it has any: lamps after dark are a light of their own.
  const hours = Array.from(
    { length: Math.floor(roomDay.day.lengthMinutes / DAY_STEP_MINUTES) },
    (_, hour) => seenAt(hour * DAY_STEP_MINUTES, roomDay.room.windows.length > 0),
  ).flatMap((seen) => (seen ? [seen] : []))
  if (hours.length === 0) return minutes.map(() => 0)
  const middle = colours.map((_, k) =>
    [0, 1, 2].map((axis) => hours.reduce((sum, seen) => sum + seen[k]![axis]!, 0) / hours.length),
  )
  return minutes.map((minute) => {
    const seen = seenAt(minute)
    if (!seen) return 0
    const apart = seen.map((ucs, k) =>
      Math.hypot(...ucs.map((value, axis) => value - middle[k]![axis]!)),
    )
    return apart.reduce((sum, each) => sum + each, 0) / apart.length
  })
}

/**
 * Which row takes each column so that the sum is greatest; as many rows as columns. Exact: the best of every subset of
 * rows over the first columns.
 *
 * @returns the row of each column
 */
export function bestAssignment(values: readonly (readonly number[])[]): number[] {
  const count = values.length
  const subsets = 1 << count
  const best = new Float64Array(subsets).fill(-Infinity)
  const chosen = new Int8Array(subsets).fill(-1)
  best[0] = 0
  for (let subset = 0; subset < subsets; subset++) {
    let column = 0
    for (let rest = subset; rest > 0; rest &= rest - 1) column++
    for (let row = 0; row < count; row++) {
      if (subset & (1 << row)) continue
      const next = subset | (1 << row)
      const sum = best[subset]! + values[row]![column]!
      if (sum > best[next]!) {
        best[next] = sum
        chosen[next] = row
      }
    }
  }
  const order = new Array<number>(count)
  for (let subset = subsets - 1, column = count - 1; column >= 0; column--) {
    order[column] = chosen[subset]!
    subset ^= 1 << order[column]!
  }
  return order
}
