import { finiteAll } from '../check'
import { D65_WHITE } from '../colour/illuminant'
import { xyzFromLab, type Lab } from '../colour/lab'
import { oklab, type Oklab } from '../colour/oklab'
import { encodedByte, linearRgbFromXyz } from '../colour/srgb'
import { checkedPhoto, isWithin, LINEAR, type PhotoBytes, type Square } from './pixels'

/** A part of a photo, in its pixels. */
export interface PatchOfPhoto {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

// Four to three, as a hand frames it; of the photo so much, that the finish shows what it is made of.
const ASPECT = 4 / 3
const SHARE = 0.45
// A pixel is of a colour that lies within this in Oklab: the grain of stone and cloth lies about so far.
const OF_A_COLOUR = 0.05
// So many places a side are looked at.
const PLACES = 96

/**
 * The part of a corrected photo that shows the finish best: where most of what is seen is one of its colours, and no card.
 *
 * @param colours of the finish, under D65
 * @param avoid squares that were tapped as the card
 * @param middle where a person says that it is; left out, it is looked for
 */
export function finishPatch(
  corrected: PhotoBytes,
  colours: readonly Lab[],
  avoid: readonly Square[],
  middle?: { readonly x: number; readonly y: number },
): PatchOfPhoto {
  const { bytes, width, height } = checkedPhoto(corrected)
  for (const lab of colours) finiteAll(lab, 'a colour of the finish')
  const wide = Math.max(1, Math.floor(SHARE * Math.min(width, ASPECT * height)))
  const high = Math.max(1, Math.floor(wide / ASPECT))
  const placed = (x: number, y: number): PatchOfPhoto => ({
    x: Math.min(width - wide, Math.max(0, Math.round(x))),
    y: Math.min(height - high, Math.max(0, Math.round(y))),
    width: wide,
    height: high,
  })
  if (middle) {
    finiteAll([middle.x, middle.y], 'the middle of a patch')
    return placed(middle.x - wide / 2, middle.y - high / 2)
  }
  const wanted = colours.map((lab) => oklab(linearRgbFromXyz(xyzFromLab(lab, D65_WHITE))))
  // A card reaches farther than where it was tapped.
  const cards = avoid.map((square) => ({ ...square, halfPx: 2 * square.halfPx }))
  const isOfIt = (x: number, y: number): number => {
    if (cards.some((card) => isWithin(card, x, y))) return -1
    const at = 4 * (y * width + x)
    const seen = oklab([LINEAR[bytes[at]!]!, LINEAR[bytes[at + 1]!]!, LINEAR[bytes[at + 2]!]!])
    return wanted.some((each) => apart(each, seen) < OF_A_COLOUR) ? 1 : 0
  }
  const step = Math.max(1, Math.floor(Math.max(width, height) / PLACES))
  const [columns, rows] = [Math.ceil(width / step), Math.ceil(height / step)]
  // Sums of all that lies above and to the left (Crow 1984): any rectangle's sum is four of them.
  const sums = new Float64Array((columns + 1) * (rows + 1))
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++)
      sums[(row + 1) * (columns + 1) + column + 1] =
        isOfIt(column * step, row * step) +
        sums[row * (columns + 1) + column + 1]! +
        sums[(row + 1) * (columns + 1) + column]! -
        sums[row * (columns + 1) + column]!
  const [across, down] = [Math.floor(wide / step), Math.floor(high / step)]
  let best = { match: -Infinity, fromMiddle: Infinity, x: 0, y: 0 }
  for (let row = 0; row + down <= rows; row++)
    for (let column = 0; column + across <= columns; column++) {
      const sum = (r: number, c: number): number => sums[r * (columns + 1) + c]!
      const match =
        sum(row + down, column + across) -
        sum(row, column + across) -
        sum(row + down, column) +
        sum(row, column)
      const fromMiddle = Math.hypot(column + across / 2 - columns / 2, row + down / 2 - rows / 2)
      if (match > best.match || (match === best.match && fromMiddle < best.fromMiddle))
        best = { match, fromMiddle, x: column * step, y: row * step }
    }
  return placed(best.x, best.y)
}

const apart = (p: Oklab, q: Oklab): number => Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2])

/** A part of a photo by itself, at most so many pixels wide; what is made smaller is averaged in linear light. */
export function cutPatch(photo: PhotoBytes, patch: PatchOfPhoto, mostWidth: number): PhotoBytes {
  const { bytes, width, height } = checkedPhoto(photo)
  finiteAll([patch.x, patch.y, patch.width, patch.height, mostWidth], 'a patch')
  if (
    !(patch.width >= 1 && patch.height >= 1 && patch.x >= 0 && patch.y >= 0) ||
    patch.x + patch.width > width ||
    patch.y + patch.height > height ||
    !(mostWidth >= 1)
  )
    throw new RangeError(
      `a patch must lie in the photo of ${width} × ${height}, got ${patch.width} × ${patch.height} at ${patch.x}, ${patch.y}`,
    )
  const by = Math.max(1, Math.ceil(patch.width / mostWidth))
  const [wide, high] = [
    Math.max(1, Math.floor(patch.width / by)),
    Math.max(1, Math.floor(patch.height / by)),
  ]
  const cut = new Uint8ClampedArray(4 * wide * high)
  for (let y = 0; y < high; y++)
    for (let x = 0; x < wide; x++) {
      const to = 4 * (y * wide + x)
      for (let k = 0; k < 3; k++) {
        let sum = 0
        let count = 0
        for (let dy = 0; dy < Math.min(by, patch.height); dy++)
          for (let dx = 0; dx < Math.min(by, patch.width); dx++) {
            sum +=
              LINEAR[bytes[4 * ((patch.y + y * by + dy) * width + patch.x + x * by + dx) + k]!]!
            count++
          }
        cut[to + k] = encodedByte(sum / count)
      }
      cut[to + 3] = 255
    }
  return { bytes: cut, width: wide, height: high }
}
