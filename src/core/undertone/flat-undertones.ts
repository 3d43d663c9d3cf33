import { appearanceOfXyz, UCS_VIEWING, WHITE_CARD, type PreparedLight } from '../colour/appearance'
import { invert, multiply } from '../colour/cat16'
import {
  BLOCK,
  coneResponses,
  conesOf,
  correlate,
  flatViewing,
  foldedWeights,
  scratch,
  type FlatRows,
} from '../colour/flat-appearance'
import { xyzUnder } from '../colour/observer'
import {
  lookUp,
  octaveNodes,
  octaveTable,
  tableThrough,
  type OctaveTable,
} from '../colour/octave-table'
import type { Xyz } from '../colour/spectrum'
import { hueDegOf, type Undertone } from './undertone'

/** Undertones of many surfaces in one light, one number a surface and column. */
export interface FlatUndertones {
  readonly j: Float64Array
  readonly a: Float64Array
  readonly b: Float64Array
  readonly c: Float64Array
  /** Direction of the lean, a unit vector; towards a where there is none. */
  readonly u: Float64Array
  readonly v: Float64Array
}

/** One surface of many as an object. */
export const undertoneAt = ({ j, a, b, c }: FlatUndertones, row: number): Undertone => ({
  j: j[row]!,
  a: a[row]!,
  b: b[row]!,
  c: c[row]!,
  hueDeg: hueDegOf(a[row]!, b[row]!),
})

export const emptyUndertones = (count: number): FlatUndertones => ({
  j: new Float64Array(count),
  a: new Float64Array(count),
  b: new Float64Array(count),
  c: new Float64Array(count),
  u: new Float64Array(count),
  v: new Float64Array(count),
})

const UCS = flatViewing(UCS_VIEWING)
const { flRoot4 } = UCS_VIEWING
const colourfulnessOf = octaveTable(
  (chroma) => Math.log1p(0.0228 * chroma * flRoot4) / 0.0228,
  -14,
  8,
)

/**
 * The undertones of `undertoneOf` for many surfaces, without an object a surface: light, adaptation and
 * cone responses are folded into one set of 36 × 3 weights.
 *
 * @param rows reflectances, 36 numbers a surface, one surface after another
 * @param into as many places as there are surfaces
 */
export function flatUndertones(light: PreparedLight, rows: FlatRows, into: FlatUndertones): void {
  const { weights, greyA, greyB, luminance } = flatLight(light)
  const [yl, ym, ys] = luminance
  const { j, a, b, c, u, v } = into
  const { l, m, s, share, shadeA, shadeB } = scratch
  for (let first = 0; first < j.length; first += BLOCK) {
    const count = Math.min(BLOCK, j.length - first)
    coneResponses(rows, first, count, weights)
    for (let i = 0; i < count; i++) share[i] = yl * l[i]! + ym * m[i]! + ys * s[i]!
    lookUp(greyA, share, shadeA, count)
    lookUp(greyB, share, shadeB, count)
    appear(count)
    for (let i = 0, to = first; i < count; i++, to++) {
      const leanA = m[i]! - shadeA[i]!
      const leanB = s[i]! - shadeB[i]!
      const lean = Math.sqrt(leanA * leanA + leanB * leanB)
      const inverse = lean > 0 ? 1 / lean : 0
      j[to] = l[i]!
      a[to] = leanA
      b[to] = leanB
      c[to] = lean
      u[to] = lean > 0 ? leanA * inverse : 1
      v[to] = leanB * inverse
    }
  }
}

/** What of a light all surfaces share. */
interface FlatLight {
  readonly weights: Float64Array
  readonly greyA: OctaveTable
  readonly greyB: OctaveTable
  /** Luminance in the room's own light over the card's, of each cone response. */
  readonly luminance: Xyz
}

const lights = new WeakMap<PreparedLight, FlatLight>()

function flatLight(light: PreparedLight): FlatLight {
  const known = lights.get(light)
  if (known) return known
  const toCones = conesOf(light, UCS_VIEWING)
  const cardXyz = xyzUnder(light.weights, WHITE_CARD)
  const [greyA, greyB] = greyTables(light, cardXyz, multiply(toCones, cardXyz))
  const back = invert(toCones)
  const made: FlatLight = {
    weights: foldedWeights(light, toCones),
    greyA,
    greyB,
    luminance: [back[3]! / cardXyz[1], back[4]! / cardXyz[1], back[5]! / cardXyz[1]],
  }
  lights.set(light, made)
  return made
}

// The card at shares of its luminance, from off-black to twice itself; what is darker is computed.
const SHARE_BITS = 4
const SHARES = octaveNodes(-7, 1, SHARE_BITS)

/** The card darkened to any luminance has a slight lean of its own: a and b, tabled by the share. */
function greyTables(
  light: PreparedLight,
  cardXyz: Xyz,
  card: Xyz,
): readonly [OctaveTable, OctaveTable] {
  const valuesA = new Float64Array(SHARES.length)
  const valuesB = new Float64Array(SHARES.length)
  const { l, m, s } = scratch
  for (let first = 0; first < SHARES.length; first += BLOCK) {
    const count = Math.min(BLOCK, SHARES.length - first)
    for (let i = 0; i < count; i++) {
      const share = SHARES[first + i]!
      l[i] = card[0] * share
      m[i] = card[1] * share
      s[i] = card[2] * share
    }
    appear(count)
    valuesA.set(m.subarray(0, count), first)
    valuesB.set(s.subarray(0, count), first)
  }
  const exact =
    (axis: 1 | 2) =>
    (share: number): number =>
      appearanceOfXyz(light, [cardXyz[0] * share, cardXyz[1] * share, cardXyz[2] * share]).ucs[axis]
  return [
    tableThrough(SHARES, valuesA, SHARE_BITS, exact(1)),
    tableThrough(SHARES, valuesB, SHARE_BITS, exact(2)),
  ]
}

/** CAM16-UCS of the block's gained cone responses, in place: J′ for L, a′ for M, b′ for S. */
function appear(count: number): void {
  const { l, m, s, lightness, chroma } = scratch
  correlate(UCS, count)
  lookUp(colourfulnessOf, chroma, chroma, count)
  for (let i = 0; i < count; i++) {
    l[i] = (170 * lightness[i]!) / (1 + 0.7 * lightness[i]!)
    m[i]! *= chroma[i]!
    s[i]! *= chroma[i]!
  }
}
