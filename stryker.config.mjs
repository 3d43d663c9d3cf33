/**
 * `npm run mutants`: breaks what is judged by in small ways and looks whether a test notices. At most 1,500 mutants and
 * half an hour on two cores; apart from `npm test`. The report lies in `.cache/mutants`.
 */
export default {
  testRunner: 'jest',
  jest: { projectType: 'custom', configFile: 'jest.mutants.config.mjs' },
  coverageAnalysis: 'perTest',
  ignoreStatic: true,
  concurrency: 2,
  timeoutMS: 5_000,
  timeoutFactor: 1.25,
  reporters: ['clear-text', 'json', 'html'],
  clearTextReporter: { logTests: false, reportTests: false },
  jsonReporter: { fileName: '.cache/mutants/mutation.json' },
  htmlReporter: { fileName: '.cache/mutants/mutation.html' },
  tempDirName: '.cache/mutants/sandbox',
  ignorePatterns: ['/data', '/.next', '/test-results', '/docs', '/.cache'],
  thresholds: { high: 95, low: 85, break: 85 },
  mutate: [
    'src/core/pairing/judge-pair.ts',
    'src/core/pairing/pair-reading.ts',
    'src/core/pairing/parts.ts',
    'src/core/pairing/strengths.ts',
    'src/core/pairing/wall-on-finish.ts',
    'src/core/pairing/chance.ts',
    'src/core/light/lamp-light.ts',
    'src/core/light/sky.ts',
    'src/core/light/window-light.ts',
    'src/core/light/daylight-factor.ts',
    'src/core/colour/daylight.ts',
    'src/core/paint/strength.ts',
    'src/core/record/cell.ts',
  ],
}
