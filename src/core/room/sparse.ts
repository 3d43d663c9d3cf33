/** Rows of which most entries are nothing: each row's places and values lie from `starts[row]` to `starts[row + 1]`. */
export interface SparseRows {
  readonly starts: Int32Array
  readonly places: Uint16Array
  readonly values: Float32Array
}

/** Rows as they are filled: value by place. */
export type Row = Map<number, number>

export const addTo = (row: Row, place: number, value: number): void =>
  void row.set(place, (row.get(place) ?? 0) + value)

export function sparseOf(rows: readonly Row[]): SparseRows {
  const size = rows.reduce((sum, row) => sum + row.size, 0)
  const starts = new Int32Array(rows.length + 1)
  const places = new Uint16Array(size)
  const values = new Float32Array(size)
  let at = 0
  rows.forEach((row, r) => {
    for (const [place, value] of row) {
      places[at] = place
      values[at] = value
      at += 1
    }
    starts[r + 1] = at
  })
  return { starts, places, values }
}

/** The mean of groups of rows, so many at a time. */
export function meanRows(rows: readonly Row[], counts: readonly number[]): Row[] {
  let from = 0
  return counts.map((count) => {
    const mean: Row = new Map()
    for (const row of rows.slice(from, from + count))
      for (const [place, value] of row) addTo(mean, place, value / count)
    from += count
    return mean
  })
}

/** Adds the columns' three numbers each, as much as a row has of them, to three numbers. */
export function addThree(
  { starts, places, values }: SparseRows,
  row: number,
  columns: ArrayLike<number>,
  to: Float64Array,
): void {
  let x = 0
  let y = 0
  let z = 0
  for (let k = starts[row]!; k < starts[row + 1]!; k++) {
    const share = values[k]!
    const at = places[k]! * 3
    x += share * columns[at]!
    y += share * columns[at + 1]!
    z += share * columns[at + 2]!
  }
  to[0]! += x
  to[1]! += y
  to[2]! += z
}
