import { ciede2000 } from '../colour/ciede2000'
import { labFromXyz } from '../colour/lab'
import { linearRgbFromHex, xyzFromLinearRgb, type LinearRgb } from '../colour/srgb'
import { seededRandom } from '../seeded-random'
import { paletteOf } from './palette'

const random = seededRandom(12)
/** Pixels of known colours in known shares, with grain. */
function synthetic(
  truth: readonly (readonly [hex: string, share: number])[],
  count: number,
): Float32Array {
  const pixels = new Float32Array(count * 3)
  let at = 0
  for (const [hex, share] of truth) {
    const rgb = linearRgbFromHex(hex)
    for (let i = 0; i < count * share; i++)
      for (const channel of rgb) pixels[at++] = Math.max(0, channel * (1 + 0.06 * (random() - 0.5)))
  }
  return pixels
}
const lab = (rgb: LinearRgb) => labFromXyz(xyzFromLinearRgb(rgb))

test('colours and shares of a synthetic finish come back', () => {
  const truth = [
    ['#b99a82', 0.62],
    ['#7d6a60', 0.23],
    ['#d9d2c8', 0.1],
    ['#5b3d33', 0.05],
  ] as const
  const found = paletteOf(synthetic(truth, 30_000))
  expect(found).toHaveLength(4)
  truth.forEach(([hex, share], i) => {
    expect(Math.abs(found[i]!.sharePercent - 100 * share)).toBeLessThan(3)
    expect(ciede2000(lab(found[i]!.rgb), lab(linearRgbFromHex(hex)))).toBeLessThan(2)
  })
})

test('one plain colour stays one, nothing is nothing', () => {
  expect(paletteOf(synthetic([['#888079', 1]], 5000))).toHaveLength(1)
  expect(paletteOf(new Float32Array(0))).toEqual([])
})

test('it tells how far it is, and its shares never exceed the whole', () => {
  const told: number[] = []
  const found = paletteOf(
    synthetic(
      [
        ['#aa3322', 0.5],
        ['#22aa33', 0.5],
      ],
      2000,
    ),
    0,
    (done) => told.push(done),
  )
  expect(told.at(-1)).toBe(1)
  expect(found.reduce((sum, { sharePercent }) => sum + sharePercent, 0)).toBeLessThanOrEqual(
    100.001,
  )
})

test('two finishes close to one another stay two, one in falling light stays one', () => {
  // ΔE00 about 4 apart with a slight grain; and one finish lit from 0.85 to 1.15 without a step between.
  const close = [
    ['#97734f', 0.6],
    ['#a17a4a', 0.4],
  ] as const
  const found = paletteOf(synthetic(close, 20_000))
  expect(found).toHaveLength(2)
  expect(Math.abs(found[0]!.sharePercent - 60)).toBeLessThan(3)
  const falling = synthetic([['#97734f', 1]], 20_000)
  falling.forEach((channel, i) => (falling[i] = channel * (0.93 + (0.14 * i) / falling.length)))
  expect(paletteOf(falling)).toHaveLength(1)
})
