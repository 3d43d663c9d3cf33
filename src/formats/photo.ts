import sharp from 'sharp'

/** A photo as it is kept: JPEG, at most 2,048 pixels a side, its pixels and nothing else. */
export interface CleanPhoto {
  readonly jpeg: Uint8Array
  readonly widthPx: number
  readonly heightPx: number
}

export type PhotoResult =
  | { readonly ok: true; readonly photo: CleanPhoto }
  | { readonly ok: false; readonly message: string }

const LARGEST_SIDE_PX = 2048
const MOST_PIXELS = 60_000_000
const QUALITY = 90

/**
 * Decodes a photo and writes it anew: turned upright, scaled down, without place, time, camera or colour profile.
 * Whoever sent it is not trusted to have done so.
 */
export async function cleanPhoto(bytes: Uint8Array): Promise<PhotoResult> {
  try {
    const { format, width, height } = await sharp(bytes, { limitInputPixels: false }).metadata()
    if (!['jpeg', 'png', 'webp'].includes(format))
      return refused(`Expected a JPEG, PNG or WebP photo, got ${format}.`)
    if (width * height > MOST_PIXELS)
      return refused(
        `Expected a photo of at most ${MOST_PIXELS / 1e6} megapixels, its header says ${Math.round((width * height) / 1e6)}.`,
      )
    const { data, info } = await sharp(bytes, {
      limitInputPixels: MOST_PIXELS,
      failOn: 'truncated',
    })
      .rotate()
      .toColourspace('srgb')
      .resize(LARGEST_SIDE_PX, LARGEST_SIDE_PX, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: QUALITY, chromaSubsampling: '4:4:4' })
      .toBuffer({ resolveWithObject: true })
    return { ok: true, photo: { jpeg: data, widthPx: info.width, heightPx: info.height } }
  } catch (error) {
    if (!(error instanceof Error)) throw error
    return refused('Expected a whole JPEG, PNG or WebP photo; this one cannot be decoded.')
  }
}

const refused = (message: string): PhotoResult => ({ ok: false, message })

/** Whether bytes are a photo as it is kept: a whole JPEG, no larger than that, its pixels and nothing else. */
export async function isKeptPhoto(bytes: Uint8Array): Promise<boolean> {
  try {
    const { format, width, height, exif, icc, xmp, iptc } = await sharp(bytes, {
      limitInputPixels: LARGEST_SIDE_PX ** 2,
    }).metadata()
    if (format !== 'jpeg' || Math.max(width, height) > LARGEST_SIDE_PX) return false
    if (exif || icc || xmp || iptc) return false
    await sharp(bytes, { limitInputPixels: LARGEST_SIDE_PX ** 2, failOn: 'truncated' }).stats()
    return true
  } catch {
    return false
  }
}
