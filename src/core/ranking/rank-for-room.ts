import { inDullLight, pointsAgainst } from '../advice/room-advice'
import type { FlatRows } from '../colour/flat-appearance'
import { BANDS, type Reflectance } from '../colour/spectrum'
import { isGood } from '../pairing/chance'
import { lrvPercent } from '../paint/lrv'
import type { ReadingSource } from '../paint/reading'
import { DAYLIGHT } from '../undertone/daylight'
import { emptyUndertones, flatUndertones, type FlatUndertones } from '../undertone/flat-undertones'
import { undertoneOf, type Undertone } from '../undertone/undertone'
import { Best, mostFirst, ORDER_PER_POINT } from './best-rows'
import { prepareDeck, reflectanceOfRow, type DeckRows, type PreparedDeck } from './deck-rows'
import {
  forget,
  holdTo,
  MOST_PAIR_POINTS,
  nothingKnown,
  prepareRoom,
  weakestOf,
  weightiestLight,
  type PreparedRoom,
  type RankedRoom,
  type WallSoFar,
  type WeakestPair,
} from './ranked-room'
import {
  asksOf,
  ownPoints,
  pairPoints,
  POINTS_PER_WORTH,
  saidOfColour,
  worthOf,
  type RoomAsks,
} from './worth'

/** A row of a deck in a room. */
export interface RankedRow extends WeakestPair {
  readonly row: number
  /** Of `POINTS_PER_WORTH`, 0 to about 1. */
  readonly worth: number
  /** What it gives and what speaks against it, in words. */
  readonly gives: readonly string[]
  readonly against: readonly string[]
}

/** Every row of a deck in a room. */
export interface WholeRanking {
  /** Rows, best first. */
  readonly order: Uint32Array
  /** By row; of those far below the best that do not work: at most this. */
  readonly worths: Float64Array
  /** By row, 1 or 0: whether its weakest pair, weighed by what matters, counts as working. */
  readonly works: Uint8Array
}

/** What a ranking has to say on its way. */
export type RankStep =
  { readonly done: number } | { readonly first: readonly RankedRow[] } | WholeRanking

/**
 * Ranks a deck for a room by worth: its pairs with all that stays, each the least over the lights and by how much of it
 * one sees, and what the colour gives. First the best, exactly: a row is left only when the most that it could still be worth
 * is under the worst of the best so far, and each light bounds its pairs. Then every row. Between steps a caller may leave.
 *
 * @param most how many rows are wanted first
 * @param isOut rows that are not among the first, however good
 * @throws RangeError without a light or a finish
 */
export function* rankDeck(
  deck: PreparedDeck,
  ranked: RankedRoom,
  most: number,
  isOut: (row: number) => boolean = () => false,
): Generator<RankStep, void> {
  const ranker = new Ranker(deck, ranked)
  yield* ranker.best(most, isOut)
  yield* ranker.rest()
}

/** The best rows of a deck for a room, best first; see {@link rankDeck}. */
export function rankForRoom(deck: DeckRows, ranked: RankedRoom, most: number): RankedRow[] {
  for (const step of new Ranker(prepareDeck(deck), ranked).best(most, () => false))
    if ('first' in step) return [...step.first]
  return []
}

// Rows that are looked at together: few where each may raise the bar for the next, many where none does.
const FEW = 64
const MANY = 512
// So far below the last of the best, in points of ten, nobody asks in every light how badly a wall fails: it is ranked by the lights
// in which it was seen to.
const FAR_BELOW = 2
// Weaker than this a pair is not good, however its readings were made.
const NOT_GOOD = 0.55

class Ranker {
  private readonly room: PreparedRoom
  /** Lights as they are asked, the one that bounds first. */
  private readonly lights: readonly number[]
  private readonly asks: RoomAsks
  private readonly own: Float64Array
  private readonly worths: Float64Array
  private readonly isKnown: Uint8Array
  /** Worth of the last of the best. */
  private bar = -Infinity
  /** Of the rows at hand, used anew. */
  private readonly known: readonly WallSoFar[]
  private readonly pairs = new Float64Array(MANY)
  /** By row: the weakest pair, and where the wall lies in its light. */
  private readonly weakest: {
    readonly finish: Uint16Array
    readonly light: Uint16Array
    readonly seen: Float64Array
    readonly weakness: Float64Array
  }

  constructor(
    private readonly deck: PreparedDeck,
    ranked: RankedRoom,
  ) {
    this.room = prepareRoom(ranked)
    const first = weightiestLight(this.room)
    this.lights = [first, ...ranked.lights.map((_, light) => light).filter((l) => l !== first)]
    this.asks = asksOf(this.room)
    const count = deck.places.length
    this.own = new Float64Array(count)
    for (let row = 0; row < count; row++)
      this.own[row] = ownPoints(this.deck.own[row]!, this.room, this.asks)
    this.worths = new Float64Array(count)
    this.isKnown = new Uint8Array(count)
    this.known = Array.from({ length: MANY }, () => nothingKnown(this.room))
    this.weakest = {
      finish: new Uint16Array(count),
      light: new Uint16Array(count),
      seen: new Float64Array(3 * count),
      weakness: new Float64Array(count),
    }
  }

  /** The most promising first: the bar rises early, and once nothing can reach it any more the rest is left. */
  *best(most: number, isOut: (row: number) => boolean): Generator<RankStep, void> {
    const best = new Best(most)
    const byOwn = mostFirst(this.own)
    for (let from = 0; from < byOwn.length;) {
      const atMost = this.own[byOwn[from]!]! + 1 / ORDER_PER_POINT + MOST_PAIR_POINTS
      if (atMost / POINTS_PER_WORTH < best.bar) break
      const rows = byOwn.subarray(from, from + FEW)
      from += rows.length
      this.work(rows, best.bar)
      for (const row of rows) if (this.isKnown[row] && !isOut(row)) best.add(row, this.worths[row]!)
      yield { done: from / byOwn.length }
    }
    this.bar = best.bar
    yield { first: best.rows.map((row) => this.ranked(row)) }
  }

  /** What the best left, and all of it in order. */
  *rest(): Generator<RankStep, void> {
    const count = this.worths.length
    const rows = new Uint32Array(MANY)
    for (let from = 0; from < count;) {
      let some = 0
      for (; from < count && some < MANY; from++) if (!this.isKnown[from]) rows[some++] = from
      this.work(rows.subarray(0, some), -Infinity, this.bar - FAR_BELOW / POINTS_PER_WORTH)
      yield { done: from / count }
    }
    const works = new Uint8Array(count)
    for (let row = 0; row < count; row++) {
      works[row] = this.isWorking(row) ? 1 : 0
      if (row % (8 * MANY) === 0) yield { done: 1 }
    }
    yield { order: mostFirst(this.worths), worths: this.worths, works }
  }

  private ranked(row: number): RankedRow {
    const { deck, room, asks } = this
    const { gives, against } = saidOfColour(
      reflectanceOfRow(deck.rows, row),
      deck.own[row]!,
      room,
      asks,
    )
    return { row, ...this.weakestIn(row), worth: this.worths[row]!, gives, against }
  }

  private isWorking(row: number): boolean {
    return this.weakest.weakness[row]! < NOT_GOOD && isGood(this.weakestIn(row).weighed)
  }

  private weakestIn(row: number): WeakestPair {
    const { finish, light, seen } = this.weakest
    at.j = seen[3 * row]!
    at.a = seen[3 * row + 1]!
    at.b = seen[3 * row + 2]!
    const pair = { finish: finish[row]!, light: light[row]! }
    return weakestOf(this.room, pair, at, this.deck.sources[row]!)
  }

  /**
   * Works out the worth of rows.
   *
   * @param bar those that surely lie below it are left, between one pair and the next
   * @param enough those below it that do not work are held up in no further light
   */
  private work(rows: Uint32Array, bar: number, enough = -Infinity): void {
    const { room, known, pairs } = this
    const pointsFor = (row: number, worth: number): number =>
      worth * POINTS_PER_WORTH - this.own[row]! - 1 / ORDER_PER_POINT
    for (let i = 0; i < rows.length; i++) {
      const so = known[i]!
      forget(so)
      if (bar > -Infinity) so.enough = pointsFor(rows[i]!, bar)
    }
    let left = Uint32Array.from(rows, (_, i) => i)
    const settled: number[] = []
    for (const [turn, light] of this.lights.entries()) {
      const seen = this.seen(this.gathered(rows, left), light)
      const isLast = turn === this.lights.length - 1
      let stay = 0
      for (let place = 0; place < left.length; place++) {
        const i = left[place]!
        const row = rows[i]!
        const so = known[i]!
        const { weakness } = so
        holdTo(room, light, placeIn(seen, place), so)
        // What is least over more lights is no more: each pair bounds the worth from above.
        if (so.points < so.enough) continue
        if (so.weakness > weakness) this.keepWeakest(row, so)
        if (isLast || (so.weakness > NOT_GOOD && so.points < pointsFor(row, enough))) {
          pairs[i] = pairPoints(so.scores, room)
          settled.push(i)
        } else left[stay++] = i
      }
      left = left.subarray(0, stay)
    }
    const dull = inDullLight(room.character, this.gathered(rows, settled))
    settled.forEach((i, place) => {
      const row = rows[i]!
      const against = pointsAgainst(this.deck.own[row]!, dull[place]!, room.character, room.rules)
      this.worths[row] = (pairs[i]! + this.own[row]! - against) / POINTS_PER_WORTH
      this.isKnown[row] = 1
    })
  }

  /** The wall at hand, in the light at hand. */
  private keepWeakest(row: number, { finish, light, weakness }: WallSoFar): void {
    this.weakest.weakness[row] = weakness
    this.weakest.finish[row] = finish
    this.weakest.light[row] = light
    this.weakest.seen[3 * row] = at.j
    this.weakest.seen[3 * row + 1] = at.a
    this.weakest.seen[3 * row + 2] = at.b
  }

  private gathered(rows: Uint32Array, some: ArrayLike<number>): FlatRows {
    const from = this.deck.rows
    const into =
      from instanceof Float32Array
        ? new Float32Array(some.length * BANDS)
        : new Float64Array(some.length * BANDS)
    // Number by number: a view of each row costs several times as much as its numbers.
    for (let i = 0; i < some.length; i++) {
      const [at, to] = [rows[some[i]!]! * BANDS, i * BANDS]
      for (let band = 0; band < BANDS; band++) into[to + band] = from[at + band]!
    }
    return into
  }

  private seen(rows: FlatRows, light: number): FlatUndertones {
    const seen = emptyUndertones(rows.length / BANDS)
    flatUndertones(this.room.lights[light]!.light, rows, seen)
    return seen
  }
}

// Used anew for every wall and light.
const at = { j: 0.5, a: 0.5, b: 0.5 }

function placeIn({ j, a, b }: FlatUndertones, i: number): typeof at {
  at.j = j[i]!
  at.a = a[i]!
  at.b = b[i]!
  return at
}

/** A wall held to all that stays, in every light. */
function heldToAll(room: PreparedRoom, reflectance: Reflectance): WallSoFar & { seen: Undertone } {
  const so = nothingKnown(room)
  let weakest: Undertone | null = null
  room.lights.forEach(({ light }, l) => {
    const seen = undertoneOf(light, reflectance)
    const { weakness } = so
    holdTo(room, l, seen, so)
    if (so.weakness > weakness) weakest = seen
  })
  return { ...so, seen: weakest! }
}

/** Judges single walls in a room, the same as a ranking does: each with its weakest pair over all that stays and all lights. */
export function chanceInRoom(
  ranked: RankedRoom,
): (reflectance: Reflectance, source: ReadingSource) => WeakestPair {
  const room = prepareRoom(ranked)
  return (reflectance, source) => {
    const so = heldToAll(room, reflectance)
    return weakestOf(room, so, so.seen, source)
  }
}

/** The same with its worth and why. */
export function judgeInRoom(
  ranked: RankedRoom,
): (reflectance: Reflectance, source: ReadingSource) => Omit<RankedRow, 'row'> {
  const room = prepareRoom(ranked)
  const asks = asksOf(room)
  return (reflectance, source) => {
    const so = heldToAll(room, reflectance)
    const place = {
      undertone: undertoneOf(DAYLIGHT, reflectance),
      lrvPercent: lrvPercent(reflectance),
    }
    const { worth, gives, against } = worthOf(reflectance, place, so.scores, room, asks)
    return { ...weakestOf(room, so, so.seen, source), worth, gives, against }
  }
}
