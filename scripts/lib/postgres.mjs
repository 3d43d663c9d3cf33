import { spawnSync } from 'node:child_process'
import { chownSync, existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { aptInstall } from './apt.mjs'

const VERSIONS = '/usr/lib/postgresql'
const isRoot = process.getuid?.() === 0

/** Installs Debian's PostgreSQL where it is missing. */
export async function ensurePostgres() {
  if (programs()) return
  console.error('Installing Debian’s PostgreSQL…')
  await aptInstall('postgresql')
}

const programs = () => {
  if (!existsSync(VERSIONS)) return null
  const newest = readdirSync(VERSIONS)
    .filter((version) => existsSync(join(VERSIONS, version, 'bin/initdb')))
    .sort((p, q) => Number(p) - Number(q))
    .at(-1)
  return newest ? join(VERSIONS, newest, 'bin') : null
}

/** Runs a server's program; root may not, and goes as `postgres`. */
function run(program, args) {
  const path = join(programs(), program)
  const [command, ...rest] = isRoot
    ? ['setpriv', '--reuid=postgres', '--regid=postgres', '--clear-groups', path, ...args]
    : [path, ...args]
  const { status, stderr } = spawnSync(command, rest, {
    stdio: ['ignore', 'ignore', 'pipe'],
    encoding: 'utf8',
    cwd: '/',
  })
  if (status !== 0) throw new Error(`${program} ended with ${status}: ${stderr}`)
}

/**
 * Starts an empty PostgreSQL of its own in a directory for temporary files, heard on a socket there and on no port.
 *
 * @returns a connection string without a database, and `stop`, which leaves nothing behind
 */
export function startPostgres() {
  const home = mkdtempSync(join(tmpdir(), 'elm-postgres-'))
  const data = join(home, 'data')
  mkdirSync(data, { mode: 0o700 })
  if (isRoot) {
    const { stdout } = spawnSync('id', ['-u', 'postgres'], { encoding: 'utf8' })
    for (const path of [home, data]) chownSync(path, Number(stdout), -1)
  }
  run('initdb', ['-D', data, '-U', 'elm', '--auth=trust', '--no-sync', '-E', 'UTF8', '--locale=C'])
  const options = `-k ${home} -h '' -c fsync=off -c max_connections=60`
  run('pg_ctl', ['-D', data, '-w', '-l', join(home, 'log'), '-o', options, 'start'])
  return {
    host: home,
    urlOf: (database) => `postgresql://elm@/${database}?host=${encodeURIComponent(home)}`,
    stop() {
      run('pg_ctl', ['-D', data, '-m', 'immediate', 'stop'])
      rmSync(home, { recursive: true, force: true })
    },
  }
}
