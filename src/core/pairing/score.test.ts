import { lifted, sumOf } from './score'

test('what hardly shows can hardly spoil anything: a score counts by its share of the way from ten', () => {
  expect(lifted(3, 1)).toBe(3)
  expect(lifted(3, 0.5)).toBe(6.5)
  expect(lifted(3, 0)).toBe(10)
  // Of ten raters no fewer than none and no more than all say that it works.
  expect([lifted(-4, 1), lifted(12, 1), lifted(-4, 0.5)]).toEqual([0, 10, 5])
})

test('a sum of any length is the sum', () => {
  for (const count of [0, 1, 3, 4, 5, 8, 11]) {
    const [terms, weights] = [new Float64Array(count), new Float64Array(count)]
    let plain = 0
    for (let i = 0; i < count; i++) {
      terms[i] = i + 1
      weights[i] = i % 2 ? -2 : 3
      plain += terms[i]! * weights[i]!
    }
    expect(sumOf(terms, weights)).toBe(plain)
  }
})
