import { finiteAll } from '../check'
import { checkedPhoto, LINEAR, luminance, type PhotoBytes, type Square } from './pixels'

/** How light falls across a photo: in logarithms, along its width and down its height. */
export interface Falloff {
  /** Change of the light over the whole width and the whole height, in logarithms. */
  readonly across: number
  readonly down: number
}

/** One standard deviation of the light on a finish beside that on the card, a share, and how it is known. */
export interface Unevenness {
  readonly share: number
  readonly by: 'repeats' | 'card'
  /** Taken out of the photo; null where nothing was. */
  readonly falloff: Falloff | null
}

// Light is never more even than this over a table top (common practice).
const LEAST = 0.012
// What a card's own slope says of the whole photo is at best this much of it: lamps do not fall off in straight lines.
const MOST = 0.2

interface Patch {
  readonly x: number
  readonly y: number
  readonly log: number
}

/**
 * Evenness from patches that are one surface: the white card, or a finish, tapped in several places. Three that do not lie
 * in a line tell a plane, two the fall between them.
 *
 * @param repeats squares on one surface, two at least
 * @throws RangeError for fewer
 */
export function unevennessByRepeats(photo: PhotoBytes, repeats: readonly Square[]): Unevenness {
  if (repeats.length < 2)
    throw new RangeError(`evenness needs two places of one surface, got ${repeats.length}`)
  const patches = repeats.map((square) => patchOf(photo, square))
  const falloff = fitted(patches)
  const left = patches.map(({ x, y, log }) => log - falloff.across * x - falloff.down * y)
  const mean = left.reduce((sum, value) => sum + value, 0) / left.length
  const rest = Math.sqrt(left.reduce((sum, value) => sum + (value - mean) ** 2, 0) / left.length)
  return { share: Math.min(MOST, Math.max(LEAST, rest)), by: 'repeats', falloff }
}

/** Evenness as the white of the card alone tells it: its own slope, carried on over the photo. */
export function unevennessByCard(photo: PhotoBytes, card: Square): Unevenness {
  const { x, y, halfPx } = card
  const step = Math.max(1, Math.floor(halfPx / 2))
  const parts = [-1, 0, 1].flatMap((dy) =>
    [-1, 0, 1].map((dx) =>
      patchOf(photo, {
        x: x + dx * (halfPx - step),
        y: y + dy * (halfPx - step),
        halfPx: step,
      }),
    ),
  )
  const { across, down } = fitted(parts)
  // From the card to somewhere else is about a third of the photo.
  return {
    share: Math.min(MOST, Math.hypot(LEAST, Math.hypot(across, down) / 3)),
    by: 'card',
    falloff: null,
  }
}

/** The photo as even as a falloff says it would have been; the middle stays. */
export function evened(photo: PhotoBytes, falloff: Falloff): PhotoBytes {
  const { bytes, width, height } = checkedPhoto(photo)
  finiteAll([falloff.across, falloff.down], 'a falloff')
  const even = new Uint8ClampedArray(bytes.length)
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at += 4) {
      const light = Math.exp(
        -falloff.across * ((x + 0.5) / width - 0.5) - falloff.down * ((y + 0.5) / height - 0.5),
      )
      for (let k = 0; k < 3; k++) {
        // Encoded bytes go with about the 2.2th root of the light (IEC 61966-2-1).
        even[at + k] = bytes[at + k]! * light ** (1 / 2.2)
      }
      even[at + 3] = bytes[at + 3]!
    }
  return { bytes: even, width, height }
}

function patchOf(photo: PhotoBytes, { x, y, halfPx }: Square): Patch {
  const { bytes, width, height } = checkedPhoto(photo)
  if (!(halfPx >= 0 && halfPx <= Math.max(width, height)))
    throw new RangeError(`a square must be no larger than the photo, got ${halfPx}`)
  finiteAll([x, y], 'a place in a photo')
  let [sum, count] = [0, 0]
  for (let dy = -halfPx; dy <= halfPx; dy++)
    for (let dx = -halfPx; dx <= halfPx; dx++) {
      const [px, py] = [x + dx, y + dy]
      if (px < 0 || py < 0 || px >= width || py >= height) continue
      const at = (py * width + px) * 4
      sum += luminance(LINEAR[bytes[at]!]!, LINEAR[bytes[at + 1]!]!, LINEAR[bytes[at + 2]!]!)
      count++
    }
  return { x: x / width, y: y / height, log: Math.log(Math.max(1e-5, sum / Math.max(1, count))) }
}

/** Least squares of a plane; along the line where all lie in one. */
function fitted(patches: readonly Patch[]): Falloff {
  const mean = (of: (p: Patch) => number): number =>
    patches.reduce((sum, p) => sum + of(p), 0) / patches.length
  const [mx, my, ml] = [mean((p) => p.x), mean((p) => p.y), mean((p) => p.log)]
  let [xx, xy, yy, xl, yl] = [1e-9, 0, 1e-9, 0, 0]
  for (const { x, y, log } of patches) {
    xx += (x - mx) ** 2
    xy += (x - mx) * (y - my)
    yy += (y - my) ** 2
    xl += (x - mx) * (log - ml)
    yl += (y - my) * (log - ml)
  }
  const det = xx * yy - xy * xy
  if (det > 0.02 * xx * yy)
    return { across: (xl * yy - yl * xy) / det, down: (yl * xx - xl * xy) / det }
  // All in a line: the fall along it, none across it.
  const [dx, dy] = xx >= yy ? [1, xy / xx] : [xy / yy, 1]
  const slope = (xl * dx + yl * dy) / (xx * dx * dx + 2 * xy * dx * dy + yy * dy * dy)
  return { across: slope * dx, down: slope * dy }
}
