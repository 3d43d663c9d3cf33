/** Values are told apart by so much of a point. */
export const ORDER_PER_POINT = 1e6
// A key holds a value and its row: numbers sort several times as fast by themselves as by a comparing function.
const MOST_ROWS = 2 ** 20

/**
 * Rows from the most on; values that agree to a millionth stay in order.
 *
 * @throws RangeError of more rows than a key can hold
 */
export function mostFirst(values: Float64Array): Uint32Array {
  if (values.length > MOST_ROWS)
    throw new RangeError(`at most ${MOST_ROWS} rows are ranked, got ${values.length}`)
  const keys = new Float64Array(values.length)
  for (let row = 0; row < keys.length; row++)
    keys[row] = Math.round(-values[row]! * ORDER_PER_POINT) * MOST_ROWS + row
  keys.sort()
  const rows = new Uint32Array(keys.length)
  for (let i = 0; i < keys.length; i++) rows[i] = ((keys[i]! % MOST_ROWS) + MOST_ROWS) % MOST_ROWS
  return rows
}

/** The best few of many, by worth; of equals the earlier row. */
export class Best {
  /** Best first. */
  readonly rows: number[] = []
  private readonly worths: number[] = []

  constructor(private readonly most: number) {}

  /** Worth below which nothing is taken any more. */
  get bar(): number {
    return this.rows.length < this.most ? -Infinity : (this.worths.at(-1) ?? Infinity)
  }

  add(row: number, worth: number): void {
    let [from, to] = [0, this.rows.length]
    while (from < to) {
      const middle = (from + to) >> 1
      const other = this.worths[middle]!
      if (other > worth || (other === worth && this.rows[middle]! < row)) from = middle + 1
      else to = middle
    }
    this.rows.splice(from, 0, row)
    this.worths.splice(from, 0, worth)
    if (this.rows.length > this.most) {
      this.rows.pop()
      this.worths.pop()
    }
  }
}
