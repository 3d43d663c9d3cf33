import { atLeastNone, hump, step } from './shapes'

test('the tabled shapes are the logistic step and the bell to a hundred-thousandth, and end at 0 and 1', () => {
  for (let x = -40; x <= 40; x += 0.137) {
    expect(Math.abs(step(x, 3, 2) - 1 / (1 + Math.exp((3 - x) / 2)))).toBeLessThan(1e-5)
    expect(Math.abs(hump(x, 9) - Math.exp(-((x / 9) ** 2)))).toBeLessThan(1e-5)
  }
  expect([step(-1e9, 0, 1), step(1e9, 0, 1), step(NaN, 0, 1)]).toEqual([0, 1, 0])
  expect([hump(0, 4), hump(1e9, 4)]).toEqual([1, 0])
  expect([atLeastNone(-50, 0.1), atLeastNone(3, 0), atLeastNone(0, 2)]).toEqual([
    expect.closeTo(0, 4),
    3,
    1,
  ])
})
