import { seededBell } from '../seeded-random'
import { usableBlocks } from './blocks'
import { paletteOf } from './palette'
import type { PhotoBytes } from './pixels'

const [WIDTH, HEIGHT] = [300, 200] as const

/** A photo of grey levels with grain; clipped where it is 255. */
function photo(
  byteAt: (x: number, y: number) => number | readonly number[],
  grain = 0,
): PhotoBytes {
  const bell = seededBell(3)
  const bytes = new Uint8ClampedArray(WIDTH * HEIGHT * 4)
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++) {
      const value = byteAt(x, y)
      const rgb = typeof value === 'number' ? [value, value, value] : value
      rgb.forEach((v, k) => {
        bytes[(y * WIDTH + x) * 4 + k] = v === 255 ? 255 : v + grain * bell()
      })
    }
  return { bytes, width: WIDTH, height: HEIGHT }
}
const linear = (byte: number): number => ((byte / 255 + 0.055) / 1.055) ** 2.4
const cardAt = (x: number, y: number) => ({
  squares: [{ x, y, halfPx: 5 }],
  mean: [linear(220), linear(220), linear(220)] as const,
})

test.each([0, 6, 12])(
  'grain of %d levels makes no colours of one: as many as there are',
  (grain) => {
    const three = photo(
      (x) => (x < 90 ? [150, 120, 100] : x < 200 ? [90, 96, 100] : [196, 186, 168]),
      grain,
    )
    const { pixels, grain: found } = usableBlocks(three, null)
    expect(paletteOf(pixels, found)).toHaveLength(3)
  },
)

test('the card is never a colour, however large it lies there and in falling light', () => {
  const stone = [140, 118, 100] as const
  const scene = photo((x, y) => (x < 110 && y < 120 ? 226 - x / 8 : stone), 4)
  const { pixels, grain } = usableBlocks(scene, cardAt(30, 40))
  const found = paletteOf(pixels, grain)
  expect(found).toHaveLength(1)
  found[0]!.rgb.forEach((v, k) => expect(Math.abs(v / linear(stone[k]!) - 1)).toBeLessThan(0.05))
})

test('a stone as white as the card keeps its own blocks where the card runs into it', () => {
  const white = photo(() => 220, 2)
  const { pixels } = usableBlocks(white, cardAt(30, 40))
  expect(pixels.length / 3).toBeGreaterThan((0.9 * usableBlocks(white, null).pixels.length) / 3)
})

test('what is clipped is left out, what is brighter than the card is counted', () => {
  const scene = photo((_, y) => (y < 20 ? 255 : y < 60 ? 240 : 120))
  const found = usableBlocks(scene, {
    ...cardAt(150, 150),
    mean: [linear(200), linear(200), linear(200)],
  })
  expect(found.clippedPercent).toBeCloseTo(10, 9)
  expect(found.brighterPercent).toBeCloseTo(30, 9)
  expect(Math.max(...found.pixels)).toBeLessThan(linear(250))
  expect(usableBlocks(scene, null).brighterPercent).toBe(0)
})

test('a photo of one pixel and one of nothing but glare have no or one block, and no error', () => {
  const one = { bytes: new Uint8ClampedArray([120, 110, 100, 255]), width: 1, height: 1 }
  expect(usableBlocks(one, null).pixels).toHaveLength(3)
  expect(
    usableBlocks(
      photo(() => 255),
      null,
    ).pixels,
  ).toHaveLength(0)
})
