import config from './jest.config.mjs'

const [unit] = config.projects

/** The tests that hold what `stryker.config.mjs` breaks: those beside it, and the digest of the model's answers. */
export default {
  ...unit,
  displayName: undefined,
  testTimeout: config.testTimeout,
  setupFiles: ['<rootDir>/jest.mutants.setup.ts'],
  testMatch: [
    '<rootDir>/src/core/pairing/*.test.ts',
    '<rootDir>/src/core/light/{daylight-factor,lamp-light,lamps-alone,room-light,sky,sky-vault,walls,window-light}.test.ts',
    '<rootDir>/src/core/colour/{daylight,illuminants,led}*.test.ts',
    '<rootDir>/src/core/paint/strength*.test.ts',
    '<rootDir>/src/core/record/cell.test.ts',
    '<rootDir>/src/core/{invalid-input,model-version}.test.ts',
  ],
}
