import type { PreparedLight } from '../colour/appearance'
import { BANDS, type Reflectance } from '../colour/spectrum'
import { emptyGrades, gradePairs, type Grades } from '../pairing/flat-pairing'
import { emptyUndertones, flatUndertones } from '../undertone/flat-undertones'

/** A light moment of the room and how much of its use falls into it. */
export interface WeightedLight {
  readonly light: PreparedLight
  readonly weight: number
}

/** One colour of a keeper that counts, and how much: its share, the keeper's area and how dear it is to change. */
export interface WeightedFinish {
  readonly reflectance: Reflectance
  readonly weight: number
  /** Whether a wall may set it off by an opposite; see `mayBeSetOff`. */
  readonly mayBeSetOff: boolean
}

/** How every candidate fits a room; the arrays run along the rows that were handed in. */
export interface RoomFit extends Grades {
  /** The weighted mean over all pairs. */
  readonly mean: Float64Array
  /** Rows from the best fit to the worst. */
  readonly order: Uint32Array
}

/**
 * Fits many surfaces to a room: each with each finish in each light, by the pairing table, the worst
 * that matters first.
 *
 * Flat arrays and one pass a light; 960,000 pairs take well under a tenth of a second.
 *
 * @param rows reflectances, 36 numbers a candidate-at-strength
 * @throws RangeError without a light or a finish
 */
export function fitToRoom(
  rows: Float64Array,
  lights: readonly WeightedLight[],
  finishes: readonly WeightedFinish[],
): RoomFit {
  if (lights.length === 0) throw new RangeError('a room is fitted in at least one light, got none')
  if (finishes.length === 0)
    throw new RangeError('a room is fitted against at least one finish, got none')
  const count = rows.length / BANDS
  const grades = emptyGrades(count)
  const walls = emptyUndertones(count)
  const finishRows = new Float64Array(finishes.length * BANDS)
  finishes.forEach(({ reflectance }, i) => finishRows.set(reflectance, i * BANDS))
  const stays = emptyUndertones(finishes.length)
  const total =
    finishes.reduce((sum, { weight }) => sum + weight, 0) *
    lights.reduce((sum, { weight }) => sum + weight, 0)
  const setOff = finishes.map(({ mayBeSetOff }) => mayBeSetOff)
  lights.forEach(({ light, weight }, l) => {
    flatUndertones(light, rows, walls)
    flatUndertones(light, finishRows, stays)
    const weights = Float64Array.from(finishes, (finish) => (weight * finish.weight) / total)
    gradePairs(walls, stays, weights, setOff, l, grades)
  })
  return { ...grades, order: bestFirst(grades) }
}

// Grades that agree to a millionth are one grade; a key holds one and its row.
const PER_GRADE = 1e6
const MOST_ROWS = 2 ** 20

/**
 * Rows from the best to the worst: by the worst pair, then by the mean, then by row.
 *
 * @param against what else speaks against each row, on the scale of `worst`
 * @throws RangeError for more than a million rows
 */
export function bestFirst(
  { worst, mean }: Pick<Grades, 'worst' | 'mean'>,
  against?: Float64Array,
): Uint32Array {
  const count = worst.length
  if (count > MOST_ROWS) throw new RangeError(`at most ${MOST_ROWS} rows are ranked, got ${count}`)
  // Numbers sort several times as fast by themselves as by a comparing function.
  const keys = new Float64Array(count)
  for (let i = 0; i < count; i++)
    keys[i] = Math.round((worst[i]! + (against?.[i] ?? 0)) * PER_GRADE) * MOST_ROWS + i
  keys.sort()
  const order = new Uint32Array(count)
  for (let place = 0; place < count; place++) order[place] = keys[place]! % MOST_ROWS
  const gradeAt = (place: number): number => Math.floor(keys[place]! / MOST_ROWS)
  for (let from = 0, to = 1; from < count; from = to++) {
    while (to < count && gradeAt(to) === gradeAt(from)) to++
    if (to - from > 1) order.subarray(from, to).sort((p, q) => mean[p]! - mean[q]! || p - q)
  }
  return order
}
