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
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
}

export default {
  // Every core: by default Jest leaves one idle, on two that is half.
  maxWorkers: '100%',
  projects: [
    {
      ...shared,
      displayName: 'unit',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{src,demo,scripts}/**/*.test.ts'],
      testPathIgnorePatterns: ['/node_modules/', '<rootDir>/src/db/'],
    },
    {
      ...shared,
      displayName: 'db',
      testEnvironment: '<rootDir>/tests/pglite-environment.mjs',
      testMatch: ['<rootDir>/src/db/**/*.test.ts'],
    },
  ],
}
