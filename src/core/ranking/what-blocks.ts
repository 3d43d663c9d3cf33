import { BANDS, type Reflectance } from '../colour/spectrum'
import { LIKELY_FROM } from '../pairing/chance'
import type { RatedKind } from '../pairing/traits'
import { reflectanceOfReading } from '../paint/reading'
import { emptyUndertones, flatUndertones } from '../undertone/flat-undertones'
import type { PreparedDeck } from './deck-rows'
import {
  forget,
  holdTo,
  nothingKnown,
  plainChance,
  prepareRoom,
  type PreparedRoom,
  type RankedRoom,
  type RoomFinish,
} from './ranked-room'

/** A keeper that stands in the way, and how many colours would work with all that stays if it did not. */
export interface Block {
  readonly keeperId: string
  /** Null where nothing else stays: then there is nothing left to be ranked for. */
  readonly without: number | null
  /** Of what is painted: with it painted clean white; null of what is not. */
  readonly paintedWhite: number | null
}

/** What works with all that stays, and what blocks. */
export interface Blocks {
  /** Colours that work at some strength. */
  readonly works: number
  /** Cheapest to change first; none that would change next to nothing. */
  readonly blocks: readonly Block[]
}

/** A change of what stays, to be looked at as if it were made. */
export interface AsIf {
  readonly keeperId: string
  readonly how: 'without' | 'painted white'
}

const PAINTED: readonly RatedKind[] = ['trim', 'door', 'cabinet']
// Common practice: what is painted clean white leans nowhere to speak of.
const CLEAN_WHITE: Reflectance = reflectanceOfReading({ kind: 'lab', lab: [96.5, -0.3, 1] })

const whitened = <F extends RoomFinish>(finish: F): F => ({
  ...finish,
  reflectance: CLEAN_WHITE,
  source: 'maker',
  varies: false,
  shows: 1,
})

/** What stays, as if a change were made. */
export function asIfChanged<F extends RoomFinish>(finishes: readonly F[], as: AsIf): readonly F[] {
  const others = finishes.filter(({ keeperId }) => keeperId !== as.keeperId)
  const own = finishes.find(({ keeperId }) => keeperId === as.keeperId)
  return own && as.how === 'painted white' ? [...others, whitened(own)] : others
}

// Nobody paints a door for one colour in a hundred more (own setting).
const WORTH_A_CHANGE = 1.05

const TOGETHER = 512

/**
 * Counts, over every colour at every strength, what works with all that stays in every light, and what would if one keeper
 * were another. Between steps a caller may leave.
 *
 * @param room at least one light and one finish
 * @param costs how dear each keeper is to change
 * @returns yields how much is done, 0 to 1
 */
export function* whatBlocks(
  deck: PreparedDeck,
  room: RankedRoom,
  costs: (keeperId: string) => number,
): Generator<number, Blocks> {
  // A light that hardly matters is a light still: what works has to work in all.
  const lights = room.lights.map(({ light }) => ({ light, matters: 1 }))
  const keepers = [...new Set(room.finishes.map(({ keeperId }) => keeperId))]
  const first = keepers.map((id) => room.finishes.find(({ keeperId }) => keeperId === id)!)
  const painted = first.filter(({ role }) => PAINTED.includes(role.kind)).map(whitened)
  const asIs = prepareRoom({ ...room, lights })
  const asWhite = painted.length > 0 ? prepareRoom({ ...room, lights, finishes: painted }) : null
  const paintedAt = keepers.map((id) => painted.findIndex(({ keeperId }) => keeperId === id))
  const works = new Set<number>()
  const without = keepers.map(() => new Set<number>())
  const white = keepers.map(() => new Set<number>())
  const count = deck.places.length
  const inRoom = failuresIn(asIs)
  const inWhite = asWhite && failuresIn(asWhite)
  for (let from = 0; from < count; from += TOGETHER) {
    const rows = deck.rows.subarray(from * BANDS, Math.min(count, from + TOGETHER) * BANDS)
    const failed = inRoom(rows)
    const failedWhite = inWhite?.(rows)
    for (const [i, failing] of failed.entries()) {
      if (failing.length > 1) continue
      const place = deck.places[from + i]!
      if (failing.length === 0) works.add(place)
      // What works with all works without any one of them, too.
      for (const k of failing.length === 1 ? failing : keepers.keys()) {
        without[k]!.add(place)
        const at = paintedAt[k]!
        if (at >= 0 && !failedWhite![i]!.includes(at)) white[k]!.add(place)
      }
    }
    yield Math.min(1, (from + TOGETHER) / count)
  }
  return {
    works: works.size,
    blocks: keepers
      .map((keeperId, k) => ({
        keeperId,
        without: keepers.length > 1 ? without[k]!.size : null,
        paintedWhite: paintedAt[k]! >= 0 ? white[k]!.size : null,
      }))
      .filter(
        (block) =>
          Math.max(block.without ?? 0, block.paintedWhite ?? 0) > WORTH_A_CHANGE * works.size,
      )
      .sort((p, q) => costs(p.keeperId) - costs(q.keeperId)),
  }
}

/** For some rows, which keepers each fails beside in any light. */
function failuresIn(room: PreparedRoom): (rows: PreparedDeck['rows']) => number[][] {
  const known = Array.from({ length: TOGETHER }, () => nothingKnown(room))
  return (rows) => {
    const count = rows.length / BANDS
    const seen = emptyUndertones(count)
    for (let i = 0; i < count; i++) forget(known[i]!)
    room.lights.forEach(({ light }, l) => {
      flatUndertones(light, rows, seen)
      for (let i = 0; i < count; i++)
        holdTo(room, l, { j: seen.j[i]!, a: seen.a[i]!, b: seen.b[i]! }, known[i]!)
    })
    return Array.from({ length: count }, (_, i) =>
      [...known[i]!.scores].flatMap((score, k) => (plainChance(score) < LIKELY_FROM ? [k] : [])),
    )
  }
}
