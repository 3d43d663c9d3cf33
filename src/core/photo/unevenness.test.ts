import { tappedSpot, type PhotoBytes } from './pixels'
import { PHOTOGRAPHED } from './photographed-finishes.fixture'
import { TEST_CAMERAS, TEST_LIGHTS, testShot } from './test-cameras.fixture'
import { evened, unevennessByCard, unevennessByRepeats } from './unevenness'

const CAMERA = TEST_CAMERAS.find(({ vignetting }) => vignetting)!
const [WIDTH, HEIGHT] = [240, 160] as const
const square = (x: number, y: number) => ({ x, y, halfPx: 8 })

/** A white card in a corner and three times on a finish that fills the photo, by a camera whose lens darkens its corners. */
function photo(lossAt: (x: number, y: number) => number): PhotoBytes {
  const shot = testShot(CAMERA, TEST_LIGHTS.D65)
  const bytes = new Uint8ClampedArray(WIDTH * HEIGHT * 4)
  const shades = (of: (nm: number) => number) =>
    Array.from({ length: 31 }, (_, i) => shot.of(of, 1 - i / 100, 60))
  const [white, finish] = [shades(() => 0.9), shades(PHOTOGRAPHED[7]!)]
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++) {
      const surface = x < 40 && y < 40 ? white! : finish!
      const shade = surface[Math.round(100 * lossAt((x - 120) / 144, (y - 80) / 144))]!
      bytes.set([...shade, 255], (y * WIDTH + x) * 4)
    }
  return { bytes, width: WIDTH, height: HEIGHT }
}
const lightness = (of: PhotoBytes, x: number, y: number): number =>
  tappedSpot(of, square(x, y)).mean[1]

test('light that falls off from one side to the other is told by three places of one surface, and taken out', () => {
  const falling = photo((x) => 0.13 + 0.15 * x)
  const told = unevennessByRepeats(falling, [square(60, 120), square(200, 120), square(140, 30)])
  // From the left edge to the right one the light falls from 0.995 to 0.745: the logarithm of their ratio.
  expect(told.falloff!.across).toBeCloseTo(Math.log(0.745 / 0.995), 1)
  expect(Math.abs(told.falloff!.down)).toBeLessThan(0.03)
  const before = lightness(falling, 210, 130) / lightness(falling, 60, 130)
  const even = evened(falling, told.falloff!)
  const after = lightness(even, 210, 130) / lightness(even, 60, 130)
  expect(before).toBeLessThan(0.9)
  expect(Math.abs(after - 1)).toBeLessThan(0.03)
})

test('a lens that darkens the corners by 10 % leaves a rest that is said', () => {
  const vignetted = photo((x, y) => CAMERA.vignetting! * (x * x + y * y))
  const told = unevennessByRepeats(vignetted, [square(120, 80), square(225, 145), square(225, 15)])
  expect(told.share).toBeGreaterThanOrEqual(0.012)
  // No plane is a bowl: the light at the far corner stays within what is said, twice.
  const even = evened(vignetted, told.falloff!)
  const off = lightness(even, 225, 145) / lightness(even, 120, 80) - 1
  expect(Math.abs(off)).toBeLessThan(Math.max(0.04, 2 * told.share))
})

test('a card that lies in falling light says so by itself; an even one says the least', () => {
  expect(
    unevennessByCard(
      photo(() => 0),
      square(20, 20),
    ).share,
  ).toBeLessThan(0.03)
  expect(
    unevennessByCard(
      photo((x) => 0.15 + 0.18 * x),
      square(20, 20),
    ).share,
  ).toBeGreaterThan(0.05)
})

test('one place tells no evenness', () => {
  expect(() =>
    unevennessByRepeats(
      photo(() => 0),
      [square(100, 100)],
    ),
  ).toThrow(/two places/)
})
