import { createRequire } from 'node:module'
import { TestEnvironment } from 'jest-environment-node'

// What Stryker adds to an environment is given to those that require it, and to no other.
const { mixinJestEnvironment } = createRequire(import.meta.url)('@stryker-mutator/jest-runner')

// Which mutant a test has noticed, over the files of a worker: nothing more has to be asked of that one.
let noticed

/** For `npm run mutants`: once a test has failed, the others of the same mutant are passed over. */
class MutantsEnvironment extends TestEnvironment {
  handleTestEvent({ name, test }) {
    const mutant = process.env.__STRYKER_ACTIVE_MUTANT__
    if (!mutant) return
    if (name === 'test_fn_failure') noticed = mutant
    if (name === 'test_start' && noticed === mutant) test.mode = 'skip'
  }
}

export default mixinJestEnvironment(MutantsEnvironment)
