import { existsSync, mkdtempSync, renameSync, rmSync } from 'node:fs'
import { mkdir } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { layingRowsIn, putRows, takeAllRowsAway } from '../db/all-rows'
import type { Db } from '../db/db'
import { migrate } from '../db/migrate'
import { openPostgres } from '../db/postgres'
import { readBackup, writeBackup, type BackupManifest } from './backup'
import { backupsDir, stampOf } from './backups-dir'
import { journalDir, putSnapshotIn } from './journal'
import { storePhoto } from './photos'
import { bootFile, databaseDir } from './boot-note'
import { DamagedDataError } from './kept'
import { openData } from './recovery'
import { lockingDataDir } from './data-dir-lock'
import { readSnapshot } from './snapshot'
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

async function intoServer(
  server: string,
  dataDir: string,
  at: string,
  rows: string,
  take: () => Promise<BackupManifest>,
): Promise<Restored> {
  const { db, close } = openPostgres(server)
  try {
    const [there] = await db.query(`select to_regclass('command') is not null as there`)
    const isEmpty = !(there as { there: boolean }).there
    if (!isEmpty) {
      await migrate(db)
      await writeBackup(db, dataDir, copyPath(dataDir, at), at)
    }
    const manifest = await take()
    if (!isEmpty) await db.exec('drop schema public cascade; create schema public')
    await migrate(db, undefined, manifest.rows)
    await db.transaction((tx) =>
      layingRowsIn(tx, async () => {
        await takeAllRowsAway(tx)
        await readSnapshot(rows, { page: (page) => putRows(tx, page) })
      }),
    )
    await migrate(db)
    return { manifest, copy: isEmpty ? null : copyPath(dataDir, at) }
  } finally {
    await close()
  }
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
