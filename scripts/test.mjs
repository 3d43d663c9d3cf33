// npm test: everything from a fresh clone to one line, "N passed, N failed", and a true exit code.
import { spawnSync } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { ensureBrowser } from './lib/browser.mjs'
import { ensurePostgres } from './lib/postgres.mjs'
import { ensureBuild, ensurePackages, root } from './lib/prepare.mjs'

const started = Date.now()
let passed = 0
let failed = 0
const results = (name) => join(root, '.cache', name)

await ensurePackages()
ensureBrowser()
ensurePostgres()
mkdirSync(join(root, '.cache'), { recursive: true })

check('lint', 'npx', [
  'eslint',
  '--max-warnings',
  '0',
  '--cache',
  '--cache-location',
  '.cache/eslint',
  '.',
])
check('format', 'npx', [
  'prettier',
  '--check',
  '--log-level',
  'warn',
  '--cache',
  '--cache-location',
  '.cache/prettier',
  '.',
])
check('imports', 'npx', [
  'depcruise',
  'src',
  'demo',
  '--config',
  '.dependency-cruiser.cjs',
  '--output-type',
  'err',
])
check('types', 'npx', ['next', 'typegen'], ['tsc', '--noEmit'])

rmSync(results('unit-results.json'), { force: true })
run('npx', ['jest', '--json', '--outputFile', results('unit-results.json')])
count('unit tests', () => {
  const { numPassedTests, numFailedTests, testResults } = JSON.parse(
    readFileSync(results('unit-results.json')),
  )
  const unread = testResults.filter(
    (file) => file.status === 'failed' && file.assertionResults.length === 0,
  )
  return [numPassedTests, numFailedTests + unread.length]
})

rmSync(results('e2e-results.json'), { force: true })
try {
  await ensureBuild()
  run('npx', ['playwright', 'test'])
} catch (error) {
  console.error(error.message)
}
count('end-to-end tests', () => {
  const { stats, errors } = JSON.parse(readFileSync(results('e2e-results.json')))
  return [stats.expected, stats.unexpected + stats.flaky + errors.length]
})

console.log(`Took ${Math.round((Date.now() - started) / 1000)} s`)
console.log(`${passed} passed, ${failed} failed`)
process.exit(failed === 0 && passed > 0 ? 0 : 1)

function run(program, args) {
  const { status } = spawnSync(program, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', npm_config_loglevel: 'error' },
  })
  return status === 0
}

/** A check that passes or fails as one; several commands of npx one after another. */
function check(name, program, ...commands) {
  const well = commands.every((args) => run(program, args))
  console.log(`${well ? 'passed' : 'FAILED'}: ${name}`)
  if (well) passed++
  else failed++
}

/** Adds a runner's own figures; one failure when it left none. */
function count(name, read) {
  try {
    const [well, ill] = read()
    passed += well
    failed += ill
    console.log(`${name}: ${well} passed, ${ill} failed`)
  } catch (error) {
    failed++
    console.log(`${name}: no result (${error.message})`)
  }
}
