import { existsSync, renameSync, rmSync } from 'node:fs'
import { layingRowsIn, putRows, redo, takeAllRowsAway } from '../db/all-rows'
import type { JsonRow } from '../db/codec'
import type { Db } from '../db/db'
import { migrate } from '../db/migrate'
import { dbOver, openPglite } from '../db/pglite'
import { databaseDir } from './boot-note'
import { syncPath, syncTree } from './disk'
import { generationsIn, readLog, snapshotPath } from './journal'
import type { JournalBody } from './journal-file'
import { damaged, type Kept } from './kept'
import { readSnapshot, SnapshotError } from './snapshot'

/** Lays the database down anew beside the old one, which is put aside until the next time. */
export async function rebuild(dataDir: string, kept: Kept): Promise<void> {
  const [generation, changes] = await wholeSnapshot(dataDir, kept)
  const fresh = `${databaseDir(dataDir)}.new`
  rmSync(fresh, { recursive: true, force: true })
  const database = await openPglite(fresh)
  try {
    const db = dbOver(database)
    await migrate(db, undefined, kept.rows)
    await db.transaction((tx) =>
      layingRowsIn(tx, async () => {
        await takeAllRowsAway(tx)
        const { seq } = await readSnapshot(snapshotPath(dataDir, generation), {
          page: (page) => putRows(tx, page),
        })
        await redoAfter(tx, changes, seq)
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

/** Makes the changes of a journal again that came after a place, each once. */
export async function redoAfter(
  tx: Db,
  bodies: readonly JournalBody[],
  seq: number,
): Promise<void> {
  let last = seq
  let colours: JsonRow[] = []
  for (const body of bodies) {
    if ('deckColours' in body) colours.push(...body.deckColours)
    if (!('command' in body)) continue
    if (Number(body.command.seq) > last) {
      if (colours.length > 0) await putRows(tx, { table: 'deck_colour', rows: colours })
      await redo(tx, body)
      last = Number(body.command.seq)
    }
    colours = []
  }
}
