import { AS_THE_MODEL, EYE_LIMITS, factorWords, MOST_MOVED } from './factors'
import { chanceTo, learnEye, lessonOf, toldBy } from './learn'
import { simulatedLooks } from './simulated-eye.fixture'

// `npm run accuracy` prints ten seeds of every limit; here the one that most pairs hang on, and fewer of them.
const SEEDS = [7, 38, 69]
const LOOKS = 120
const mean = (values: readonly number[]): number =>
  values.reduce((sum, each) => sum + each, 0) / values.length

test.each([0.75, 1.25])(
  'an eye whose line of a clash is at %d of the model’s is recovered to a third or better',
  (own) => {
    const eye = { ...AS_THE_MODEL, clashes: own }
    const found = SEEDS.map((seed) => learnEye(simulatedLooks(eye, LOOKS, seed, 'clashes')))
    expect(Math.abs(mean(found.map(({ clashes }) => clashes)) - 1)).toBeGreaterThan(0.25 / 3)
    for (const factors of found) {
      expect(Math.sign(factors.clashes - 1)).toBe(Math.sign(own - 1))
      for (const limit of EYE_LIMITS)
        expect(Math.abs(factors[limit] - 1)).toBeLessThanOrEqual(MOST_MOVED)
    }
  },
)

test('an eye that is as the model is hardly moved', () => {
  const found = SEEDS.map((seed) => learnEye(simulatedLooks(AS_THE_MODEL, LOOKS, seed)))
  for (const limit of EYE_LIMITS)
    expect(mean(found.map((factors) => Math.abs(factors[limit] - 1)))).toBeLessThan(0.05)
})

test('under thirty looks nothing is learnt; from there on it is tried on looks that it was not learnt from', () => {
  const eye = { ...AS_THE_MODEL, clashes: 0.75 }
  expect(lessonOf(simulatedLooks(eye, 29, 3))).toBeNull()
  const looks = simulatedLooks(eye, 300, 3, 'clashes')
  const lesson = lessonOf(looks)!
  expect(lesson.learntFrom + lesson.with.looks).toBe(300)
  expect(lesson.with.looks).toBeGreaterThan(60)
  expect(lesson.without.looks).toBe(lesson.with.looks)
  expect(lesson.with.surprise).toBeLessThan(lesson.without.surprise)
})

test('a laxer line lets more pass, and the model’s own changes nothing', () => {
  const [look] = simulatedLooks(AS_THE_MODEL, 1, 5, 'clashes')
  const at = (clashes: number): number => chanceTo(look!, { ...AS_THE_MODEL, clashes })
  expect(at(0.8)).toBeLessThan(at(1))
  expect(at(1.2)).toBeGreaterThan(at(1))
  expect(toldBy([], AS_THE_MODEL)).toEqual({ looks: 0, surprise: 0, agreed: 0 })
})

test('what is moved is said in the trade’s words', () => {
  expect(factorWords(AS_THE_MODEL)).toBe('no limit is moved')
  expect(factorWords({ clashes: 1.12, dirties: 0.9, 'near miss': 1.001 })).toBe(
    'lets 12 % more pass before two leans clash; lets 10 % less pass before one makes the other look dirty',
  )
})
