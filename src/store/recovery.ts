import type { PGlite } from '@electric-sql/pglite'
import { z } from 'zod'
import { lastSeqOfAll, layingRowsIn, redoAfter } from '../db/all-rows'
import { many, type Db } from '../db/db'
import { migrate, newerData, newestMigration } from '../db/migrate'
import { dbOver } from '../db/pglite'
import { endOldAnswers } from '../db/practice'
import { openOrBegin } from './empty-database'
import { databaseDir, isTrusted, noteClosed, noteOpen } from './boot-note'
import { diskWords } from './disk'
import { Journal } from './journal'
import { laterIn } from './journal-file'
import { damaged, DamagedDataError, readKept, waysOut, type Kept } from './kept'
import { rebuild } from './rebuild'

/** A database that is open, with the journal that makes it safe. */
export interface OpenedData {
  readonly db: Db
  readonly journal: Journal
  readonly close: () => Promise<void>
  /** What had to be done to open it, in words; none as a rule. */
  readonly notes: readonly string[]
}

/**
 * Opens the database of a data directory with its journal.
 *
 * The database waits for no disk. After a power cut its files may be of any age, each of its own; so they are trusted
 * only on the boot they were written under, or when they were closed and the disk had them. Else, or when they will not open,
 * the database is laid down anew from the last snapshot and the journal, which has every change that was acknowledged.
 *
 * @throws DamagedDataError when the journal is damaged or tells of another history than the database
 */
export async function openData(dataDir: string): Promise<OpenedData> {
  const notes: string[] = []
  const kept = readKept(dataDir)
  if (kept && kept.rows > newestMigration()) throw newerData(kept.rows)
  const isWhole = isTrusted(dataDir)
  const way = process.env.ELM_RECOVER
  let opened: OpenDatabase | null = null
  if (!kept || way === 'directory' || (isWhole && way !== 'journal')) {
    noteOpen(dataDir)
    opened = await openDatabase(dataDir).catch((error: unknown) => {
      if (!kept) throw error
      notes.push('The database would not open.')
      return null
    })
    if (opened && kept && opened.seq < kept.seq && way !== 'directory') {
      notes.push(`The database was older (change ${opened.seq}) than its snapshot (${kept.seq}).`)
      await opened.database.close()
      opened = null
    }
  }
  if (!opened) {
    if (kept!.rest === 'damaged' && way !== 'journal') throw damaged(dataDir, kept!)
    await rebuild(dataDir, kept!)
    notes.push(`It was laid down anew from snapshot and journal, up to change ${kept!.lastSeq}.`)
    noteOpen(dataDir)
    opened = await openDatabase(dataDir)
  }
  const { db, database } = opened
  try {
    const journal = kept
      ? await reconciled(dataDir, opened, kept, notes)
      : await begun(dataDir, db, 0)
    await endOldAnswers(db, journal.snapshotSeq)
    return {
      ...{ db, journal, notes },
      async close() {
        await journal.close()
        await database.close()
        noteClosed(dataDir)
      },
    }
  } catch (error) {
    await database.close()
    throw error
  }
}

async function begun(dataDir: string, db: Db, after: number): Promise<Journal> {
  await migrate(db)
  return Journal.begin(dataDir, db, newestMigration(), after)
}

/** Sees to it that database and journal tell of the same changes, and goes on with both. */
async function reconciled(
  dataDir: string,
  { db, seq }: OpenDatabase,
  kept: Kept,
  notes: string[],
): Promise<Journal> {
  const way = process.env.ELM_RECOVER
  if (way === 'directory') {
    notes.push(`The database’s files were taken as they are, up to change ${seq}.`)
    return begun(dataDir, db, kept.generation)
  }
  const here = new Map(
    (
      await many(
        db,
        ChangeRow,
        'select seq, id, payload_hash as hash from command where seq > $1',
        [kept.seq],
      )
    ).map((row) => [row.seq, row]),
  )
  for (const { command } of kept.changes) {
    const own = here.get(Number(command.seq))
    if (Number(command.seq) > seq || (own?.id === command.id && own?.hash === command.payload_hash))
      continue
    throw new DamagedDataError(
      `Database and journal in ${dataDir} tell of two histories: they differ from change ${command.seq} on. Nothing was touched. ` +
        waysOut(kept),
    )
  }
  // The database commits first: what it has past the damage, the journal had there.
  if (kept.rest === 'damaged' && seq <= kept.lastSeq && !way) throw damaged(dataDir, kept)
  if (seq < kept.lastSeq) {
    await db.transaction((tx) =>
      layingRowsIn(tx, async () => void (await redoAfter(tx, laterIn(kept.bodies), seq))),
    )
    notes.push(
      `The database stood at change ${seq}; the ${kept.lastSeq - seq} after it came from the journal.`,
    )
  }
  await migrate(db)
  if (kept.rest === 'damaged') {
    notes.push(
      `The journal was damaged after record ${kept.end.records}; a new one was begun from the database.`,
    )
    return begun(dataDir, db, kept.generation)
  }
  if (newestMigration() !== kept.rows) return begun(dataDir, db, kept.generation)
  const { generation, end, lastSeq } = kept
  return Journal.goOn(dataDir, db, newestMigration(), {
    ...{ generation, end },
    seq: lastSeq,
    snapshotSeq: kept.seq,
  })
}

const ChangeRow = z.object({ seq: z.number(), id: z.uuid(), hash: z.string() })

/** How a process ends that wants to be started again. */
export const RESTART_CODE = 75

/** The engine cannot be asked again in this process; what was acknowledged is in the journal. */
function endForRestart(error: unknown): void {
  console.error(`The database stopped (${diskWords(error)}); it is opened anew.`)
  process.exit(RESTART_CODE)
}

interface OpenDatabase {
  readonly database: PGlite
  readonly db: Db
  /** The last change that it has. */
  readonly seq: number
}

async function openDatabase(dataDir: string): Promise<OpenDatabase> {
  const database = await openOrBegin(databaseDir(dataDir))
  const db = dbOver(database, endForRestart)
  try {
    const [there] = await db.query(`select to_regclass('command') is not null as there`)
    const hasChanges = (there as { there: boolean }).there
    return { database, db, seq: hasChanges ? await lastSeqOfAll(db) : 0 }
  } catch (error) {
    await database.close()
    throw error
  }
}
