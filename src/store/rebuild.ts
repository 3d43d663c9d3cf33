import { existsSync, renameSync, rmSync } from 'node:fs'
import { layingRowsIn, redoAfter, takeAllRowsAway } from '../db/all-rows'
import { migrate } from '../db/migrate'
import { dbOver } from '../db/pglite'
import { openOrBegin } from './empty-database'
import { databaseDir } from './boot-note'
import { syncPath, syncTree } from './disk'
import { generationsIn, readLog, snapshotPath } from './journal'
import { laterIn, type JournalBody } from './journal-file'
import { damaged, type Kept } from './kept'
import { laySnapshotIn, readSnapshot, SnapshotError } from './snapshot'

/** Lays the database down anew beside the old one, which is put aside until the next time. */
export async function rebuild(dataDir: string, kept: Kept): Promise<void> {
  const [generation, changes] = await wholeSnapshot(dataDir, kept)
  const fresh = `${databaseDir(dataDir)}.new`
  rmSync(fresh, { recursive: true, force: true })
  const database = await openOrBegin(fresh)
  try {
    const db = dbOver(database)
    await migrate(db, undefined, kept.rows)
    await db.transaction((tx) =>
      layingRowsIn(tx, async () => {
        await takeAllRowsAway(tx)
        const { seq } = await laySnapshotIn(tx, snapshotPath(dataDir, generation))
        await redoAfter(tx, laterIn(changes), seq)
      }),
    )
  } finally {
    await database.close()
  }
  syncTree(fresh)
  const old = `${databaseDir(dataDir)}.old`
  rmSync(old, { recursive: true, force: true })
  if (existsSync(databaseDir(dataDir))) renameSync(databaseDir(dataDir), old)
  renameSync(fresh, databaseDir(dataDir))
  syncPath(dataDir)
}

/** The newest snapshot that is whole, and what the journals tell since. */
async function wholeSnapshot(
  dataDir: string,
  kept: Kept,
): Promise<[generation: number, since: readonly JournalBody[]]> {
  const { generation, bodies } = kept
  try {
    await readSnapshot(snapshotPath(dataDir, generation), {})
    return [generation, bodies]
  } catch (error) {
    if (!(error instanceof SnapshotError)) throw error
  }
  const before = generation - 1
  if (!generationsIn(dataDir).snapshots.includes(before)) throw damaged(dataDir, kept)
  const { rows } = await readSnapshot(snapshotPath(dataDir, before), {})
  const log = readLog(dataDir, before)
  if (rows !== kept.rows || log.rest === 'damaged') throw damaged(dataDir, kept)
  return [before, [...log.bodies, ...bodies]]
}
