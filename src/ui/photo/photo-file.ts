import { imageSize } from 'image-size'
import type { PhotoBytes } from '@/core/photo/pixels'
import { drawInWorker } from '@/workers/photo-client'
import { keepPhoto } from '../record/send'

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
// EXIF 2.32: from this orientation on the picture lies on its side.
const LYING_FROM = 5

/**
 * Draws a photo at most 2,048 pixels wide or high, decoded off the main thread. Only its pixels are taken: place, time
 * and camera stay behind in the file.
 *
 * @returns its pixels
 * @throws PhotoError for what is no photo, is cut short or is too large; before it is decoded
 */
export async function drawPhoto(file: File, canvas: HTMLCanvasElement): Promise<PhotoBytes> {
  const { width, height } = await sizeOfWhole(file)
  const scale = Math.min(1, LARGEST_SIDE_PX / Math.max(width, height))
  const drawn = await drawInWorker({
    file,
    width: Math.max(1, Math.round(width * scale)),
    height: Math.max(1, Math.round(height * scale)),
  })
  if (!drawn) throw unreadable(file)
  canvas.width = drawn.photo.width
  canvas.height = drawn.photo.height
  canvas.getContext('2d')!.drawImage(drawn.image, 0, 0)
  drawn.image.close()
  return drawn.photo
}

/** Shows a photo, or what was made of it, on its canvas. */
export function showPhoto({ bytes, width, height }: PhotoBytes, canvas: HTMLCanvasElement): void {
  canvas.getContext('2d')!.putImageData(new ImageData(bytes.slice(), width, height), 0, 0)
}

/** What a canvas shows. */
export function shownPhoto(canvas: HTMLCanvasElement): PhotoBytes {
  const { width, height } = canvas
  const { data } = canvas.getContext('2d')!.getImageData(0, 0, width, height)
  return { bytes: data, width, height }
}

const unreadable = (file: File): PhotoError =>
  new PhotoError(`“${file.name}” is not a photo that can be read: expected a JPEG, PNG or WebP.`)

interface PhotoSize {
  readonly width: number
  readonly height: number
}

/** The size of a photo as it is shown, turned upright, once its header and its end are looked at. */
async function sizeOfWhole(file: File): Promise<PhotoSize> {
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
  return header
}

function headerOf(bytes: Uint8Array): (PhotoSize & { readonly type: string }) | null {
  try {
    const { type = '', width, height, orientation = 1 } = imageSize(bytes)
    return orientation >= LYING_FROM
      ? { type, width: height, height: width }
      : { type, width, height }
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

/**
 * Sends the drawn photo to be kept.
 *
 * @returns what changes name it by, or null where it could not be kept
 */
export async function keepDrawnPhoto(canvas: HTMLCanvasElement): Promise<string | null> {
  const blob = await new Promise<Blob | null>((done) =>
    canvas.toBlob(done, 'image/jpeg', JPEG_QUALITY),
  )
  if (!blob) return null
  return keepPhoto(blob)
}
