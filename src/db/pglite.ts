import { PGlite, types, type PGliteInterface, type Transaction } from '@electric-sql/pglite'
import { sqlState, type Db } from './db'

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

/**
 * @param whenBroken told of an error after which the engine answers nothing any more, or hangs at the next question; by
 *   default it is thrown like any other
 */
export function dbOver(
  database: PGliteInterface,
  whenBroken: (error: unknown) => void = () => undefined,
): Db {
  const watched = <T>(asked: Promise<T>): Promise<T> =>
    asked.catch((error: unknown) => {
      if (isBroken(error)) whenBroken(error)
      throw error
    })
  return {
    ...runner(database, watched),
    transaction: (work) =>
      watched(
        database.transaction((tx) =>
          work({
            ...runner(tx, watched),
            transaction: () => {
              throw new Error('transactions do not nest: pass the transaction on')
            },
          }),
        ),
      ),
  }
}

// Classes of SQLSTATE: out of resources, taken down from outside, the system's own errors, a damaged file, an internal error.
const BROKEN_CLASSES = ['53', '57', '58', 'F0', 'XX']

/** Whether the engine is through: it says so by its state, or it was the machine below it that stopped. */
const isBroken = (error: unknown): boolean =>
  error instanceof WebAssembly.RuntimeError ||
  (error as { name?: unknown } | null)?.name === 'ExitStatus' ||
  BROKEN_CLASSES.includes(sqlState(error)?.slice(0, 2) ?? '')

function runner(
  over: PGliteInterface | Transaction,
  watched: <T>(asked: Promise<T>) => Promise<T>,
): Omit<Db, 'transaction'> {
  return {
    isOneSession: true,
    query: async (sql, parameters) =>
      (
        await watched(
          over.query(sql, parameters ? [...parameters] : undefined, { parsers: PARSERS }),
        )
      ).rows,
    exec: async (sql) => {
      await watched(over.exec(sql))
    },
  }
}
