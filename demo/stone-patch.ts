import sharp from 'sharp'
import { planckianSpectrum } from '../src/core/colour/planckian'
import { correctedPicture } from '../src/core/photo/corrected-picture'
import { cutPatch, finishPatch } from '../src/core/photo/finish-patch'
import { photoLight } from '../src/core/photo/photo-light'
import { squareAt, tappedSpot, type PhotoBytes } from '../src/core/photo/pixels'
import { readablePhoto, shownOf } from '../src/core/photo/read-photo'
import { GROUND, FLECK, STONE_CARD_AT, stonePhoto } from './stone-photo'

const PATCH_WIDTH_PX = 192

const jpegOf = ({ bytes, width, height }: PhotoBytes): Promise<Buffer> =>
  sharp(Buffer.from(bytes), { raw: { width, height, channels: 4 } })
    .flatten()
    .jpeg({ quality: 92, chromaSubsampling: '4:4:4' })
    .toBuffer()

/** The photo of the stone counter as the reader corrects it by its card, and the part of it that stands for the stone. */
export async function stonePhotos(): Promise<{
  readonly corrected: Buffer
  readonly patch: Buffer
}> {
  const { data, info } = await sharp(await stonePhoto())
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true })
  const { width, height } = info
  const photo: PhotoBytes = { bytes: Uint8ClampedArray.from(data), width, height }
  const squares = STONE_CARD_AT.map(([x, y]) => squareAt(photo, x * width, y * height, 10))
  const spots = squares.map((square) => tappedSpot(photo, square).mean)
  const readable = readablePhoto(
    photoLight(spots[0]!, planckianSpectrum(2900)),
    'steps',
    spots.map(shownOf),
    0.02,
  )
  const corrected = correctedPicture(photo, readable)
  const patch = cutPatch(
    corrected,
    finishPatch(corrected, [GROUND, FLECK], squares),
    PATCH_WIDTH_PX,
  )
  return { corrected: await jpegOf(corrected), patch: await jpegOf(patch) }
}
