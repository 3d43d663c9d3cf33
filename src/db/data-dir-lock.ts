import { linkSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

/** Another living server holds the data directory. */
export class DataDirLockedError extends Error {
  override name = 'DataDirLockedError'
}

interface Owner {
  readonly pid: number
  /** Start of the process in clock ticks, and the boot it belongs to: pids are used again. */
  readonly startTicks: string
  readonly bootId: string
}

const LOCK_FILE = 'server.lock'
const ATTEMPTS = 5

/**
 * Takes the data directory for this process. Two servers on one directory would lose each other's
 * rows without a word.
 *
 * The lock is written aside and linked into place, which fails when one is there. A lock whose owner
 * is gone is renamed aside, checked once more and dropped.
 *
 * @returns a function that gives the directory back
 * @throws DataDirLockedError while another process lives that holds it
 */
export function lockDataDir(dataDir: string): () => void {
  const path = join(dataDir, LOCK_FILE)
  const aside = `${path}.${process.pid}`
  const own = JSON.stringify(describe(process.pid))
  writeFileSync(aside, own)
  try {
    for (let attempt = 0; attempt < ATTEMPTS; attempt++) {
      if (tryLink(aside, path)) return () => release(path, own)
      const text = readIfThere(path)
      if (text === null) continue
      const owner = parseOwner(text)
      if (owner && isAlive(owner))
        throw new DataDirLockedError(
          `${dataDir} is in use by another Elm Swatch server (process ${owner.pid}). ` +
            'Stop that one first, or start this one with another ELM_DATA_DIR.',
        )
      dropStale(path, text)
    }
    throw new DataDirLockedError(
      `${dataDir} could not be locked: other servers keep starting on it.`,
    )
  } finally {
    rmSync(aside, { force: true })
  }
}

function tryLink(aside: string, path: string): boolean {
  try {
    linkSync(aside, path)
    return true
  } catch (error) {
    if (isCode(error, 'EEXIST')) return false
    throw error
  }
}

function dropStale(path: string, text: string): void {
  const stale = `${path}.stale.${process.pid}`
  try {
    renameSync(path, stale)
  } catch (error) {
    if (isCode(error, 'ENOENT')) return
    throw error
  }
  // A racer may have dropped the stale lock and linked its own before the rename: put that back.
  if (readFileSync(stale, 'utf8') !== text) tryLink(stale, path)
  rmSync(stale, { force: true })
}

function release(path: string, own: string): void {
  if (readIfThere(path) === own) rmSync(path, { force: true })
}

function describe(pid: number): Owner {
  return { pid, startTicks: startTicksOf(pid) ?? '', bootId: bootId() }
}

function isAlive(owner: Owner): boolean {
  if (owner.bootId !== bootId()) return false
  const ticks = startTicksOf(owner.pid)
  if (ticks !== null) return ticks === owner.startTicks
  if (bootId() !== '') return false
  // No /proc here: the pid alone has to do.
  try {
    process.kill(owner.pid, 0)
    return true
  } catch (error) {
    return isCode(error, 'EPERM')
  }
}

/** Field 22 of /proc/PID/stat; the command name before it may hold spaces. */
function startTicksOf(pid: number): string | null {
  const stat = readIfThere(`/proc/${pid}/stat`)
  return stat?.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? null
}

const bootId = (): string => readIfThere('/proc/sys/kernel/random/boot_id')?.trim() ?? ''

function readIfThere(path: string): string | null {
  try {
    return readFileSync(path, 'utf8')
  } catch (error) {
    if (isCode(error, 'ENOENT') || isCode(error, 'ESRCH')) return null
    throw error
  }
}

function parseOwner(text: string): Owner | null {
  try {
    const owner = JSON.parse(text) as Partial<Owner>
    return typeof owner.pid === 'number' ? (owner as Owner) : null
  } catch {
    return null
  }
}

const isCode = (error: unknown, code: string): boolean =>
  (error as { code?: unknown } | null)?.code === code
