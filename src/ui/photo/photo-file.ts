import { imageSize } from 'image-size'
import { z } from 'zod'
import type { PhotoBytes } from '@/core/photo/pixels'

/** The photo is not one that can be read; the message says why. */
export class PhotoError extends Error {
  override name = 'PhotoError'
}

const LARGEST_SIDE_PX = 2048
const MOST_BYTES = 40_000_000
const MOST_PIXELS = 60_000_000
const JPEG_QUALITY = 0.92
// A JPEG's end may have a maker's own data after it.
const END_WITHIN_BYTES = 65_536

/**
 * A photo drawn at most 2,048 pixels wide or high. Only its pixels are taken: place, time and camera stay behind in
 * the file.
 *
 * @throws PhotoError for what is no photo, is cut short or is too large; before it is decoded
 */
export async function drawPhoto(file: File, canvas: HTMLCanvasElement): Promise<void> {
  const bytes = await wholePhoto(file)
  const image = await createImageBitmap(new Blob([bytes])).catch(() => null)
  if (!image) throw unreadable(file)
  const scale = Math.min(1, LARGEST_SIDE_PX / Math.max(image.width, image.height))
  canvas.width = Math.max(1, Math.round(image.width * scale))
  canvas.height = Math.max(1, Math.round(image.height * scale))
  canvas
    .getContext('2d', { willReadFrequently: true })!
    .drawImage(image, 0, 0, canvas.width, canvas.height)
  image.close()
}

const unreadable = (file: File): PhotoError =>
  new PhotoError(`“${file.name}” is not a photo that can be read: expected a JPEG, PNG or WebP.`)

async function wholePhoto(file: File): Promise<Uint8Array<ArrayBuffer>> {
  if (/heic|heif/i.test(file.type) || /\.(heic|heif)$/i.test(file.name))
    throw new PhotoError(
      `“${file.name}” is a HEIC photo, which this browser cannot read. Save it as JPEG.`,
    )
  if (file.size > MOST_BYTES)
    throw new PhotoError(
      `“${file.name}” is ${Math.round(file.size / 1e6)} MB; expected at most 40 MB.`,
    )
  const bytes = new Uint8Array(await file.arrayBuffer())
  const header = headerOf(bytes)
  if (!header || !['jpg', 'png', 'webp'].includes(header.type)) throw unreadable(file)
  const megapixels = (header.width * header.height) / 1e6
  if (header.width * header.height > MOST_PIXELS)
    throw new PhotoError(
      `“${file.name}” says it has ${Math.round(megapixels)} megapixels; expected at most ${MOST_PIXELS / 1e6}.`,
    )
  if (header.type === 'jpg' && !endsAsJpeg(bytes))
    throw new PhotoError(
      `“${file.name}” is cut short: the end of the photo is missing. Take it again.`,
    )
  return bytes
}

function headerOf(bytes: Uint8Array) {
  try {
    const { type = '', width, height } = imageSize(bytes)
    return { type, width, height }
  } catch {
    // Not an image, or a header that makes no sense: both are no photo.
    return null
  }
}

function endsAsJpeg(bytes: Uint8Array): boolean {
  for (let i = bytes.length - 1; i > Math.max(0, bytes.length - END_WITHIN_BYTES); i--)
    if (bytes[i] === 0xd9 && bytes[i - 1] === 0xff) return true
  return false
}

export function bytesOf(canvas: HTMLCanvasElement): PhotoBytes {
  const { width, height } = canvas
  return {
    bytes: canvas.getContext('2d')!.getImageData(0, 0, width, height).data,
    width,
    height,
  }
}

const Answer = z.discriminatedUnion('ok', [
  z.object({ ok: z.literal(true), hash: z.string() }),
  z.object({ ok: z.literal(false), message: z.string() }),
])

/**
 * Sends the drawn photo to be kept.
 *
 * @returns its hash, or null where it could not be kept
 */
export async function keepDrawnPhoto(canvas: HTMLCanvasElement): Promise<string | null> {
  const blob = await new Promise<Blob | null>((done) =>
    canvas.toBlob(done, 'image/jpeg', JPEG_QUALITY),
  )
  if (!blob) return null
  const response = await fetch('/api/photos', { method: 'POST', body: blob }).catch(() => null)
  const answer = Answer.safeParse(await response?.json().catch(() => null))
  return answer.success && answer.data.ok ? answer.data.hash : null
}
