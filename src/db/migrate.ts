import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'
import { many, type Db } from './db'

/** SQL files named `0001-what-it-does.sql`, beside the application. */
export const migrationsDir = (): string =>
  join(/* turbopackIgnore: true */ process.cwd(), 'src/db/migrations')

/**
 * Brings a database up to date: every file not yet recorded, in order of its number, each in a
 * transaction of its own that also records it.
 */
export async function migrate(db: Db, dir = migrationsDir()): Promise<void> {
  await db.exec(`create table if not exists migration (
    number integer primary key, name text not null, applied_at timestamptz not null default now())`)
  const rows = await many(db, z.object({ number: z.int() }), 'select number from migration')
  const done = new Set(rows.map((row) => row.number))
  for (const file of readdirSync(/* turbopackIgnore: true */ dir)
    .filter((name) => name.endsWith('.sql'))
    .sort()) {
    const number = Number(file.slice(0, 4))
    if (done.has(number)) continue
    await db.transaction(async (tx) => {
      await tx.exec(readFileSync(/* turbopackIgnore: true */ join(dir, file), 'utf8'))
      await tx.query('insert into migration (number, name) values ($1, $2)', [number, file])
    })
  }
}
