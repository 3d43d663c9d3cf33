import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'
import { many, type Db } from './db'

/** SQL files named `0001-what-it-does.sql`, beside the application. */
export const migrationsDir = (): string =>
  join(/* turbopackIgnore: true */ process.cwd(), 'src/db/migrations')

/** The data was written by a later version of the program. */
export class NewerDataError extends Error {
  override name = 'NewerDataError'
}

/** @param step the migration that the data is at */
export const newerData = (step: number, known = newestMigration()): NewerDataError =>
  new NewerDataError(
    `This data was written by a newer Elm Swatch (its record is at step ${step}, this program knows ${known}). Nothing was touched: open it with the newer program.`,
  )

const filesIn = (dir: string): string[] =>
  readdirSync(/* turbopackIgnore: true */ dir)
    .filter((name) => name.endsWith('.sql'))
    .sort()

const numberOf = (file: string | undefined): number => Number(file?.slice(0, 4) ?? 0)

/** The last migration that this program knows: the shape of the rows it writes. */
export const newestMigration = (dir = migrationsDir()): number => numberOf(filesIn(dir).at(-1))

// The one that brings commands makes its own; each later one runs under a command.
const FIRST_WITH_COMMANDS = 6

/**
 * Brings a database up to date: every file not yet recorded, in order of its number, each in a
 * transaction of its own that also records it.
 *
 * @param upTo the last to run; all of them by default
 * @throws NewerDataError, with nothing touched, when the database knows migrations that are not among the files
 */
export async function migrate(db: Db, dir = migrationsDir(), upTo = Infinity): Promise<void> {
  const files = filesIn(dir)
  const done = await doneMigrations(db)
  const last = numberOf(files.at(-1))
  const newest = Math.max(0, ...done)
  if (newest > last) throw newerData(newest, last)
  await db.transaction(async (tx) => {
    await oneAtATime(tx)
    await tx.exec(`create table if not exists migration (
      number integer primary key, name text not null, applied_at timestamptz not null default now())`)
  })
  for (const file of files) {
    const number = numberOf(file)
    if (done.has(number) || number > upTo) continue
    await db.transaction(async (tx) => {
      await oneAtATime(tx)
      // Another server may have made it meanwhile.
      if ((await doneMigrations(tx)).has(number)) return
      if (number > FIRST_WITH_COMMANDS) await underItsOwnCommand(tx, number)
      await tx.exec(readFileSync(/* turbopackIgnore: true */ join(dir, file), 'utf8'))
      await tx.query('insert into migration (number, name) values ($1, $2)', [number, file])
    })
  }
}

// Any number, as long as it is always this one.
const LOCK = 3_141_592

/** Of several servers on one database one migrates, and the others wait for it. */
const oneAtATime = (tx: Db): Promise<unknown> =>
  tx.query('select pg_advisory_xact_lock($1)', [LOCK])

/** The numbers of the migrations that a database has gone through; none of one that is not ours yet. */
export async function doneMigrations(db: Db): Promise<ReadonlySet<number>> {
  const [there] = await db.query(`select to_regclass('migration') is not null as there`)
  if (!(there as { there: boolean }).there) return new Set()
  const rows = await many(db, z.object({ number: z.int() }), 'select number from migration')
  return new Set(rows.map(({ number }) => number))
}

/** What a migration writes is written by a command, as everything is. */
async function underItsOwnCommand(tx: Db, number: number): Promise<void> {
  const id = `00000000-0000-4000-8000-${String(number).padStart(12, '0')}`
  const payload = JSON.stringify({ to: number })
  await tx.query(
    `insert into command (id, seq, kind, payload, payload_hash, actor, device, made_at, received_at, answer)
     values ($1, nextval('command_seq'), 'migrate', $2::jsonb, $3, 'Elm Swatch', 'server', now(), now(), '{"ok": true}')`,
    [id, payload, createHash('sha256').update(payload).digest('hex')],
  )
  await tx.query(`select set_config('elm.command', $1, true)`, [id])
}
