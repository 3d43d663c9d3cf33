// A power costs over a tenth of a microsecond; a look-up in a table of cubics a hundredth.

// Cells an octave, as a power of two: 32 keep a power within 1e-9, 16 within 1e-8.
const FINE_BITS = 5
const HIGH_WORD_BITS = 20

const bits = new Float64Array(1)
const words = new Uint32Array(bits.buffer)
// The word that holds sign, exponent and upper mantissa: the second on little-endian machines.
bits[0] = 1
const HIGH = words[1] === 0x3ff00000 ? 1 : 0

/**
 * A smooth function of a positive number, tabled in cells that grow with the number: a cubic through four points
 * in each.
 */
export interface OctaveTable {
  readonly shift: number
  readonly base: number
  readonly cells: number
  /** Start of the cell, then the cubic's four coefficients in x less that start. */
  readonly coefficients: Float64Array
  /** What stands in outside the table. */
  readonly exact: (x: number) => number
}

/** Where a table from 2^fromExponent to 2^toExponent needs its function: four places a cell. */
export function octaveNodes(
  fromExponent: number,
  toExponent: number,
  cellBits: number,
): Float64Array {
  const cellsPerOctave = 1 << cellBits
  const nodes = new Float64Array((toExponent - fromExponent) * cellsPerOctave * 4)
  for (let i = 0; i < nodes.length; i++) {
    const cell = i >> 2
    const octave = 2 ** (fromExponent + Math.floor(cell / cellsPerOctave))
    const within = (cell % cellsPerOctave) + (i & 3) / 3
    nodes[i] = octave * (1 + within / cellsPerOctave)
  }
  return nodes
}

/** The table of a function whose values at the nodes are known. */
export function tableThrough(
  nodes: Float64Array,
  values: Float64Array,
  cellBits: number,
  exact: (x: number) => number,
): OctaveTable {
  const cells = nodes.length / 4
  const coefficients = new Float64Array(cells * 5)
  for (let cell = 0; cell < cells; cell++) {
    const i = cell * 4
    const start = nodes[i]!
    const width = nodes[i + 3]! - start
    const [p, q, r, s] = [values[i]!, values[i + 1]!, values[i + 2]!, values[i + 3]!]
    // The cubic through thirds of the cell, written out in powers.
    const k = cell * 5
    coefficients[k] = start
    coefficients[k + 1] = p
    coefficients[k + 2] = (-5.5 * p + 9 * q - 4.5 * r + s) / width
    coefficients[k + 3] = (9 * p - 22.5 * q + 18 * r - 4.5 * s) / width ** 2
    coefficients[k + 4] = (-4.5 * p + 13.5 * q - 13.5 * r + 4.5 * s) / width ** 3
  }
  const shift = HIGH_WORD_BITS - cellBits
  bits[0] = nodes[0]!
  return { shift, base: words[HIGH]! >>> shift, cells, coefficients, exact }
}

/** Tables f from 2^fromExponent to 2^toExponent, a power within 1e-9; outside it is computed exactly. */
export function octaveTable(
  f: (x: number) => number,
  fromExponent: number,
  toExponent: number,
): OctaveTable {
  const nodes = octaveNodes(fromExponent, toExponent, FINE_BITS)
  return tableThrough(nodes, nodes.map(f), FINE_BITS, f)
}

/**
 * The tabled function, continued as an odd one below zero, of the first `count` numbers. Whole arrays at a time: a
 * call a number would hand out a boxed result for each.
 */
export function lookUp(
  table: OctaveTable,
  xs: Float64Array,
  into: Float64Array,
  count: number,
): void {
  const { shift, base, cells, coefficients: c } = table
  for (let n = 0; n < count; n++) {
    const x = xs[n]!
    const size = Math.abs(x)
    bits[0] = size
    const cell = (words[HIGH]! >>> shift) - base
    let value: number
    if (cell < 0 || cell >= cells) value = table.exact(size)
    else {
      const i = cell * 5
      const t = size - c[i]!
      value = c[i + 1]! + t * (c[i + 2]! + t * (c[i + 3]! + t * c[i + 4]!))
    }
    into[n] = x < 0 ? -value : value
  }
}
