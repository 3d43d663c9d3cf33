import { PGlite, types, type PGliteInterface, type Transaction } from '@electric-sql/pglite'
import type { Db } from './db'

// Dates and times stay strings both ways; a Date would bring the server's own time zone in.
const AS_TEXT = (text: string): string => text
const PARSERS = { [types.DATE]: AS_TEXT, [types.TIMESTAMPTZ]: AS_TEXT, [types.INT8]: Number }

/** Opens a PostgreSQL database kept in a directory; creates it where there is none. */
export async function openPglite(dataDir: string): Promise<PGlite> {
  const database = new PGlite({ dataDir, parsers: PARSERS })
  await database.waitReady
  await database.exec(`set time zone 'UTC'`)
  return database
}

export function dbOver(database: PGliteInterface): Db {
  return {
    ...runner(database),
    transaction: (work) =>
      database.transaction((tx) =>
        work({
          ...runner(tx),
          transaction: () => {
            throw new Error('transactions do not nest: pass the transaction on')
          },
        }),
      ),
  }
}

function runner(over: PGliteInterface | Transaction): Pick<Db, 'query' | 'exec'> {
  return {
    query: async (sql, parameters) =>
      (await over.query(sql, parameters ? [...parameters] : undefined, { parsers: PARSERS })).rows,
    exec: async (sql) => {
      await over.exec(sql)
    },
  }
}
