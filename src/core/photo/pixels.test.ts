import { squareAt, tappedSpot, type PhotoBytes } from './pixels'

/** A grey photo, brighter in places. */
function photo(
  width: number,
  height: number,
  greyAt: (x: number, y: number) => number,
): PhotoBytes {
  const bytes = new Uint8ClampedArray(width * height * 4)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      bytes.fill(greyAt(x, y), (y * width + x) * 4, (y * width + x) * 4 + 3)
  return { bytes, width, height }
}

test('bytes become linear as IEC 61966-2-1 has it', () => {
  // 188 is half the light of 255, 118 about 18 % (photographers' mid grey), from published tables.
  const { mean } = tappedSpot(
    photo(30, 30, () => 188),
    { x: 15, y: 15, halfPx: 10 },
  )
  expect(mean[0]).toBeCloseTo(0.5, 2)
  expect(
    tappedSpot(
      photo(30, 30, () => 118),
      { x: 15, y: 15, halfPx: 10 },
    ).mean[1],
  ).toBeCloseTo(0.18, 2)
})

test('a card in falling light is uneven, an even one is not', () => {
  const square = { x: 20, y: 20, halfPx: 10 }
  expect(
    tappedSpot(
      photo(40, 40, () => 180),
      square,
    ).unevenness,
  ).toBeLessThan(1e-6)
  expect(
    tappedSpot(
      photo(40, 40, (x) => 140 + 2 * x),
      square,
    ).unevenness,
  ).toBeGreaterThan(0.1)
})

test('a square near the edge is moved into the photo', () => {
  expect(squareAt({ width: 100, height: 60 }, 2, 58, 10)).toEqual({ x: 10, y: 49, halfPx: 10 })
})
