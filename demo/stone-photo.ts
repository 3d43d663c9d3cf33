import sharp from 'sharp'
import { planckianSpectrum } from '../src/core/colour/planckian'
import type { Lab } from '../src/core/colour/lab'
import { reflectanceOfReading } from '../src/core/paint/reading'
import { seededRandom } from '../src/core/seeded-random'
import { CARD, idealSensor } from './ideal-sensor'

const [WIDTH, HEIGHT] = [800, 600] as const
const CARD_BOX = { left: 54, top: 60, right: 220, bottom: 167 } as const
const PATCH_PX = (CARD_BOX.right - CARD_BOX.left) / CARD.length
/** Where the white, grey and black of the card lie, as shares of width and height. */
export const STONE_CARD_AT = CARD.map(
  (_, i) =>
    [
      (CARD_BOX.left + (i + 0.5) * PATCH_PX) / WIDTH,
      (CARD_BOX.top + CARD_BOX.bottom) / 2 / HEIGHT,
    ] as const,
)

export const GROUND: Lab = [66, 9, 14]
export const FLECK: Lab = [48, 7, 9]
const VEIN: Lab = [83, 3, 8]
const GRAIN = 5

/** Smooth noise, −1 to 1, of a size in pixels: values on a grid, blended. */
function smoothNoise(seed: number, sizePx: number): (x: number, y: number) => number {
  const random = seededRandom(seed)
  const columns = Math.ceil(WIDTH / sizePx) + 2
  const grid = Array.from(
    { length: columns * (Math.ceil(HEIGHT / sizePx) + 2) },
    () => 2 * random() - 1,
  )
  const ease = (t: number): number => t * t * (3 - 2 * t)
  return (x, y) => {
    const [u, v] = [x / sizePx, y / sizePx]
    const [i, j] = [Math.floor(u), Math.floor(v)]
    const [s, t] = [ease(u - i), ease(v - j)]
    const at = (di: number, dj: number): number => grid[(j + dj) * columns + i + di]!
    return (at(0, 0) * (1 - s) + at(1, 0) * s) * (1 - t) + (at(0, 1) * (1 - s) + at(1, 1) * s) * t
  }
}

/** Veins run aslant: the grid of their noise must not show. */
const turned = (x: number, y: number): readonly [number, number] => [
  0.62 * x + 0.36 * y,
  0.5 * (WIDTH - x) * 0.7 + 0.55 * y,
]

/** An invented stone counter with a printed card on it, photographed under a warm lamp by a camera fixed to daylight. */
export async function stonePhoto(): Promise<Buffer> {
  const sensor = idealSensor(planckianSpectrum(2900), false)
  const [ground, fleck, vein] = [GROUND, FLECK, VEIN].map((lab) =>
    sensor(reflectanceOfReading({ kind: 'lab', lab })),
  ) as [readonly number[], readonly number[], readonly number[]]
  const card = CARD.map(sensor)
  const [blots, drift, grain] = [smoothNoise(3, 10), smoothNoise(5, 110), seededRandom(9)]
  const data = Buffer.alloc(WIDTH * HEIGHT * 3)
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++) {
      const { left, top, right, bottom } = CARD_BOX
      const onCard = x >= left && x < right && y >= top && y < bottom
      // A vein runs where the slow noise crosses zero.
      const surface = onCard
        ? card[Math.floor((x - left) / PATCH_PX)]!
        : Math.abs(drift(...turned(x, y))) < 0.025
          ? vein
          : blots(x, y) > 0.28
            ? fleck
            : ground
      surface.forEach((value, k) => {
        data[(y * WIDTH + x) * 3 + k] = Math.round(
          Math.min(255, Math.max(0, value + GRAIN * (grain() - 0.5))),
        )
      })
    }
  return sharp(data, { raw: { width: WIDTH, height: HEIGHT, channels: 3 } })
    .jpeg({ quality: 92 })
    .toBuffer()
}
