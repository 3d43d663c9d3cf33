import { defineConfig } from '@playwright/test'
import { launchOptions } from './scripts/lib/browser.mjs'

export default defineConfig({
  testDir: 'tests',
  testMatch: '**/*.spec.ts',
  outputDir: 'test-results',
  globalSetup: './tests/global-setup.ts',
  workers: 2,
  fullyParallel: true,
  timeout: 60_000,
  expect: { timeout: 10_000 },
  reporter: [['list'], ['json', { outputFile: '.cache/e2e-results.json' }]],
  // Each test would take every visit along anew; tests/offline.spec.ts has a browser of its own that does.
  use: {
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    launchOptions,
    serviceWorkers: 'block',
  },
})
