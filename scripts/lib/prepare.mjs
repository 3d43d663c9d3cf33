import { spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { join } from 'node:path'

export const root = new URL('../..', import.meta.url).pathname
const cache = join(root, '.cache')

/** Runs a program in the project, its output on stderr unless told otherwise; rejects unless it ends well. */
export function run(program, args, env = {}, output = process.stderr) {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, {
      cwd: root,
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
      stdio: ['ignore', output, process.stderr],
    })
    child.on('error', reject)
    child.on('exit', (code) =>
      code === 0 ? resolve() : reject(new Error(`${program} ${args[0] ?? ''} ended with ${code}`)),
    )
  })
}

/** Installs the packages of the lock file unless just those are installed. */
export async function ensurePackages() {
  const stamp = join(root, 'node_modules/.elm-packages')
  const wanted = hashOf([join(root, 'package-lock.json')])
  if (readIfThere(stamp) === wanted) return
  console.error('Installing packages…')
  // Not `npm ci`: it refuses a lock file that lacks the binaries of platforms that a registry
  // mirror does not carry. --no-save leaves the lock file as it is.
  const quiet = ['--no-save', '--no-audit', '--no-fund', '--loglevel=error']
  await run('npm', ['install', ...quiet], { PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1' })
  writeFileSync(stamp, wanted)
}

const BUILT_FROM = [
  'src',
  'public',
  'package-lock.json',
  'next.config.ts',
  'postcss.config.mjs',
  'tsconfig.json',
]

/** Builds the application unless these very sources are built. */
export async function ensureBuild() {
  const stamp = join(cache, 'built-from')
  const files = BUILT_FROM.flatMap((name) => filesUnder(join(root, name))).filter(
    (file) => !file.endsWith('.test.ts'),
  )
  const wanted = hashOf(files)
  if (existsSync(join(root, '.next/BUILD_ID')) && readIfThere(stamp) === wanted) return
  console.error('Building…')
  await run('node', ['node_modules/next/dist/bin/next', 'build'])
  mkdirSync(cache, { recursive: true })
  writeFileSync(stamp, wanted)
}

/** Makes a data directory with the demo in it, whole or not at all. */
export async function seedDemo(dataDir) {
  console.error('Recording the demo…')
  const aside = `${dataDir}.new-${process.pid}`
  rmSync(aside, { recursive: true, force: true })
  mkdirSync(join(dataDir, '..'), { recursive: true })
  try {
    await run('node', ['--import', 'tsx', 'demo/seed.ts', aside])
    renameSync(aside, dataDir)
  } finally {
    rmSync(aside, { recursive: true, force: true })
  }
}

function filesUnder(path) {
  if (statSync(path).isFile()) return [path]
  return readdirSync(path, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name))
    .sort()
}

function hashOf(files) {
  const hash = createHash('sha256')
  for (const file of files) hash.update(file.slice(root.length)).update(readFileSync(file))
  return hash.digest('hex')
}

const readIfThere = (path) => (existsSync(path) ? readFileSync(path, 'utf8') : null)
