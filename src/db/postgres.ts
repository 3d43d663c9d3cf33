import { Pool, types, type PoolClient } from 'pg'
import type { Db } from './db'

// As with the embedded engine: dates and times stay strings both ways, counts are numbers.
const AS_TEXT = (text: string): string => text
const { DATE, TIMESTAMPTZ, INT8 } = types.builtins
const PARSERS: Readonly<Record<number, (text: string) => unknown>> = {
  [DATE]: AS_TEXT,
  [TIMESTAMPTZ]: AS_TEXT,
  [INT8]: Number,
}
const TYPES = {
  getTypeParser: (id: number, format?: 'text' | 'binary') =>
    PARSERS[id] ?? types.getTypeParser(id, format),
}

/** A PostgreSQL server, by its connection string. */
export interface PostgresServer {
  readonly db: Db
  close(): Promise<void>
}

/**
 * Connects to a PostgreSQL server.
 *
 * @param most connections at a time
 */
export function openPostgres(connectionString: string, most = 4): PostgresServer {
  const pool = new Pool({
    connectionString,
    max: most,
    types: TYPES as never,
    options: '-c TimeZone=UTC',
  })
  // An idle connection that breaks is replaced by the pool; whoever asks next is told if there is none.
  pool.on('error', (error) => console.error(`The database server: ${error.message}`))
  return {
    db: {
      ...runner(pool),
      async transaction(work) {
        const client = await pool.connect()
        try {
          await client.query('begin')
          const answer = await work({
            ...runner(client),
            transaction: () => {
              throw new Error('transactions do not nest: pass the transaction on')
            },
          })
          await client.query('commit')
          client.release()
          return answer
        } catch (error) {
          // A connection that cannot even roll back is not given to anyone else.
          const broken = await client.query('rollback').then(
            () => undefined,
            (e: Error) => e,
          )
          client.release(broken)
          throw error
        }
      },
    },
    close: () => pool.end(),
  }
}

function runner(over: Pool | PoolClient): Omit<Db, 'transaction'> {
  return {
    isOneSession: false,
    query: async (sql, parameters) => (await over.query(sql, parameters && [...parameters])).rows,
    exec: async (sql) => {
      await over.query(sql)
    },
  }
}
