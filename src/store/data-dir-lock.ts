import { closeSync, ftruncateSync, mkdirSync, openSync, readFileSync, writeSync } from 'node:fs'
import { join } from 'node:path'
import { tryLock, unlock } from 'fs-native-extensions'

/** Another living server holds the data directory. */
export class DataDirLockedError extends Error {
  override name = 'DataDirLockedError'
}

const LOCK_FILE = 'server.lock'

/**
 * Takes the data directory for this process. Two servers on one directory would lose each other's
 * rows without a word.
 *
 * It is the kernel that holds the lock, on the open file: seen from every container that has the directory, and free the
 * moment its process ends, however that was. What stands in the file is only for the words.
 *
 * @returns a function that gives the directory back
 * @throws DataDirLockedError while another process lives that holds it
 */
export function lockDataDir(dataDir: string): () => void {
  const path = join(dataDir, LOCK_FILE)
  const file = openSync(/* turbopackIgnore: true */ path, 'a+', 0o600)
  if (!tryLock(file)) {
    closeSync(file)
    const pid = /^\d+/.exec(readFileSync(/* turbopackIgnore: true */ path, 'utf8'))?.[0] ?? '?'
    throw new DataDirLockedError(
      `${dataDir} is in use by another Elm Swatch server (process ${pid}, on this machine or in a container of it). ` +
        'Stop that one first, or start this one with another ELM_DATA_DIR.',
    )
  }
  ftruncateSync(file)
  writeSync(file, `${process.pid}\n`)
  return () => {
    ftruncateSync(file)
    unlock(file)
    closeSync(file)
  }
}

/** Does something while this process has the data directory. */
export async function lockingDataDir<T>(dataDir: string, work: () => Promise<T>): Promise<T> {
  mkdirSync(dataDir, { recursive: true, mode: 0o700 })
  const unlock = lockDataDir(dataDir)
  try {
    return await work()
  } finally {
    unlock()
  }
}
