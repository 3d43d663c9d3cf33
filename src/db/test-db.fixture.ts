import type { PGliteInterface } from '@electric-sql/pglite'
import type { Db } from './db'
import { migrate } from './migrate'
import { dbOver } from './pglite'
import { openPostgres } from './postgres'

// The engine that a test file runs on is handed in by its environment: see jest.config.mjs.
const engine = globalThis as { pglite?: PGliteInterface; postgresUrl?: string }

/** An empty database on the engine of this run, and how to let it go. */
export function emptyTestDb(): { readonly db: Db; readonly close: () => Promise<void> } {
  if (engine.pglite) return { db: dbOver(engine.pglite), close: () => Promise.resolve() }
  return openPostgres(engine.postgresUrl!)
}

/** The same, up to date; closed when the tests of the file are through. */
export function testDb(): Db {
  const { db, close } = emptyTestDb()
  beforeAll(() => migrate(db))
  afterAll(close)
  return db
}

class Discarded extends Error {}

/**
 * Does something and leaves nothing of it: much quicker than emptying tables. What is a transaction inside is a savepoint,
 * with everything checked at its end that a commit would check.
 */
export async function discarding(db: Db, work: (db: Db) => Promise<void>): Promise<void> {
  const discarded = db.transaction(async (tx) => {
    await work({ ...tx, transaction: (inner) => underSavepoint(tx, inner) })
    throw new Discarded()
  })
  await discarded.catch((error: unknown) => {
    if (!(error instanceof Discarded)) throw error
  })
}

async function underSavepoint<T>(tx: Db, work: (tx: Db) => Promise<T>): Promise<T> {
  await tx.exec('savepoint inner_one; set constraints all deferred')
  try {
    const answer = await work(tx)
    await tx.exec('set constraints all immediate; release savepoint inner_one')
    return answer
  } catch (error) {
    await tx.exec('rollback to savepoint inner_one; release savepoint inner_one')
    throw error
  }
}
