import config from './jest.config.mjs'

const [unit] = config.projects

/** The tests that hold what `stryker.config.mjs` breaks; none of it reads photos, whose tests are slow. */
export default {
  ...unit,
  displayName: undefined,
  testTimeout: config.testTimeout,
  testMatch: [
    '<rootDir>/src/core/{pairing,light,colour,paint,record,ranking,undertone}/**/*.test.ts',
    '<rootDir>/src/core/{invalid-input,model-version}.test.ts',
  ],
}
