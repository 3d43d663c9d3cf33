import sharp from 'sharp'
import { CARD, idealSensor } from '../demo/ideal-sensor'
import { PHOTOGRAPHED_FINISHES } from '../src/core/photo/photographed-finishes.fixture'
import type { Spectrum } from '../src/core/colour/spectrum'
import { labD65 } from '../src/core/paint/reading'
import { seededRandom } from '../src/core/seeded-random'

const [WIDTH, HEIGHT] = [600, 400] as const
const CARD_PX = 60
/** Rows of the photo that each finish fills. */
const ROWS = [60, 56, 48, 40, 36, 32, 28, 24, 24, 20, 16, 16] as const

/** What of the photo each finish fills, per cent, once the card and a square about it are left out. */
export const TRUTH = ROWS.map((rows, i) => {
  const from = ROWS.slice(0, i).reduce((sum, each) => sum + each, 0)
  const leftOut = 101 * Math.max(0, Math.min(101, from + rows) - from)
  return {
    lab: labD65(PHOTOGRAPHED_FINISHES[i]!),
    sharePercent: (100 * (rows * WIDTH - leftOut)) / (WIDTH * HEIGHT - 101 * 101),
  }
})

/** Where the card lies, as a share of the photo's width and height. */
export const CARD_AT = [CARD_PX / 2 / WIDTH, CARD_PX / 2 / HEIGHT] as const

/**
 * A photo of twelve finishes and a white card by an ideal sensor, with grain: spectrum by spectrum, never by scaling
 * red, green and blue. `balanced`: the camera takes the light's colour out by a gain on each channel.
 */
export async function photograph(
  spectrum: Spectrum,
  { balanced = false, exif = false, as = 'png' as 'png' | 'jpeg' } = {},
): Promise<Buffer> {
  const bytesOf = idealSensor(spectrum, balanced)
  const card = bytesOf(CARD)
  const finishes = PHOTOGRAPHED_FINISHES.map(bytesOf)
  const grain = seededRandom(9)
  const data = Buffer.alloc(WIDTH * HEIGHT * 3)
  const finishOfRow = ROWS.flatMap((rows, i) => Array.from({ length: rows }, () => i))
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++) {
      const bytes = x < CARD_PX && y < CARD_PX ? card : finishes[finishOfRow[y]!]!
      bytes.forEach((value, k) => {
        data[(y * WIDTH + x) * 3 + k] = Math.round(
          Math.min(255, Math.max(0, value + 5 * (grain() - 0.5))),
        )
      })
    }
  const image = sharp(data, { raw: { width: WIDTH, height: HEIGHT, channels: 3 } })
  if (exif)
    image.withExif({
      IFD0: { Make: 'Invented camera' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '52/1 24/1 0/1' },
    })
  return as === 'png' ? image.png().toBuffer() : image.jpeg({ quality: 95 }).toBuffer()
}

/** The first bytes of a PNG whose header says that it is as large as this, and no more. */
export function pngHeader(width: number, height: number): Buffer {
  const header = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAAAAAAACAIAAAAAAAAA', 'base64')
  header.writeUInt32BE(width, 16)
  header.writeUInt32BE(height, 20)
  return header
}
