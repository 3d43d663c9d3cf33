/**
 * `npm run mutants`: breaks what is judged by in small ways and looks whether a test notices. At most 1,500 mutants and
 * half an hour on two cores; apart from `npm test`. `npm run mutants -- light` breaks one area only, `-- daylight 12` only the
 * first twelve lines of each of its files.
 */
import { mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { Stryker } from '@stryker-mutator/core'

const LEAST_NOTICED = 0.85

// The tests of an area in one file: what they stand on is loaded once for a mutant, not once a file. `jest.mutants.config.mjs`.
const TOGETHER = 'src/core/mutants-together.ts'

/** What is broken, and the tests that have to notice, what takes long last: it is asked of what nothing else has noticed. */
const AREAS = {
  cells: { mutate: ['record/cell'], tests: ['record/cell'] },
  judging: {
    mutate: [
      ...[
        'judge-pair',
        'pair-reading',
        'parts',
        'role',
        'score',
        'terms',
        'between',
        'sides',
        'shapes',
      ],
      ...['quick-score', 'said-of-pair', 'reason', 'wall-on-finish', 'chance'],
    ].map((file) => `pairing/${file}`),
    tests: [
      ...[
        'chance',
        'role',
        'score',
        'said-of-pair',
        'wall-on-finish',
        'parts',
        'shapes',
        'quick-score',
      ],
      ...[
        'judge-pair',
        'pair-reading',
        'trade-cases',
        '../../../scripts/fit/scores',
        '../model-version',
      ],
    ].map((file) => `pairing/${file}`),
  },
  rooms: {
    mutate: [
      ...['ranking/room-terms', 'ranking/worth', 'ranking/what-blocks', 'ranking/next-try'],
      ...['undertone/plain-name', 'undertone/name', 'advice/wishes'],
    ],
    tests: [
      ...['undertone/names', 'ranking/worths', 'ranking/worth', 'ranking/what-blocks'],
      ...['ranking/next-try', 'undertone/plain-name', 'undertone/name', 'undertone/neutrals'],
      ...['advice/wishes', 'advice/room-advice', 'ranking/rank-for-room'],
    ],
  },
  strength: { mutate: ['paint/strength'], tests: ['paint/strength'] },
  daylight: { mutate: ['colour/daylight'], tests: ['colour/daylight', 'colour/led'] },
  light: {
    mutate: ['lamp-light', 'sky', 'window-light', 'daylight-factor'].map((file) => `light/${file}`),
    tests: [
      ...['sky', 'daylight-factor', 'lamp-light', 'walls', 'window-sun', 'sky-vault'],
      ...['lamps-alone', 'room-light', 'window-light'],
    ].map((file) => `light/${file}`),
  },
}

const asked = process.argv.slice(2).filter((word) => !/^\d+$/.test(word))
const lines = process.argv.slice(2).find((word) => /^\d+$/.test(word))
const unknown = asked.filter((name) => !(name in AREAS))
if (unknown.length > 0)
  throw new Error(`${unknown.join(', ')} is no area: ${Object.keys(AREAS).join(', ')} are.`)

const started = Date.now()
const results = []
for (const [name, { mutate, tests }] of Object.entries(AREAS)) {
  if (asked.length > 0 && !asked.includes(name)) continue
  const from = Date.now()
  writeFileSync(TOGETHER, tests.map((test) => `import './${test}.test'\n`).join(''))
  const found = await new Stryker({
    testRunner: 'jest',
    jest: { projectType: 'custom', configFile: 'jest.mutants.config.mjs' },
    mutate: mutate.map((file) => `src/core/${file}.ts${lines ? `:1-${lines}` : ''}`),
    coverageAnalysis: 'perTest',
    ignoreStatic: true,
    concurrency: 2,
    timeoutMS: 5_000,
    timeoutFactor: 1.25,
    reporters: ['progress-append-only'],
    tempDirName: '.cache/mutants/sandbox',
    ignorePatterns: ['/data', '/.next', '/test-results', '/docs', '/.cache'],
  })
    .runMutationTest()
    .finally(() => rmSync(TOGETHER))
  results.push(...found.map((mutant) => ({ ...mutant, area: name })))
  console.log(`${name}: ${line(found)}, ${minutes(from)} min`)
}

const survivors = results.filter(({ status }) => status === 'Survived' || status === 'NoCoverage')
const list = survivors
  .map(
    (m) =>
      `${m.fileName.replace(/.*src\//, 'src/')}:${m.location.start.line}:${m.location.start.column} ${m.mutatorName} → ${m.replacement}`,
  )
  .sort()
mkdirSync('.cache/mutants', { recursive: true })
writeFileSync('.cache/mutants/survivors.txt', `${list.join('\n')}\n`)
console.log(`\n${list.join('\n')}\n\nAll: ${line(results)}, ${minutes(started)} min`)
if (noticed(results) < LEAST_NOTICED) process.exitCode = 1

function counted(mutants) {
  return mutants.filter(
    ({ status }) => status !== 'Ignored' && status !== 'CompileError' && status !== 'RuntimeError',
  )
}
function noticed(mutants) {
  const all = counted(mutants)
  return all.filter(({ status }) => status === 'Killed' || status === 'Timeout').length / all.length
}
function line(mutants) {
  const out = mutants.filter(({ status }) => status === 'Timeout').length
  return `${counted(mutants).length} mutants, ${(100 * noticed(mutants)).toFixed(1)} % noticed (${out} by a time-out)`
}
function minutes(from) {
  return ((Date.now() - from) / 60_000).toFixed(1)
}
