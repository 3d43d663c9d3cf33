import { seededRandom } from '../seeded-random'
import { answered } from './answer.fixture'
import { facetScores, kindScores, scoreOverTime, whatNext } from './score'
import { chanceRight } from './staircase'

/** Answers of somebody who needs larger differences among greens. */
function weakAmongGreens(times: number, count = 240) {
  const random = seededRandom(5)
  return Array.from({ length: count }, (_, n) => {
    const lean = (['pink', 'yellow', 'green'] as const)[n % 3]!
    const level = 2 + 6 * random()
    const step = 2.5 * (lean === 'green' ? times : 1)
    const isRight = random() < chanceRight('which of two', level, step)
    return answered(n, isRight, { strand: { lean }, level, day: n / 20 })
  })
}

test('a lean that is weaker than the rest is found, with bounds that hold it, and is what to practise next', () => {
  const answers = weakAmongGreens(2)
  const [worst, ...rest] = facetScores(answers).filter(({ facet }) => facet === 'lean')
  expect(worst).toMatchObject({ value: 'green', answered: 80 })
  expect(worst!.low).toBeGreaterThan(1)
  for (const { low, high } of rest) {
    expect(low).toBeLessThan(1)
    expect(high).toBeGreaterThan(low)
  }
  expect(whatNext(answers)).toMatch(
    /^Practise green leans next: .* times as large .* of 80 answers/,
  )
})

test('where nothing is weaker, or too little was answered, that is said', () => {
  expect(whatNext(weakAmongGreens(1))).toMatch(/^Nothing stands out yet. Go on with “works or not”/)
  expect(whatNext(weakAmongGreens(4, 12))).toMatch(/^Nothing stands out/)
  expect(whatNext([])).toMatch(/^Nothing answered yet/)
})

test('twenty answers a point: a learner who gets sharper goes down, and every point has its bounds', () => {
  const random = seededRandom(8)
  const answers = Array.from({ length: 95 }, (_, n) => {
    const step = n < 40 ? 8 : 2
    const level = 2 + 8 * random()
    return answered(n, random() < chanceRight('which of two', level, step), { level })
  })
  const points = scoreOverTime(answers)
  expect(points.map(({ answered: n }) => n)).toEqual([20, 40, 60, 80, 95])
  expect(points[3]!.times).toBeLessThan(0.7 * points[0]!.times)
  for (const { times, low, high } of points) {
    expect(low).toBeLessThan(times)
    expect(high).toBeGreaterThan(times)
  }
})

test('a kind that was never asked claims nothing, one that is always right is finer than is asked', () => {
  const answers = Array.from({ length: 120 }, (_, n) => answered(n, true, { level: 2 }))
  const of = (kind: string) => kindScores(answers).find((each) => each.kind === kind)!
  expect(of('how light')).toMatchObject({ answered: 0, isBelowLeast: false })
  expect(of('which of two')).toMatchObject({ answered: 120, right: 120, isBelowLeast: true })
})
