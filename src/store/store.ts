import { mkdirSync } from 'node:fs'
import { resolve } from 'node:path'
import { lastSeqOfAll } from '../db/all-rows'
import { isConnection, type Db } from '../db/db'
import { discardUnfinishedDecks } from '../db/decks'
import { migrate } from '../db/migrate'
import { endOldAnswers } from '../db/practice'
import { openPostgres } from '../db/postgres'
import { lockDataDir } from './data-dir-lock'
import { diskWords, freeBytes, LEAST_FREE_BYTES } from './disk'
import { openData } from './recovery'

/** An open store: locked, up to date, ready. */
export interface Store {
  readonly db: Db
  /** What had to be done to open it, in words. */
  readonly notes: readonly string[]
  /** Why a change of so many bytes cannot be kept just now, in words; null where it can. */
  refusesNow(bytes: number): Promise<string | null>
  /**
   * Returns once every change that is committed by now is safe from a power cut.
   *
   * @throws JournalError
   */
  settle(): Promise<void>
  close(): Promise<void>
}

export const dataDirFromEnvironment = (): string =>
  resolve(/* turbopackIgnore: true */ process.env.ELM_DATA_DIR ?? 'data/practice')

/** The directory that is to hold the data cannot be used; says why and what to do. */
export class DataDirError extends Error {
  override name = 'DataDirError'
}

/**
 * Opens a data directory, creating it where there is none.
 *
 * @throws DataDirLockedError while another server holds it
 * @throws DataDirError when it cannot be written to
 * @throws DamagedDataError when it takes a person's word to open it
 */
export async function openStore(dataDir: string): Promise<Store> {
  const server = serverFromEnvironment()
  if (server) return openServerStore(server, dataDir)
  const unlock = takeDir(dataDir)
  try {
    const { db, journal, notes, close } = await openData(dataDir)
    // Nobody else can be at one.
    await discardUnfinishedDecks(db, 0)
    return {
      ...{ db, notes },
      async refusesNow(bytes) {
        const free = freeBytes(dataDir)
        if (free < LEAST_FREE_BYTES + bytes) return tooLittle(free, bytes)
        if (journal.troubleNow === null) return null
        // There may be room again.
        return journal.settle().then(
          () => null,
          () => journal.troubleNow,
        )
      },
      async settle() {
        await journal.settle()
        void journal.turnWhenLong().catch((error: unknown) => console.error(diskWords(error)))
      },
      async close() {
        await close()
        unlock()
      },
    }
  } catch (error) {
    unlock()
    throw error
  }
}

/** The PostgreSQL server that holds the data instead of the directory; null without one. */
export const serverFromEnvironment = (): string | null => process.env.DATABASE_URL || null

// A deck that somebody is laying in by another server process is not touched.
const BROKEN_OFF_HOURS = 24

/**
 * Opens a store whose rows are on a PostgreSQL server, which has a journal of its own; several may be open on one. Photos
 * lie in the data directory, which all of them have to see.
 */
async function openServerStore(connectionString: string, dataDir: string): Promise<Store> {
  makeDir(dataDir)
  const { db, close } = openPostgres(connectionString)
  try {
    await migrate(db)
    await discardUnfinishedDecks(db, BROKEN_OFF_HOURS)
    await endOldAnswers(db, await lastSeqOfAll(db))
  } catch (error) {
    await close()
    throw isConnection(error)
      ? new DataDirError(
          `The PostgreSQL server in DATABASE_URL does not answer (${(error as Error).message || 'no connection'}). Start it, or leave DATABASE_URL out to keep the data in a directory.`,
        )
      : error
  }
  return {
    ...{ db, close, notes: [] },
    refusesNow: () => Promise.resolve(null),
    settle: () => Promise.resolve(),
  }
}

const tooLittle = (free: number, bytes: number): string =>
  `The disk of the data is nearly full: ${megabytes(free)} are free, ${megabytes(LEAST_FREE_BYTES + bytes)} are needed. ` +
  'None of this was saved; what is on record can be read. Make room, and send it again.'

const megabytes = (bytes: number): string => `${Math.ceil(bytes / 1e6)} MB`

const makeDir = (dataDir: string): void => orInWords(dataDir, () => ensureDir(dataDir))
const takeDir = (dataDir: string): (() => void) =>
  orInWords(dataDir, () => {
    ensureDir(dataDir)
    return lockDataDir(dataDir)
  })

const ensureDir = (dataDir: string): void =>
  void mkdirSync(/* turbopackIgnore: true */ dataDir, { recursive: true, mode: 0o700 })

function orInWords<T>(dataDir: string, work: () => T): T {
  try {
    return work()
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException
    if (!code) throw error
    throw new DataDirError(
      `The data in ${dataDir} cannot be opened: ${diskWords(error)}. ` +
        'Give this user the right to write there, mount the disk so that it can be written, or name another directory (ELM_DATA_DIR).',
    )
  }
}

// Next instantiates modules several times in one process; the store must be one.
const holder = globalThis as { elmStore?: Promise<Store> }

/** The application's own store, opened once per process. */
export function applicationStore(): Promise<Store> {
  return (holder.elmStore ??= openStore(dataDirFromEnvironment()))
}

export const openDb = async (): Promise<Db> => (await applicationStore()).db
