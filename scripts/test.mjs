// npm test: everything from a fresh clone to one line, "N passed, N failed", and a true exit code.
import { spawn, spawnSync } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync, statfsSync } from 'node:fs'
import { join } from 'node:path'
import { ensureBrowser } from './lib/browser.mjs'
import { ensurePostgres } from './lib/postgres.mjs'
import { ensureBuild, ensurePackages, root, seedDemo } from './lib/prepare.mjs'

const started = Date.now()
let passed = 0
let failed = 0
// Stores of tests are copied and synced a hundred times over, which no test is about: in memory, where there is room.
const MEMORY = '/dev/shm'
function freeInMemory() {
  try {
    const { bavail, bsize } = statfsSync(MEMORY)
    return bavail * bsize
  } catch {
    return 0
  }
}

const OPTIONS = {
  cwd: root,
  stdio: ['ignore', 'inherit', 'inherit'],
  env: {
    ...process.env,
    NEXT_TELEMETRY_DISABLED: '1',
    npm_config_loglevel: 'error',
    ...(freeInMemory() > 4e9 && { TMPDIR: MEMORY }),
  },
}
const results = (name) => join(root, '.cache', name)

await ensurePackages()
mkdirSync(join(root, '.cache'), { recursive: true })

const ESLINT = [
  'eslint',
  '--max-warnings',
  '0',
  '--cache',
  '--cache-location',
  '.cache/eslint',
  '.',
]
const PRETTIER = ['prettier', '--check', '--log-level', 'warn', '--cache', '--cache-location']
const IMPORTS = ['depcruise', 'src', 'demo', '--config', '.dependency-cruiser.cjs']
// What the machine lacks comes while the sources are looked at. A build that fails, or a demo, is told by the end-to-end
// tests, which need them.
const demo = join(root, '.cache/seeded-demo')
rmSync(demo, { recursive: true, force: true })
await Promise.all([
  ensureBrowser().then(ensurePostgres),
  check('lint', ESLINT).then(() => seedDemo(demo).catch(() => undefined)),
  check('types', ['next', 'typegen'], ['tsc', '--noEmit'])
    .then(() => check('imports', [...IMPORTS, '--output-type', 'err']))
    .then(() => check('format', [...PRETTIER, '.cache/prettier', '.']))
    .then(() => ensureBuild().catch(() => undefined)),
])

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
  run('npx', ['playwright', 'test'], { ELM_DEMO: 'recorded' })
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

function run(program, args, env = {}) {
  const options = { ...OPTIONS, env: { ...OPTIONS.env, ...env } }
  return spawnSync(program, args, options).status === 0
}

/** A check that passes or fails as one; several commands of npx one after another. */
async function check(name, ...commands) {
  let well = true
  for (const args of commands) well &&= await runBeside(args)
  console.log(`${well ? 'passed' : 'FAILED'}: ${name}`)
  if (well) passed++
  else failed++
}

/** Runs a command of npx while others run; whether it went well. */
function runBeside(args) {
  return new Promise((done) =>
    spawn('npx', args, OPTIONS)
      .on('error', () => done(false))
      .on('exit', (status) => done(status === 0)),
  )
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
