import { existsSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'
import type { PGlite } from '@electric-sql/pglite'
import {
  lastSeqOfAll,
  layingRowsIn,
  putRows,
  redo,
  takeAllRowsAway,
  type KeptChange,
} from '../db/all-rows'
import type { JsonRow } from '../db/codec'
import { many, type Db } from '../db/db'
import { migrate, newerData, newestMigration } from '../db/migrate'
import { dbOver, openPglite } from '../db/pglite'
import { diskWords, fingerprintOf, syncPath, syncTree } from './disk'
import { generationsIn, Journal, readLog, snapshotPath } from './journal'
import type { JournalBody, JournalEnd, ReadJournal } from './journal-file'
import { readSnapshot, SnapshotError } from './snapshot'

/** The data cannot be opened without a person's word; says what is wrong and what the ways out are. */
export class DamagedDataError extends Error {
  override name = 'DamagedDataError'
}

/** A database that is open, with the journal that makes it safe. */
export interface OpenedData {
  readonly db: Db
  readonly journal: Journal
  readonly close: () => Promise<void>
  /** What had to be done to open it, in words; none as a rule. */
  readonly notes: readonly string[]
}

/** Where the database of a data directory lies. */
export const databaseDir = (dataDir: string): string => join(dataDir, 'postgres')
/** What says under which boot the database was written to; without it, it is not trusted. */
export const bootFile = (dataDir: string): string => join(dataDir, 'boot.json')

const BootNote = z.object({
  /** The boot of the machine under which the database was last written to. */
  boot: z.string(),
  /** Of the database's files, once it was closed and the disk had all of it. */
  closed: z.string().nullable(),
})

const bootId = (): string => {
  try {
    return readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim()
  } catch {
    // No such thing on this system: then only a closed database is trusted.
    return ''
  }
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
  const isTrusted = trusted(dataDir)
  const way = process.env.ELM_RECOVER
  let opened: OpenDatabase | null = null
  if (!kept || way === 'directory' || (isTrusted && way !== 'journal')) {
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
    await db.transaction((tx) => layingRowsIn(tx, () => redoAfter(tx, kept.bodies, seq)))
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
  return Journal.goOn(dataDir, db, newestMigration(), { generation, end, seq: lastSeq })
}

const ChangeRow = z.object({ seq: z.number(), id: z.uuid(), hash: z.string() })

const waysOut = ({ lastSeq }: Kept): string =>
  'Copy the directory first. Then, best first: restore the last backup (npm run restore -- FILE); take what the journal has ' +
  `up to change ${lastSeq} (ELM_RECOVER=journal npm start); or take the database’s files as they are ` +
  '(ELM_RECOVER=directory npm start).'

const damaged = (dataDir: string, kept: Kept): DamagedDataError =>
  new DamagedDataError(
    `The journal in ${dataDir} is damaged after record ${kept.end.records} (byte ${kept.end.bytes} of journal ${kept.generation}), ` +
      `and the database’s own files cannot be trusted by themselves. Nothing was touched. ${waysOut(kept)}`,
  )

/** What the newest snapshot of a data directory and the journal after it hold. */
interface Kept {
  readonly generation: number
  /** The migration that its rows were written after. */
  readonly rows: number
  /** The last change that the snapshot holds, and the last that the journal tells of. */
  readonly seq: number
  readonly lastSeq: number
  readonly bodies: readonly JournalBody[]
  readonly changes: readonly KeptChange[]
  readonly end: JournalEnd
  readonly rest: ReadJournal['rest']
}

/** Null where there are none: a new store, or one from before there were any. */
function readKept(dataDir: string): Kept | null {
  const generation = generationsIn(dataDir).snapshots.at(-1)
  if (generation === undefined) return null
  const { bodies, end, rest } = readLog(dataDir, generation)
  const changes = bodies.filter((body) => 'command' in body)
  const [first] = bodies
  const begins = first && 'begins' in first ? first.begins : null
  return {
    ...{ generation, bodies, changes, end },
    rows: begins?.rows ?? 0,
    seq: begins?.seq ?? 0,
    lastSeq: Number(changes.at(-1)?.command.seq ?? begins?.seq ?? 0),
    rest: begins ? rest : 'damaged',
  }
}

function trusted(dataDir: string): boolean {
  let note: z.infer<typeof BootNote>
  try {
    note = BootNote.parse(JSON.parse(readFileSync(bootFile(dataDir), 'utf8')))
  } catch {
    return false
  }
  if (!existsSync(databaseDir(dataDir))) return false
  if (note.closed !== null) return note.closed === fingerprintOf(databaseDir(dataDir))
  return note.boot !== '' && note.boot === bootId()
}

/** Before the database is written to, what was said of its being closed has to be off the disk. */
const noteOpen = (dataDir: string): void => writeNote(dataDir, { boot: bootId(), closed: null })

function noteClosed(dataDir: string): void {
  syncTree(databaseDir(dataDir))
  writeNote(dataDir, { boot: bootId(), closed: fingerprintOf(databaseDir(dataDir)) })
}

function writeNote(dataDir: string, note: z.infer<typeof BootNote>): void {
  const aside = `${bootFile(dataDir)}.new`
  writeFileSync(aside, JSON.stringify(note), { mode: 0o600, flush: true })
  renameSync(aside, bootFile(dataDir))
  syncPath(dataDir)
}

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
  const database = await openPglite(databaseDir(dataDir))
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

/** Lays the database down anew beside the old one, which is put aside until the next time. */
async function rebuild(dataDir: string, kept: Kept): Promise<void> {
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
async function redoAfter(tx: Db, bodies: readonly JournalBody[], seq: number): Promise<void> {
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
