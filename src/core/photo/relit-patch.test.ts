import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { correctedPicture } from './corrected-picture'
import { latticeOf } from './lattice'
import { KEPT_ASIDE, photographed, quantile, relitMisses } from './photo-trials.fixture'
import type { PhotoBytes } from './pixels'
import { relitPatch } from './relit-patch'

const pictureOf = (...pixels: (readonly [number, number, number])[]): PhotoBytes => ({
  bytes: Uint8ClampedArray.from(pixels.flatMap((pixel) => [...pixel, 255])),
  width: pixels.length,
  height: 1,
})
const pixelsOf = ({ bytes }: PhotoBytes): number[][] =>
  Array.from({ length: bytes.length / 4 }, (_, i) => [...bytes.slice(4 * i, 4 * i + 3)])

test('from spectra: seen in one light, photographed with a card, corrected and relit into another, within 2 ΔE00 in the median', () => {
  // Cameras, lights and finishes that the reader was not tuned by; every one of them in `npm run accuracy`.
  const misses = KEPT_ASIDE.cameras
    .slice(0, 2)
    .flatMap((make) =>
      ['north sky', 'LED 3000 K, Ra 82'].flatMap((light) => relitMisses(KEPT_ASIDE, make, light)),
    )
  expect(misses.length).toBeGreaterThan(150)
  expect(quantile(misses, 0.5)).toBeLessThan(2)
})

test('a picture that is not corrected, or not relit, misses by more', () => {
  const [make] = KEPT_ASIDE.cameras
  const light = 'LED 3000 K, Ra 82'
  const { photo, readable } = photographed(KEPT_ASIDE, make!, light, 'steps')
  const misses = quantile(relitMisses(KEPT_ASIDE, make!, light), 0.5)
  const asTaken = relitMisses(KEPT_ASIDE, make!, light, () => photo)
  expect(quantile(asTaken, 0.5)).toBeGreaterThan(1.3 * misses)
  const unlit = relitMisses(
    KEPT_ASIDE,
    make!,
    light,
    () => correctedPicture(photo, readable),
    (picture) => () => picture,
  )
  expect(quantile(unlit, 0.5)).toBeGreaterThan(1.3 * misses)
})

test('between its nodes a lattice is straight, at them exact; a picture that becomes itself stays as it is', () => {
  const photo = pictureOf([0, 0, 0], [255, 255, 255], [51, 102, 204], [60, 100, 198], [1, 254, 8])
  const { nodes, through } = latticeOf(photo)
  expect(pixelsOf(through(Float64Array.from(nodes.flat())))).toEqual(pixelsOf(photo))
  // Halved at the nodes it is halved between them.
  const halved = through(Float64Array.from(nodes.flat(), (v) => v / 2))
  expect(pixelsOf(halved)[3]).toEqual([30, 50, 99])
  expect(() => through(new Float64Array(3))).toThrow(/need three numbers each, got 3/)
  expect(() => through(new Float64Array(3 * nodes.length).fill(NaN))).toThrow(RangeError)
})

test('glare, clipped pixels and colours that no surface has are drawn all the same, as near as a surface comes', () => {
  const relit = relitPatch(
    pictureOf([255, 255, 255], [0, 0, 0], [255, 255, 0], [0, 255, 0], [0, 0, 255]),
  )(prepareLight(daylightSpectrum(6504), 400))
  const [white, black, yellow, green, blue] = pixelsOf(relit)
  expect(Math.min(...white!)).toBeGreaterThan(225)
  expect(Math.max(...black!)).toBeLessThan(30)
  expect(yellow![2]).toBeLessThan(Math.min(yellow![0]!, yellow![1]!) - 60)
  expect(green![1]).toBeGreaterThan(Math.max(green![0]!, green![2]!) + 60)
  expect(blue![2]).toBeGreaterThan(Math.max(blue![0]!, blue![1]!) + 60)
  expect(() => relitPatch({ bytes: new Uint8ClampedArray(4), width: 3, height: 1 })).toThrow(
    /four bytes a pixel, got 4/,
  )
})
