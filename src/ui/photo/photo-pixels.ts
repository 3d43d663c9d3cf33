import type { LinearRgb } from '@/core/colour/srgb'

/** The photo is not one that can be read; the message says why. */
export class PhotoError extends Error {
  override name = 'PhotoError'
}

const LARGEST_SIDE_PX = 2048
const MOST_BYTES = 40_000_000
const CARD_PX = 21

// IEC 61966-2-1, byte by byte.
const LINEAR = Float32Array.from({ length: 256 }, (_, byte) => {
  const v = byte / 255
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4
})

/**
 * A photo drawn at most 2,048 pixels wide or high. Only its pixels are taken: place, time and camera stay behind in
 * the file.
 *
 * @throws PhotoError for what is no photo or is too large
 */
export async function drawPhoto(file: File, canvas: HTMLCanvasElement): Promise<void> {
  if (/heic|heif/i.test(file.type) || /\.(heic|heif)$/i.test(file.name))
    throw new PhotoError(
      `“${file.name}” is a HEIC photo, which this browser cannot read. Save it as JPEG.`,
    )
  if (file.size > MOST_BYTES)
    throw new PhotoError(
      `“${file.name}” is ${Math.round(file.size / 1e6)} MB; expected at most 40 MB.`,
    )
  const image = await createImageBitmap(file).catch(() => null)
  if (!image)
    throw new PhotoError(
      `“${file.name}” is not a photo that can be read: expected a JPEG, PNG or WebP.`,
    )
  const scale = Math.min(1, LARGEST_SIDE_PX / Math.max(image.width, image.height))
  canvas.width = Math.max(1, Math.round(image.width * scale))
  canvas.height = Math.max(1, Math.round(image.height * scale))
  canvas
    .getContext('2d', { willReadFrequently: true })!
    .drawImage(image, 0, 0, canvas.width, canvas.height)
  image.close()
}

/** All pixels of the canvas but the given square about the white card, linear. */
export function linearPixels(
  canvas: HTMLCanvasElement,
  without: { readonly x: number; readonly y: number; readonly halfPx: number } | null,
): Float32Array<ArrayBuffer> {
  const { width, height } = canvas
  const bytes = canvas.getContext('2d')!.getImageData(0, 0, width, height).data
  const pixels = new Float32Array(width * height * 3)
  let at = 0
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      if (
        without &&
        Math.abs(x - without.x) <= without.halfPx &&
        Math.abs(y - without.y) <= without.halfPx
      )
        continue
      const i = (y * width + x) * 4
      pixels[at++] = LINEAR[bytes[i]!]!
      pixels[at++] = LINEAR[bytes[i + 1]!]!
      pixels[at++] = LINEAR[bytes[i + 2]!]!
    }
  return pixels.slice(0, at)
}

export interface TappedSpot {
  readonly mean: LinearRgb
  /** Largest difference of its quarters from the mean, a share. */
  readonly unevenness: number
}

/** The mean of a small square about a place that was tapped, and how even it is. */
export function tapped(canvas: HTMLCanvasElement, x: number, y: number): TappedSpot {
  const half = Math.floor(CARD_PX / 2)
  const left = Math.max(0, Math.min(canvas.width - CARD_PX, x - half))
  const top = Math.max(0, Math.min(canvas.height - CARD_PX, y - half))
  const bytes = canvas.getContext('2d')!.getImageData(left, top, CARD_PX, CARD_PX).data
  const quarters = [0, 1, 2, 3].map(() => [0, 0, 0, 0])
  for (let i = 0; i < CARD_PX * CARD_PX; i++) {
    const column = i % CARD_PX
    const row = Math.floor(i / CARD_PX)
    const quarter = quarters[(column > half ? 1 : 0) + (row > half ? 2 : 0)]!
    for (let channel = 0; channel < 3; channel++)
      quarter[channel]! += LINEAR[bytes[i * 4 + channel]!]!
    quarter[3]!++
  }
  const mean = [0, 1, 2].map(
    (channel) => quarters.reduce((sum, q) => sum + q[channel]!, 0) / (CARD_PX * CARD_PX),
  ) as [number, number, number]
  const unevenness = Math.max(
    ...quarters.map((q) => Math.abs(q[1]! / Math.max(1, q[3]!) / Math.max(1e-6, mean[1]) - 1)),
  )
  return { mean, unevenness }
}
