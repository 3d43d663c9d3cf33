import { PGlite } from '@electric-sql/pglite'
import { layingRowsIn, takeAllRowsAway } from '../db/all-rows'
import type { Db } from '../db/db'
import { migrate } from '../db/migrate'
import { dbOver, PARSERS } from '../db/pglite'

/**
 * Brings rows of an earlier version up to date in an engine of its own, in memory, by the migrations that a store of that
 * version goes through; nothing else is touched. Beginning one takes seconds: off the thread that answers.
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
  const engine = new PGlite({ parsers: PARSERS })
  try {
    await engine.waitReady
    await engine.exec(`set time zone 'UTC'`)
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
  }
}
