const shared = {
  rootDir: import.meta.dirname,
  transform: {
    '\\.[cm]?[jt]sx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
          target: 'es2022',
        },
      },
    ],
  },
  // ESM-only packages that Jest has to compile.
  transformIgnorePatterns: [
    '/node_modules/(?!(suncalc|culori|colorjs\\.io|temporal-|city-timezones)/?)',
  ],
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    '^fast-check$': '<rootDir>/tests/same-cases.ts',
  },
  // A global of Jest's own context is looked up anew each time: what computes took four times as long.
  sandboxInjectedGlobals: [
    ...['Math', 'Number', 'Object', 'Array', 'Map', 'Set', 'JSON', 'String'],
    ...['Float64Array', 'Float32Array', 'Uint8Array', 'Uint8ClampedArray', 'Uint16Array'],
    ...['Uint32Array', 'Int32Array'],
  ],
}

// What needs a database runs on both engines.
const DATA = ['<rootDir>/src/{db,commands,app}/**/*.test.ts']

export default {
  // Every core: by default Jest leaves one idle, on two that is half.
  maxWorkers: '100%',
  // A slow machine is no failure: nothing is timed here.
  testTimeout: 120_000,
  projects: [
    {
      ...shared,
      displayName: 'unit',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{src,demo,scripts}/**/*.test.ts'],
      testPathIgnorePatterns: ['/node_modules/', '<rootDir>/src/(db|commands|app)/'],
    },
    {
      ...shared,
      displayName: 'embedded',
      testEnvironment: '<rootDir>/tests/pglite-environment.mjs',
      testMatch: DATA,
    },
    {
      ...shared,
      displayName: 'server',
      globalSetup: '<rootDir>/tests/postgres-setup.mjs',
      globalTeardown: '<rootDir>/tests/postgres-teardown.mjs',
      testEnvironment: '<rootDir>/tests/postgres-environment.mjs',
      testMatch: DATA,
      testPathIgnorePatterns: ['/node_modules/', 'data-dir-lock'],
    },
  ],
}
