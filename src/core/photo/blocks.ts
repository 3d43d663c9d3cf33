import { oklab, type Oklab } from '../colour/oklab'
import type { LinearRgb } from '../colour/srgb'
import { finiteAll } from '../check'
import { checkedPhoto, isWithin, LINEAR, luminance, type PhotoBytes, type Square } from './pixels'

/** What of a photo colours can be found in: small blocks that show one thing each. */
export interface UsableBlocks {
  /** Mean linear sRGB of each block, three numbers. */
  readonly pixels: Float32Array<ArrayBuffer>
  /** How far the means of blocks of one thing lie apart by grain alone, Oklab. */
  readonly grain: number
  /** Share of the photo that is clipped and left out, per cent. */
  readonly clippedPercent: number
  /** Share of the photo that is brighter than the card, per cent; 0 without a card. */
  readonly brighterPercent: number
}

// A channel this near to the end of its range has lost what it saw.
const CLIPPED_BYTE = 253
// Paper may shine, and cameras round: brighter than the card means by more than this.
const BRIGHTER = 1.12
// Enough blocks to find flecks, and so few that grain goes.
const MOST_BLOCKS = 40_000
const LEAST_BLOCK_PX = 2
const MOST_BLOCK_PX = 16
const GRAIN_WANTED = 0.006

/**
 * The blocks of a photo that show one thing each: not the card, not what is clipped, not the edges between two things.
 * Blocks grow until grain no longer parts what is one colour.
 *
 * @param card squares on the card's patches, and the mean of its white; null without a card
 */
export function usableBlocks(
  photo: PhotoBytes,
  card: { readonly squares: readonly Square[]; readonly mean: LinearRgb } | null,
): UsableBlocks {
  const { width, height } = checkedPhoto(photo)
  if (card) {
    finiteAll(card.mean, 'the mean of the card')
    for (const { x, y, halfPx } of card.squares) finiteAll([x, y, halfPx], 'a square on the card')
  }
  const start = Math.round(Math.sqrt((width * height) / MOST_BLOCKS))
  let sizePx = Math.min(MOST_BLOCK_PX, Math.max(LEAST_BLOCK_PX, start))
  let grid = gridOf(photo, sizePx)
  while (
    grid.grain > GRAIN_WANTED &&
    sizePx * 2 <= MOST_BLOCK_PX &&
    sizePx * 20 < Math.min(width, height)
  ) {
    sizePx *= 2
    grid = gridOf(photo, sizePx)
  }
  const onCard = card ? cardBlocks(grid, card.squares) : null
  const pixels = new Float32Array(grid.count * 3)
  let kept = 0
  for (let i = 0; i < grid.count; i++) {
    if (grid.clipped[i] || grid.mixed[i] || onCard?.[i]) continue
    pixels.set(grid.linear.subarray(i * 3, i * 3 + 3), kept)
    kept += 3
  }
  return {
    pixels: pixels.slice(0, kept),
    grain: grid.grain,
    ...lostOf(photo, card),
  }
}

interface Grid {
  readonly sizePx: number
  readonly columns: number
  readonly count: number
  readonly linear: Float32Array
  readonly lab: readonly Oklab[]
  readonly clipped: Uint8Array
  /** It shows more than one thing. */
  readonly mixed: Uint8Array
  readonly grain: number
}

/** A block's quarters lie this many times as far apart as they usually do, or it shows an edge. */
const EDGE_TIMES = 3
const EDGE_LEAST = 0.012

function gridOf({ bytes, width, height }: PhotoBytes, sizePx: number): Grid {
  const columns = Math.max(1, Math.floor(width / sizePx))
  const rows = Math.max(1, Math.floor(height / sizePx))
  const count = columns * rows
  const linear = new Float32Array(count * 3)
  const clipped = new Uint8Array(count)
  const apart = new Float32Array(count)
  const lab: Oklab[] = []
  const half = Math.max(1, sizePx >> 1)
  const wide = Math.min(sizePx, width)
  const high = Math.min(sizePx, height)
  const table = LINEAR
  const quarters = new Float64Array(16)
  for (let i = 0; i < count; i++) {
    quarters.fill(0)
    const [left, top] = [(i % columns) * sizePx, Math.floor(i / columns) * sizePx]
    for (let dy = 0; dy < high; dy++)
      for (let dx = 0; dx < wide; dx++) {
        const at = ((top + dy) * width + left + dx) * 4
        const [r, g, b] = [bytes[at]!, bytes[at + 1]!, bytes[at + 2]!]
        if (r >= CLIPPED_BYTE || g >= CLIPPED_BYTE || b >= CLIPPED_BYTE) clipped[i] = 1
        const quarter = ((dx >= half ? 1 : 0) + (dy >= half ? 2 : 0)) * 4
        quarters[quarter]! += table[r]!
        quarters[quarter + 1]! += table[g]!
        quarters[quarter + 2]! += table[b]!
        quarters[quarter + 3]!++
      }
    const parts: Oklab[] = []
    let [r, g, b, n] = [0, 0, 0, 0]
    for (let at = 0; at < 16; at += 4) {
      const own = quarters[at + 3]!
      if (own === 0) continue
      parts.push(oklab([quarters[at]! / own, quarters[at + 1]! / own, quarters[at + 2]! / own]))
      r += quarters[at]!
      g += quarters[at + 1]!
      b += quarters[at + 2]!
      n += own
    }
    linear.set([r / n, g / n, b / n], i * 3)
    lab.push(oklab([r / n, g / n, b / n]))
    for (const p of parts) for (const q of parts) apart[i] = Math.max(apart[i]!, distance(p, q))
  }
  const usual = median(apart)
  const limit = Math.max(EDGE_LEAST, EDGE_TIMES * usual)
  // The greatest of the six distances between four quarters is about 2.6 times as far as two means of wholes.
  return {
    sizePx,
    columns,
    count,
    linear,
    lab,
    clipped,
    mixed: Uint8Array.from(apart, (value) => (value > limit ? 1 : 0)),
    grain: usual / 2.6,
  }
}

// From block to block the card changes less than this, and nowhere is it further from where it was tapped; Oklab.
const CARD_STEP = 0.02
const CARD_FARTHEST = 0.09
// More of a photo than this is no card: it runs into something as white, and only what was tapped is left out.
const CARD_MOST = 0.4

/** The blocks that the card covers: grown from where it was tapped, and a block's width about it. */
function cardBlocks(grid: Grid, squares: readonly Square[]): Uint8Array {
  const covered = new Uint8Array(grid.count)
  for (const square of squares) {
    const seeds: number[] = []
    for (let i = 0; i < grid.count; i++) {
      const x = ((i % grid.columns) + 0.5) * grid.sizePx
      const y = (Math.floor(i / grid.columns) + 0.5) * grid.sizePx
      if (isWithin(square, x, y)) seeds.push(i)
    }
    const tapped = meanOf(seeds.map((i) => grid.lab[i]!))
    const own = grown(grid, seeds, tapped)
    const many = own.reduce((sum, value) => sum + value, 0) > CARD_MOST * grid.count
    for (let i = 0; i < grid.count; i++) if (many ? seeds.includes(i) : own[i]) covered[i] = 1
  }
  return widened(grid, covered)
}

function grown(grid: Grid, seeds: readonly number[], tapped: Oklab): Uint8Array {
  const step = Math.max(CARD_STEP, 4 * grid.grain)
  const own = new Uint8Array(grid.count)
  const open = [...seeds]
  for (const i of seeds) own[i] = 1
  while (open.length > 0) {
    const i = open.pop()!
    for (const next of besides(grid, i)) {
      if (own[next]) continue
      const near = distance(grid.lab[i]!, grid.lab[next]!) < step
      if (!near || distance(grid.lab[next]!, tapped) > CARD_FARTHEST) continue
      own[next] = 1
      open.push(next)
    }
  }
  return own
}

function widened(grid: Grid, covered: Uint8Array): Uint8Array {
  const wider = covered.slice()
  covered.forEach((is, i) => {
    if (is) for (const next of besides(grid, i)) wider[next] = 1
  })
  return wider
}

function besides({ columns, count }: Grid, i: number): number[] {
  const column = i % columns
  return [
    ...(column > 0 ? [i - 1] : []),
    ...(column < columns - 1 ? [i + 1] : []),
    ...(i >= columns ? [i - columns] : []),
    ...(i + columns < count ? [i + columns] : []),
  ]
}

/** What of a photo is clipped, and what is brighter than the card. */
function lostOf(
  { bytes, width, height }: PhotoBytes,
  card: { readonly mean: LinearRgb } | null,
): Pick<UsableBlocks, 'clippedPercent' | 'brighterPercent'> {
  const limit = card ? BRIGHTER * luminance(...card.mean) : Infinity
  let [clipped, brighter] = [0, 0]
  for (let at = 0; at < width * height * 4; at += 4) {
    const [r, g, b] = [bytes[at]!, bytes[at + 1]!, bytes[at + 2]!]
    if (luminance(LINEAR[r]!, LINEAR[g]!, LINEAR[b]!) > limit) brighter++
    if (Math.max(r, g, b) >= CLIPPED_BYTE) clipped++
  }
  const percent = (count: number): number => (100 * count) / Math.max(1, width * height)
  return { clippedPercent: percent(clipped), brighterPercent: percent(brighter) }
}

const distance = (p: Oklab, q: Oklab): number => Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2])
const median = (values: Float32Array): number => {
  const sorted = Float32Array.from(values).sort()
  return sorted[sorted.length >> 1] ?? 0
}
const meanOf = (all: readonly Oklab[]): Oklab =>
  [0, 1, 2].map(
    (k) => all.reduce((sum, each) => sum + each[k]!, 0) / all.length,
  ) as unknown as Oklab
