/** The smooth shapes that every term of a judgement is made of; tabled, for a ranking asks for millions of them. */

/** From 0 well below `middle` to 1 well above it: the logistic step; `width` for each factor of e. */
export const step = (x: number, middle: number, width: number): number =>
  1 / (1 + Math.exp((middle - x) / width))

/** 1 at nothing, falling on both sides: exp(−(x / width)²). */
export const hump = (x: number, width: number): number => Math.exp(-((x / width) ** 2))

/** max(0, x) with its corner rounded. */
export const atLeastNone = (x: number, corner: number): number =>
  (x + Math.sqrt(x * x + corner * corner)) / 2

/**
 * Several shapes of one number, read together: a row a cell, their values and then how far each rises to the next row. Linear in
 * between, and as at its ends beyond them.
 */
export interface Tabled {
  readonly rows: Float64Array
  readonly from: number
  readonly perUnit: number
  readonly cells: number
}

/** Numbers a row, and where its rises begin. */
export const WIDTH = 8
export const RISES = 4

/**
 * @param perUnit cells a unit; twice as fine leaves a quarter of the error
 * @param shapes of the number at hand, at most four
 */
export function tabled(
  from: number,
  to: number,
  perUnit: number,
  shapes: readonly ((x: number) => number)[],
): Tabled {
  const cells = Math.round((to - from) * perUnit)
  const rows = new Float64Array(cells * WIDTH)
  for (let cell = 0; cell < cells; cell++)
    shapes.forEach((shape, k) => {
      const value = shape(from + cell / perUnit)
      rows[cell * WIDTH + k] = value
      rows[cell * WIDTH + RISES + k] = shape(from + (cell + 1) / perUnit) - value
    })
  return { rows, from, perUnit, cells }
}

/** Where a number lies in a table: its cell, and after the point how far into it. */
export const placeIn = ({ from, perUnit, cells }: Tabled, x: number): number => {
  const place = (x - from) * perUnit
  return place > 0 ? (place < cells ? place : cells - 1e-9) : 0
}

/** A shape at a place: `at` its row with the shape’s own column, `part` how far into the cell. Small enough to cost no call. */
export const shapeAt = (rows: Float64Array, at: number, part: number): number =>
  rows[at]! + part * rows[at + RISES]!
