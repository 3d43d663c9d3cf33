import type { Lab } from '../colour/lab'
import { reflectanceOfReading, labD65 } from '../paint/reading'
import { seededRandom } from '../seeded-random'
import { cutPatch, finishPatch } from './finish-patch'
import type { PhotoBytes } from './pixels'

const labOfHex = (hex: string): Lab => labD65(reflectanceOfReading({ kind: 'srgb', hex }))
const STONE = [190, 150, 130] as const
const FLECK = [110, 90, 84] as const
const COLOURS = [labOfHex('#be9682'), labOfHex('#6e5a54')]

/** A grey wall with a speckled stone in part of it, and a card on the stone. */
function photo(stone: { x: number; y: number; width: number; height: number }): PhotoBytes {
  const [width, height] = [320, 240]
  const bytes = new Uint8ClampedArray(4 * width * height).fill(255)
  const random = seededRandom(5)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const isStone =
        x >= stone.x && x < stone.x + stone.width && y >= stone.y && y < stone.y + stone.height
      const colour = isStone ? (random() < 0.3 ? FLECK : STONE) : [150, 152, 155]
      colour.forEach((v, k) => (bytes[4 * (y * width + x) + k] = v))
    }
  return { bytes, width, height }
}

test('the patch lies where the finish is, wherever that is in the photo', () => {
  for (const stone of [
    { x: 0, y: 0, width: 170, height: 130 },
    { x: 150, y: 100, width: 170, height: 140 },
  ]) {
    const { x, y, width, height } = finishPatch(photo(stone), COLOURS, [])
    const [inX, inY] = [
      Math.min(x + width, stone.x + stone.width) - Math.max(x, stone.x),
      Math.min(y + height, stone.y + stone.height) - Math.max(y, stone.y),
    ]
    expect((inX * inY) / (width * height)).toBeGreaterThan(0.95)
    expect(width / height).toBeCloseTo(4 / 3, 1)
  }
})

test('a card is kept out of it, and a middle that a person says is its middle, as far as the photo goes', () => {
  const whole = photo({ x: 0, y: 0, width: 320, height: 240 })
  const card = { x: 160, y: 120, halfPx: 5 }
  const { x, y, width, height } = finishPatch(whole, COLOURS, [card])
  const overlaps =
    x < card.x + card.halfPx &&
    x + width > card.x - card.halfPx &&
    y < card.y + card.halfPx &&
    y + height > card.y - card.halfPx
  expect(overlaps).toBe(false)
  const said = finishPatch(whole, COLOURS, [], { x: 200, y: 100 })
  expect([said.x + said.width / 2, said.y + said.height / 2]).toEqual([
    expect.closeTo(200, -0.3),
    expect.closeTo(100, -0.3),
  ])
  expect(finishPatch(whole, COLOURS, [], { x: 319, y: 0 })).toMatchObject({
    x: 320 - said.width,
    y: 0,
  })
})

test('made smaller it is averaged in linear light: black and white by halves is not mid grey of the screen', () => {
  const bytes = new Uint8ClampedArray(4 * 8 * 4).fill(255)
  for (let i = 0; i < 32; i++) if (i % 2) bytes.fill(0, 4 * i, 4 * i + 3)
  const checks: PhotoBytes = { bytes, width: 8, height: 4 }
  const cut = cutPatch(checks, { x: 0, y: 0, width: 8, height: 4 }, 4)
  expect([cut.width, cut.height]).toEqual([4, 2])
  // IEC 61966-2-1: half the light is encoded as 188.
  expect([...cut.bytes.slice(0, 4)]).toEqual([188, 188, 188, 255])
  expect([...cutPatch(checks, { x: 2, y: 1, width: 2, height: 1 }, 9).bytes]).toEqual([
    255, 255, 255, 255, 0, 0, 0, 255,
  ])
  expect(() => cutPatch(checks, { x: 6, y: 0, width: 4, height: 4 }, 4)).toThrow(
    /must lie in the photo of 8 × 4/,
  )
})
