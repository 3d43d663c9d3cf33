import { finite } from '../check'
import { decode, type LinearRgb } from '../colour/srgb'

/** A photo as a canvas has it: four bytes a pixel (sRGB and alpha), row by row. */
export interface PhotoBytes {
  readonly bytes: Uint8ClampedArray
  readonly width: number
  readonly height: number
}

/** A square of a photo about the place that was tapped. */
export interface Square {
  readonly x: number
  readonly y: number
  readonly halfPx: number
}

/** Linear light by byte. */
export const LINEAR = Float32Array.from({ length: 256 }, (_, byte) => decode(byte / 255))
export const isWithin = ({ x, y, halfPx }: Square, atX: number, atY: number): boolean =>
  Math.abs(atX - x) <= halfPx && Math.abs(atY - y) <= halfPx

export const luminance = (r: number, g: number, b: number): number =>
  finite(0.2126 * r + 0.7152 * g + 0.0722 * b, 'linear channels')

/** A photo whose size is that of its bytes. Throws RangeError. */
export function checkedPhoto(photo: PhotoBytes): PhotoBytes {
  const { bytes, width, height } = photo
  if (!(width > 0 && height > 0 && bytes.length === 4 * width * height))
    throw new RangeError(
      `a photo of ${width} × ${height} needs four bytes a pixel, got ${bytes.length}`,
    )
  return photo
}

export interface TappedSpot {
  readonly mean: LinearRgb
  /** Largest difference of its quarters from the mean, a share. */
  readonly unevenness: number
}

/** The mean of a square and how even it is. The square lies wholly within the photo. */
export function tappedSpot(photo: PhotoBytes, square: Square): TappedSpot {
  const { bytes, width, height } = checkedPhoto(photo)
  const { x, y, halfPx } = square
  if (!(halfPx >= 0 && x >= halfPx && y >= halfPx && x + halfPx < width && y + halfPx < height))
    throw new RangeError(
      `a square must lie in the photo of ${width} × ${height}, got ${halfPx} about ${x}, ${y}`,
    )
  const quarters = [0, 1, 2, 3].map(() => [0, 0, 0, 0])
  for (let dy = -halfPx; dy <= halfPx; dy++)
    for (let dx = -halfPx; dx <= halfPx; dx++) {
      const i = ((y + dy) * width + x + dx) * 4
      const quarter = quarters[(dx > 0 ? 1 : 0) + (dy > 0 ? 2 : 0)]!
      for (let channel = 0; channel < 3; channel++)
        quarter[channel]! += LINEAR[bytes[i + channel]!]!
      quarter[3]!++
    }
  const count = quarters.reduce((sum, quarter) => sum + quarter[3]!, 0)
  const mean = [0, 1, 2].map(
    (channel) => quarters.reduce((sum, quarter) => sum + quarter[channel]!, 0) / count,
  ) as [number, number, number]
  const unevenness = Math.max(
    ...quarters.map((q) => Math.abs(q[1]! / Math.max(1, q[3]!) / Math.max(1e-6, mean[1]) - 1)),
  )
  return { mean, unevenness }
}

/** The square about a place, moved so that it lies within the photo. */
export function squareAt(
  { width, height }: Pick<PhotoBytes, 'width' | 'height'>,
  x: number,
  y: number,
  halfPx: number,
): Square {
  const within = (value: number, size: number): number =>
    finite(Math.min(size - 1 - halfPx, Math.max(halfPx, Math.round(value))), 'a place in a photo')
  return { x: within(x, width), y: within(y, height), halfPx }
}
