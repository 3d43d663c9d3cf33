// A power costs over a tenth of a microsecond; a look-up in a table of parabolas a hundredth.

const MANTISSA_BITS = 8
const CELLS_PER_OCTAVE = 1 << MANTISSA_BITS
const SHIFT = 20 - MANTISSA_BITS

const bits = new Float64Array(1)
const words = new Uint32Array(bits.buffer)
// The word that holds sign, exponent and upper mantissa: the second on little-endian machines.
bits[0] = 1
const HIGH = words[1] === 0x3ff00000 ? 1 : 0

/**
 * A smooth function of a positive number, tabled in cells that grow with the number: 256 an octave, a
 * parabola through three points in each. For x^p the relative error stays under 1e-8.
 */
export interface OctaveTable {
  readonly base: number
  readonly cells: number
  /** Start of the cell, then the parabola's three coefficients in x less that start. */
  readonly coefficients: Float64Array
  readonly exact: (x: number) => number
}

/** Tables f from 2^fromExponent to 2^toExponent; outside, `at` computes it exactly. */
export function octaveTable(
  f: (x: number) => number,
  fromExponent: number,
  toExponent: number,
): OctaveTable {
  const cells = (toExponent - fromExponent) * CELLS_PER_OCTAVE
  const coefficients = new Float64Array(cells * 4)
  for (let cell = 0; cell < cells; cell++) {
    const octave = 2 ** (fromExponent + Math.floor(cell / CELLS_PER_OCTAVE))
    const width = octave / CELLS_PER_OCTAVE
    const start = octave + width * (cell % CELLS_PER_OCTAVE)
    const [left, middle, right] = [f(start), f(start + width / 2), f(start + width)]
    const curve = 2 * (left - 2 * middle + right)
    coefficients.set(
      [start, left, (right - left - curve) / width, curve / (width * width)],
      cell * 4,
    )
  }
  bits[0] = 2 ** fromExponent
  return { base: words[HIGH]! >>> SHIFT, cells, coefficients, exact: f }
}

/** The tabled function at x. */
export function at(table: OctaveTable, x: number): number {
  bits[0] = x
  const cell = (words[HIGH]! >>> SHIFT) - table.base
  if (cell < 0 || cell >= table.cells) return table.exact(x)
  const c = table.coefficients
  const i = cell * 4
  const t = x - c[i]!
  return c[i + 1]! + t * (c[i + 2]! + t * c[i + 3]!)
}
