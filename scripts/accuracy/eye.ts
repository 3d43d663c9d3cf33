import { AS_THE_MODEL, EYE_LIMITS } from '../../src/core/eye/factors'
import { learnEye } from '../../src/core/eye/learn'
import { simulatedLooks } from '../../src/core/eye/simulated-eye.fixture'
import { PRACTICE_KINDS, QUESTION_KINDS } from '../../src/core/practice/kinds'
import { practised, simulatedLearner } from '../../src/core/practice/simulated-learner.fixture'
import { stepOf } from '../../src/core/practice/staircase'

const LOOKS = 120
const SEEDS = Array.from({ length: 10 }, (_, n) => 7 + 31 * n)
const mean = (values: readonly number[]): number =>
  values.reduce((sum, each) => sum + each, 0) / values.length

/** What is recovered of a simulated eye's own limits, and how far one that is as the model is moved. */
export function printEye(): void {
  console.log(
    `\nA simulated eye, one limit 25 % off, ${LOOKS} looks at pairs in which it is at stake, ten seeds: share of it recovered`,
  )
  for (const limit of EYE_LIMITS) {
    const shares = [0.75, 1.25].map((own) => {
      const found = SEEDS.map(
        (seed) =>
          learnEye(simulatedLooks({ ...AS_THE_MODEL, [limit]: own }, LOOKS, seed, limit))[limit],
      )
      return `${own}: ${Math.round((100 * (mean(found) - 1)) / (own - 1))} % (${found.map((each) => each.toFixed(2)).join(' ')})`
    })
    console.log(`  ${limit}: ${shares.join('; ')}`)
  }
  const ordinary = [0.75, 1.25].map((own) => {
    const found = SEEDS.map(
      (seed) => learnEye(simulatedLooks({ ...AS_THE_MODEL, clashes: own }, LOOKS, seed)).clashes,
    )
    return `${own}: ${Math.round((100 * (mean(found) - 1)) / (own - 1))} %`
  })
  console.log(`  clashes, from looks at whatever is held up: ${ordinary.join('; ')}`)
  const unmoved = SEEDS.map((seed) => learnEye(simulatedLooks(AS_THE_MODEL, LOOKS, seed)))
  console.log(
    `An eye as the model is, moved by (mean of ten): ${EYE_LIMITS.map(
      (limit) =>
        `${limit} ${(100 * mean(unmoved.map((each) => Math.abs(each[limit] - 1)))).toFixed(1)} %`,
    ).join(', ')}`,
  )
}

/** What the staircase finds of simulated learners, over their own thresholds. */
export function printStaircase(): void {
  console.log(
    '\nThe staircase over a simulated learner’s own step, 200 answers, ten seeds: typical error',
  )
  for (const kind of PRACTICE_KINDS) {
    const { least, start } = QUESTION_KINDS[kind]
    const off = [1.3 * least, 1.3 * start].map((error) => {
      const own = simulatedLearner(error, 1).threshold(kind)
      const logs = SEEDS.map((seed) =>
        Math.log(stepOf(kind, practised(simulatedLearner(error, seed), kind, 200)).step / own),
      )
      return `${Math.round(100 * Math.sqrt(mean(logs.map((each) => each * each))))} %`
    })
    console.log(`  ${kind}: ${off.join(', ')}`)
  }
}
