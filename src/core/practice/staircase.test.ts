import { PRACTICE_KINDS, QUESTION_KINDS, type PracticeKind } from './kinds'
import { practised, simulatedLearner } from './simulated-learner.fixture'
import { AT_FIRST, learnt, stepOf } from './staircase'

const QUESTIONS = 200
const SEEDS = 8

/** What the staircase makes of learners of one error, over their own threshold, seed by seed. */
function found(kind: PracticeKind, error: number): number[] {
  const own = simulatedLearner(error, 1).threshold(kind)
  return Array.from(
    { length: SEEDS },
    (_, seed) =>
      stepOf(kind, practised(simulatedLearner(error, 100 + seed), kind, QUESTIONS)).step / own,
  )
}

// Learners whose thresholds lie above the hardest question there is.
test.each(PRACTICE_KINDS)(
  'the staircase finds the step of a simulated learner within 20 %%: %s',
  (kind) => {
    // Larger errors as well, and more seeds, by `npm run accuracy`.
    const off = found(kind, 1.3 * QUESTION_KINDS[kind].least).map((over) => Math.log(over))
    const typical = Math.sqrt(off.reduce((sum, each) => sum + each * each, 0) / off.length)
    expect(typical).toBeLessThan(Math.log(1.2))
  },
)

test('nothing answered leaves the start; right answers bring it down and wrong ones up', () => {
  const kind = 'which of two'
  const { start } = QUESTION_KINDS[kind]
  const after = (isRight: boolean, times = 1) =>
    learnt(Array.from({ length: times }, () => ({ kind, level: start, isRight })))
  expect(learnt([]).mean).toBeCloseTo(AT_FIRST.mean, 2)
  expect(after(true).mean).toBeLessThan(learnt([]).mean)
  expect(after(false).mean).toBeGreaterThan(learnt([]).mean)
  expect(after(true, 40).spread).toBeLessThan(AT_FIRST.spread)
})
