import sharp from 'sharp'
import { bandsOf, PHOTOGRAPHED } from '../src/core/photo/photographed-finishes.fixture'
import {
  TEST_CAMERAS,
  TEST_LIGHTS,
  testShot,
  type TestLightName,
} from '../src/core/photo/test-cameras.fixture'
import { labD65 } from '../src/core/paint/reading'
import { seededRandom } from '../src/core/seeded-random'

const [WIDTH, HEIGHT] = [600, 400] as const
/** Rows of the photo that each finish fills, and which of the twenty-four it is: twelve that nobody takes for one another. */
const ROWS = [
  [60, 0],
  [56, 3],
  [48, 5],
  [40, 6],
  [36, 9],
  [32, 10],
  [28, 12],
  [24, 14],
  [24, 17],
  [20, 20],
  [16, 21],
  [16, 22],
] as const

/** The finishes, and what of the photo each fills, per cent, once the card is left out. */
const PATCHES = [0.9, 0.18, 0.04] as const
const PATCH_PX = 60

export const TRUTH = ROWS.map(([rows, which], i) => {
  const from = ROWS.slice(0, i).reduce((sum, [each]) => sum + each, 0)
  const onCard = PATCHES.length * PATCH_PX * Math.max(0, Math.min(PATCH_PX, from + rows) - from)
  return {
    lab: labD65(bandsOf(PHOTOGRAPHED[which]!)),
    sharePercent:
      (100 * (rows * WIDTH - onCard)) / (WIDTH * HEIGHT - PATCHES.length * PATCH_PX * PATCH_PX),
  }
})

/** Where the white, grey and black of the card lie, as a share of the photo's width and height. */
export const CARD_AT = PATCHES.map(
  (_, i) => [((i + 0.5) * PATCH_PX) / WIDTH, PATCH_PX / 2 / HEIGHT] as const,
)

/**
 * A photo of twelve finishes and a printed card by a test camera, which shares nothing with what reads it: spectrum by
 * spectrum. `fixedTo`: it balances for that light, whatever the room's; else for the room's own.
 */
export async function photograph(
  light: TestLightName,
  {
    fixedTo = null as TestLightName | null,
    exif = false,
    as = 'png' as 'png' | 'jpeg',
    exposure = 0.8,
  } = {},
): Promise<Buffer> {
  const shot = testShot(TEST_CAMERAS[0]!, TEST_LIGHTS[light], {
    exposure,
    fixedTo: fixedTo && TEST_LIGHTS[fixedTo],
  })
  const card = PATCHES.map((share) => shot.of(() => share))
  const finishes = ROWS.map(([, which]) => shot.of(PHOTOGRAPHED[which]!))
  const grain = seededRandom(9)
  const data = Buffer.alloc(WIDTH * HEIGHT * 3)
  const finishOfRow = ROWS.flatMap(([rows], i) => Array.from({ length: rows }, () => i))
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++) {
      const patch = y < PATCH_PX ? card[Math.floor(x / PATCH_PX)] : undefined
      const bytes = patch ?? finishes[finishOfRow[y]!]!
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
