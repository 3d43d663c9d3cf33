import { existsSync, mkdtempSync, renameSync, rmSync } from 'node:fs'
import { mkdir } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { layingRowsIn, tablesPointingAtOurs, takeAllRowsAway } from '../db/all-rows'
import type { Db } from '../db/db'
import { doneMigrations, migrate, newestMigration } from '../db/migrate'
import { openPostgres } from '../db/postgres'
import { BackupError, readBackup, writeBackup, type BackupManifest } from './backup'
import { backupsDir, stampOf } from './backups-dir'
import { journalDir, putSnapshotIn } from './journal'
import { storePhoto } from './photos'
import { bootFile, databaseDir } from './boot-note'
import { DamagedDataError } from './kept'
import { openData } from './recovery'
import { lockingDataDir } from './data-dir-lock'
import { broughtUpToDate } from './scratch'
import { laySnapshotIn, writeSnapshot } from './snapshot'
import { serverFromEnvironment } from './store'

/** Does something with the data of a directory, or of the server that holds it, while no application has it. */
export async function havingData<T>(dataDir: string, work: (db: Db) => Promise<T>): Promise<T> {
  const server = serverFromEnvironment()
  if (server) {
    const { db, close } = openPostgres(server)
    return work(db).finally(close)
  }
  return lockingDataDir(dataDir, async () => {
    const { db, close } = await openData(dataDir)
    const answer = await work(db)
    await close()
    return answer
  })
}

/** What came, and where the copy of what was there is; null where nothing was. */
export interface Restored {
  readonly manifest: BackupManifest
  readonly copy: string | null
}

/**
 * Puts a backup in the place of what a data directory, or the server that holds its rows, has. What is there is backed up
 * first; where it cannot be opened any more, its files are put aside as they are.
 *
 * @throws BackupError with nothing touched
 * @throws DataDirLockedError while a server holds the directory
 */
export async function restoreBackup(path: string, dataDir: string, at: string): Promise<Restored> {
  const scratch = mkdtempSync(join(tmpdir(), 'elm-restore-'))
  const rows = join(scratch, 'rows.ndjson.gz')
  try {
    // Once through for what it is worth, before anything is touched.
    await readBackup(path)
    const take = () =>
      readBackup(path, { rows, photo: async (jpeg) => void (await storePhoto(dataDir, jpeg)) })
    const server = serverFromEnvironment()
    if (server) return await intoServer(server, dataDir, at, rows, take)
    return await lockingDataDir(dataDir, async () => {
      const copy = await keptAside(dataDir, at)
      const manifest = await take()
      await putSnapshotIn(dataDir, rows, manifest)
      // The database follows from the snapshot now.
      rmSync(bootFile(dataDir), { force: true })
      const { close } = await openData(dataDir)
      await close()
      return { manifest, copy }
    })
  } finally {
    rmSync(scratch, { recursive: true, force: true })
  }
}

const copyPath = (dataDir: string, at: string): string =>
  join(backupsDir(dataDir), `before-restore-${stampOf(at)}.zip`)

/** Rows of an earlier version are brought up to date aside; then ours go out and they come in, in one transaction. */
async function intoServer(
  server: string,
  dataDir: string,
  at: string,
  rows: string,
  take: () => Promise<BackupManifest>,
): Promise<Restored> {
  const { db, close } = openPostgres(server)
  try {
    const isEmpty = (await doneMigrations(db)).size === 0
    const pointing = await tablesPointingAtOurs(db)
    if (pointing.length > 0)
      throw new BackupError(
        `In this database ${pointing.map(({ table }) => table).join(' and ')}, which is not of Elm Swatch, points at its rows, and would lose what it points at. Nothing was touched.`,
      )
    await migrate(db)
    const copy = isEmpty ? null : copyPath(dataDir, at)
    if (copy) await writeBackup(db, dataDir, copy, at)
    const manifest = await take()
    const current = await rowsUpToDate(rows, manifest.rows)
    await db.transaction((tx) =>
      layingRowsIn(tx, async () => {
        await takeAllRowsAway(tx)
        await laySnapshotIn(tx, current)
      }),
    )
    return { manifest, copy }
  } finally {
    await close()
  }
}

/** The file of a snapshot whose rows are as this version writes them: the given one, or another beside it. */
async function rowsUpToDate(path: string, rows: number): Promise<string> {
  const newest = newestMigration()
  if (rows === newest) return path
  const current = `${path}.current`
  await broughtUpToDate(
    rows,
    (tx) => laySnapshotIn(tx, path),
    (scratch) => writeSnapshot(scratch, current, newest),
  )
  return current
}

async function keptAside(dataDir: string, at: string): Promise<string | null> {
  if (!existsSync(databaseDir(dataDir)) && !existsSync(journalDir(dataDir))) return null
  const copy = copyPath(dataDir, at)
  try {
    const { db, close } = await openData(dataDir)
    await writeBackup(db, dataDir, copy, at)
    await close()
    return copy
  } catch (error) {
    if (!(error instanceof DamagedDataError)) throw error
    const aside = join(dataDir, `damaged-${stampOf(at)}`)
    await mkdir(aside)
    for (const dir of [databaseDir(dataDir), journalDir(dataDir)])
      if (existsSync(dir)) renameSync(dir, join(aside, dir.slice(dataDir.length + 1)))
    return aside
  }
}
