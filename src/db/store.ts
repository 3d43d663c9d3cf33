import { mkdirSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { lockDataDir } from './data-dir-lock'
import type { Db } from './db'
import { discardUnfinishedDecks } from './decks'
import { migrate } from './migrate'
import { clearUnusedPhotos } from './photos'
import { dbOver, openPglite } from './pglite'

/** An open data directory: locked, migrated, ready. */
export interface Store {
  readonly db: Db
  close(): Promise<void>
}

export const dataDirFromEnvironment = (): string =>
  resolve(/* turbopackIgnore: true */ process.env.ELM_DATA_DIR ?? 'data/practice')

/**
 * Opens a data directory, creating it where there is none.
 *
 * @throws DataDirLockedError while another server holds it
 */
export async function openStore(dataDir: string): Promise<Store> {
  mkdirSync(/* turbopackIgnore: true */ dataDir, { recursive: true, mode: 0o700 })
  const unlock = lockDataDir(dataDir)
  try {
    const database = await openPglite(join(dataDir, 'postgres'))
    const db = dbOver(database)
    await migrate(db)
    await discardUnfinishedDecks(db)
    await clearUnusedPhotos(db, dataDir, Date.now())
    return {
      db,
      async close() {
        await database.close()
        unlock()
      },
    }
  } catch (error) {
    unlock()
    throw error
  }
}

// Next instantiates modules several times in one process; the store must be one.
const holder = globalThis as { elmStore?: Promise<Store> }

/** The application's own store, opened once per process. */
export function applicationStore(): Promise<Store> {
  return (holder.elmStore ??= openStore(dataDirFromEnvironment()))
}

export const openDb = async (): Promise<Db> => (await applicationStore()).db
