import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { layingRowsIn, takeAllRowsAway } from '../db/all-rows'
import type { Db } from '../db/db'
import { migrate } from '../db/migrate'
import { dbOver } from '../db/pglite'
import { openOrBegin } from './empty-database'

/**
 * Brings rows of an earlier version up to date in an engine of its own, by the migrations that a store of that
 * version goes through; nothing else is touched. It takes a while: off the thread that answers.
 *
 * @param rows the migration that they were written after
 * @param lay puts them in
 * @param read reads out what became of them
 */
export async function broughtUpToDate<T>(
  rows: number,
  lay: (tx: Db) => Promise<unknown>,
  read: (db: Db) => Promise<T>,
): Promise<T> {
  const dir = mkdtempSync(join(tmpdir(), 'elm-scratch-'))
  const engine = await openOrBegin(join(dir, 'postgres'))
  try {
    const db = dbOver(engine)
    await migrate(db, undefined, rows)
    await db.transaction((tx) =>
      layingRowsIn(tx, async () => {
        await takeAllRowsAway(tx)
        await lay(tx)
      }),
    )
    await migrate(db)
    return await read(db)
  } finally {
    await engine.close()
    rmSync(dir, { recursive: true, force: true })
  }
}
