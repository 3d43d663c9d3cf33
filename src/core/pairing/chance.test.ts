import { chancePercent, isBad, isGood, judgedWords, judgementOf } from './chance'

test.each([
  [1, 'works'],
  [0.85, 'works'],
  [0.849, 'likely works'],
  [0.6, 'likely works'],
  [0.599, 'unsure'],
  [0.401, 'unsure'],
  [0.4, 'likely not'],
  [0.151, 'likely not'],
  [0.15, 'no'],
  [0, 'no'],
])('a chance of %d is called %s', (chance, word) => {
  expect(judgedWords(chance)).toBe(word)
})

test('the figure beside a word is one that the word stands for, near the chance, and never certain', () => {
  for (let chance = 0; chance <= 1.00001; chance += 0.001) {
    const percent = Number(/^(\d+) %$/.exec(chancePercent(chance))![1])
    expect(judgementOf(percent / 100)).toBe(judgementOf(chance))
    expect(Math.abs(percent - 100 * chance)).toBeLessThanOrEqual(5.01)
    expect(percent % 5).toBe(0)
    expect(percent).toBeGreaterThan(0)
    expect(percent).toBeLessThan(100)
  }
})

test('good and bad are the likely and the firm of either side', () => {
  for (let chance = 0; chance <= 1; chance += 0.01) {
    expect(isGood(chance)).toBe(['works', 'likely-works'].includes(judgementOf(chance)))
    expect(isBad(chance)).toBe(['no', 'likely-not'].includes(judgementOf(chance)))
  }
  expect([isGood(0.6), isBad(0.4), judgementOf(1 - 0.85)]).toEqual([true, true, 'no'])
})
