import { join } from 'node:path'
import config from './jest.config.mjs'

const [unit] = config.projects

/** How `npm run mutants` tests what it breaks: with the tests it names for the area. */
export default {
  ...unit,
  displayName: undefined,
  testEnvironment: join(import.meta.dirname, 'tests/mutants-environment.cjs'),
  testSequencer: join(import.meta.dirname, 'tests/mutants-order.cjs'),
  testTimeout: config.testTimeout,
  setupFiles: ['<rootDir>/jest.mutants.setup.ts'],
  testMatch: process.env.MUTANTS_TESTS?.split(' ').map(
    (test) => `<rootDir>/src/core/${test}.test.ts`,
  ),
}
