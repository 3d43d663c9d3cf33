import { join } from 'node:path'
import config from './jest.config.mjs'

const [unit] = config.projects

/** How `npm run mutants` tests what it breaks: with the tests it has put into one file. */
export default {
  ...unit,
  displayName: undefined,
  testEnvironment: join(import.meta.dirname, 'tests/mutants-environment.mjs'),
  testTimeout: config.testTimeout,
  setupFiles: ['<rootDir>/jest.mutants.setup.ts'],
  testMatch: ['<rootDir>/src/core/mutants-together.ts'],
}
