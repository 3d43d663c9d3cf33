import { atLeastNone, hump, placeIn, shapeAt, step, tabled, WIDTH } from './shapes'

test('a table says what its shapes are, to a ten-thousandth, and at its ends what they are there', () => {
  const shapes = [(x: number) => step(x, 3, 2), (x: number) => hump(x, 9)]
  const table = tabled(-40, 40, 8, shapes)
  const said = (x: number): number[] => {
    const place = placeIn(table, x)
    const cell = place | 0
    return shapes.map((_, k) => shapeAt(table.rows, cell * WIDTH + k, place - cell))
  }
  for (let x = -40; x <= 40; x += 0.137)
    said(x).forEach((each, k) => expect(Math.abs(each - shapes[k]!(x))).toBeLessThan(1e-4))
  expect(said(1e9)[0]).toBeCloseTo(1, 6)
  expect(said(-1e9)).toEqual(said(-40))
  expect(said(NaN)).toEqual(said(-40))
})

test('a step is one half in its middle, a bell one in its own, and a rounded corner never falls', () => {
  expect([step(3, 3, 2), hump(0, 4), atLeastNone(3, 0), atLeastNone(0, 2)]).toEqual([0.5, 1, 3, 1])
  expect([step(1e9, 0, 1), step(-1e9, 0, 1), hump(1e9, 4)]).toEqual([1, 0, 0])
  expect(atLeastNone(-50, 0.1)).toBeCloseTo(0, 4)
})
