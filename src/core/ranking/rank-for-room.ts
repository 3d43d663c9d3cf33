import { DAYLIGHT } from '../undertone/daylight'
import { BANDS, type Reflectance } from '../colour/spectrum'
import { lrvsPercent } from '../paint/lrv'
import type { ReadingSource } from '../paint/reading'
import { emptyUndertones, flatUndertones, undertoneAt } from '../undertone/flat-undertones'
import { undertoneOf } from '../undertone/undertone'
import { prepareRoom, weakestPair, type RankedRoom, type WeakestPair } from './ranked-room'
import {
  asksOf,
  mostWorth,
  ownTerms,
  POINTS,
  POINTS_PER_WORTH,
  pairPoints,
  sharedLean,
  worthOf,
} from './worth'

/** Deck colours at their strengths, one row each; cloneable. */
export interface DeckRows {
  /** Reflectances, 36 numbers a row. */
  readonly rows: Float64Array<ArrayBuffer>
  /** Place of the deck that a row is of. */
  readonly places: readonly number[]
  readonly strengthsPercent: readonly number[]
  readonly sources: readonly ReadingSource[]
}

/** A row of a deck in a room. */
export interface RankedRow extends WeakestPair {
  readonly row: number
  /** Of `POINTS_PER_WORTH`, 0 to about 1. */
  readonly worth: number
  /** Why it is worth this, in words. */
  readonly reasons: readonly string[]
}

export const reflectanceOfRow = (rows: Float64Array<ArrayBuffer>, row: number): Reflectance =>
  rows.slice(row * BANDS, (row + 1) * BANDS)

/**
 * The best rows of a deck for a room, by worth: the weakest pair with what stays over all lights, and what the colour
 * gives. Exact: a row is left only when the most that it could still be worth is under the worst of the best so far.
 *
 * @param most how many rows
 * @param onProgress hears how much is done at most, 0 to 1
 * @returns best first
 * @throws RangeError without a light or a finish
 */
export function rankForRoom(
  deck: DeckRows,
  ranked: RankedRoom,
  most: number,
  onProgress: (done: number) => void = () => undefined,
): RankedRow[] {
  const room = prepareRoom(ranked)
  const asks = asksOf(room)
  const count = deck.places.length
  const byDay = emptyUndertones(count)
  flatUndertones(DAYLIGHT, deck.rows, byDay)
  const first = emptyUndertones(count)
  flatUndertones(room.lights[0]!.light, deck.rows, first)

  const own = new Float64Array(count)
  const lrvs = lrvsPercent(deck.rows)
  for (let row = 0; row < count; row++) {
    const place = { undertone: undertoneAt(byDay, row), lrvPercent: lrvs[row]! }
    for (const { points } of ownTerms(place, room, asks)) own[row]! += points
  }
  // The most promising first: the bar rises early, and once nothing can reach it any more the rest is left.
  const best = new Best<RankedRow>(most)
  for (const [i, row] of mostFirst(own).entries()) {
    if (i % ROWS_A_REPORT === 0) onProgress(i / count)
    if (mostWorth(own[row]! + 1 / PER_POINT) < best.bar) break
    const seen = undertoneAt(first, row)
    const shared = sharedLean(seen, room)
    const without = own[row]! + POINTS.shared * shared
    const reflectance = deck.rows.subarray(row * BANDS, (row + 1) * BANDS)
    const weakest = weakestPair(
      room,
      (light) => (light === 0 ? seen : undertoneOf(room.lights[light]!.light, reflectance)),
      deck.sources[row]!,
      weighedToReach(best.bar * POINTS_PER_WORTH - without),
    )
    if ((pairPoints(weakest.weighed) + without) / POINTS_PER_WORTH < best.bar) continue
    const place = { undertone: undertoneAt(byDay, row), lrvPercent: lrvs[row]! }
    const { worth, reasons } = worthOf(reflectance, place, weakest.weighed, shared, room, asks)
    best.add({ row, worth, reasons, ...weakest })
  }
  return best.items
}

const ROWS_A_REPORT = 256

// A key holds a value and its row: numbers sort several times as fast by themselves as by a comparing function.
const PER_POINT = 1e6
const MOST_ROWS = 2 ** 20

/** Rows from the most on; values that agree to a millionth stay in order. */
function mostFirst(values: Float64Array): Uint32Array {
  if (values.length > MOST_ROWS)
    throw new RangeError(`at most ${MOST_ROWS} rows are ranked, got ${values.length}`)
  const keys = values.map((value, row) => Math.round(-value * PER_POINT) * MOST_ROWS + row)
  keys.sort()
  return Uint32Array.from(keys, (key) => ((key % MOST_ROWS) + MOST_ROWS) % MOST_ROWS)
}

/** The least weighed chance whose points reach this many; the points rise no faster than the chance. */
const weighedToReach = (points: number): number => points / POINTS.pairs + 0.5

/** The best few of many, by worth; of equals the earlier row. */
class Best<Item extends { readonly worth: number; readonly row: number }> {
  /** Best first. */
  readonly items: Item[] = []

  constructor(private readonly most: number) {}

  /** Worth below which nothing is taken any more. */
  get bar(): number {
    return this.items.length < this.most ? -Infinity : (this.items.at(-1)?.worth ?? Infinity)
  }

  add(item: Item): void {
    let [from, to] = [0, this.items.length]
    while (from < to) {
      const middle = (from + to) >> 1
      const other = this.items[middle]!
      const isAfter =
        other.worth > item.worth || (other.worth === item.worth && other.row < item.row)
      if (isAfter) from = middle + 1
      else to = middle
    }
    this.items.splice(from, 0, item)
    if (this.items.length > this.most) this.items.pop()
  }
}

/** Judges single walls in a room, the same as a ranking does: each with its weakest pair over all that stays and all lights. */
export function chanceInRoom(
  ranked: RankedRoom,
): (reflectance: Reflectance, source: ReadingSource) => WeakestPair {
  const room = prepareRoom(ranked)
  return (reflectance, source) =>
    weakestPair(room, (light) => undertoneOf(room.lights[light]!.light, reflectance), source)
}
