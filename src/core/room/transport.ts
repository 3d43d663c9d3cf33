import { between } from '../check'
import { ROOM_BANDS } from './bands'
import type { Tiles } from './tiles'

/** How light goes on from tile to tile of a room, for one set of finishes: solved to the end, band by band. */
export interface Transport {
  readonly tiles: Tiles
  /** Mean reflectance of each tile in each band: tile by tile, 0 to 1. */
  readonly reflectance: Float64Array
  /** By band: what falls on tile i, back and forth until nothing is left, of each lux that first fell on tile j. */
  readonly onwards: readonly Float32Array[]
}

// A surface that sent back all of it would never come to an end.
const MOST_REFLECTED = 0.98

/**
 * Solves a room's interreflection: E = E₀ + F ρ E, so E = (I − F ρ)⁻¹ E₀, by Gauss and Jordan's elimination; radiosity's own
 * equation (Goral et al. 1984), with light on surfaces instead of from them.
 *
 * @param materials reflectance of each, 18 bands
 */
export function transportOf(tiles: Tiles, materials: readonly Float64Array[]): Transport {
  const { count } = tiles
  const reflectance = new Float64Array(count * ROOM_BANDS)
  tiles.tiles.forEach(({ shares }, i) => {
    for (const [material, share] of shares)
      for (let b = 0; b < ROOM_BANDS; b++)
        reflectance[i * ROOM_BANDS + b]! +=
          share * between(materials[material]![b]!, 0, 1, 'a reflectance')
  })
  for (let k = 0; k < reflectance.length; k++)
    reflectance[k] = Math.min(MOST_REFLECTED, reflectance[k]!)
  const work = new Float64Array(count * count)
  const onwards = Array.from({ length: ROOM_BANDS }, (_, b) => {
    for (let i = 0; i < count; i++)
      for (let j = 0; j < count; j++)
        work[i * count + j] =
          (i === j ? 1 : 0) - tiles.factors[i * count + j]! * reflectance[j * ROOM_BANDS + b]!
    invert(work, count)
    return new Float32Array(work)
  })
  return { tiles, reflectance, onwards }
}

const BLOCK = 4

/**
 * Inverts a matrix in place, four rows at a time: each is read once for four. Its diagonal outweighs its rows, so no row has
 * to be looked for.
 */
export function invert(m: Float64Array, count: number): void {
  const whole = count - (count % BLOCK)
  const inner = new Float64Array(BLOCK * BLOCK)
  const row = new Float64Array(BLOCK)
  for (let k = 0; k < whole; k += BLOCK) {
    for (let p = 0; p < BLOCK; p++)
      for (let q = 0; q < BLOCK; q++) {
        inner[p * BLOCK + q] = m[(k + p) * count + k + q]!
        m[(k + p) * count + k + q] = p === q ? 1 : 0
      }
    sweep(inner, BLOCK, 0, BLOCK)
    const [r0, r1, r2, r3] = [k * count, (k + 1) * count, (k + 2) * count, (k + 3) * count]
    for (let j = 0; j < count; j++) {
      const a = m[r0 + j]!
      const b = m[r1 + j]!
      const c = m[r2 + j]!
      const d = m[r3 + j]!
      for (let p = 0; p < BLOCK; p++)
        row[p] =
          inner[p * 4]! * a + inner[p * 4 + 1]! * b + inner[p * 4 + 2]! * c + inner[p * 4 + 3]! * d
      m[r0 + j] = row[0]!
      m[r1 + j] = row[1]!
      m[r2 + j] = row[2]!
      m[r3 + j] = row[3]!
    }
    for (let i = 0; i < count; i++) {
      if (i >= k && i < k + BLOCK) continue
      const at = i * count
      const f0 = m[at + k]!
      const f1 = m[at + k + 1]!
      const f2 = m[at + k + 2]!
      const f3 = m[at + k + 3]!
      m.fill(0, at + k, at + k + BLOCK)
      for (let j = 0; j < count; j++)
        m[at + j]! -= f0 * m[r0 + j]! + f1 * m[r1 + j]! + f2 * m[r2 + j]! + f3 * m[r3 + j]!
    }
  }
  sweep(m, count, whole, count)
}

/** Gauss and Jordan's steps for some rows of a matrix, one at a time, in place. */
function sweep(m: Float64Array, count: number, from: number, to: number): void {
  for (let k = from; k < to; k++) {
    const row = k * count
    const pivot = 1 / m[row + k]!
    m[row + k] = 1
    for (let j = 0; j < count; j++) m[row + j]! *= pivot
    for (let i = 0; i < count; i++) {
      if (i === k) continue
      const at = i * count
      const factor = m[at + k]!
      m[at + k] = 0
      for (let j = 0; j < count; j++) m[at + j]! -= factor * m[row + j]!
    }
  }
}

/**
 * What falls on every tile and what it sends back, once all that first fell on them has gone back and forth.
 *
 * @param first lux-like power on each tile in each band, tile by tile
 */
export function settled(
  { tiles: { count }, reflectance, onwards }: Transport,
  first: Float64Array,
): { readonly fallen: Float64Array; readonly sent: Float64Array } {
  const fallen = new Float64Array(count * ROOM_BANDS)
  const of = new Float64Array(count)
  for (let b = 0; b < ROOM_BANDS; b++) {
    const matrix = onwards[b]!
    for (let j = 0; j < count; j++) of[j] = first[j * ROOM_BANDS + b]!
    for (let i = 0; i < count; i++) {
      let sum = 0
      for (let j = 0, at = i * count; j < count; j++, at++) sum += matrix[at]! * of[j]!
      fallen[i * ROOM_BANDS + b] = sum
    }
  }
  return { fallen, sent: fallen.map((power, k) => power * reflectance[k]!) }
}
