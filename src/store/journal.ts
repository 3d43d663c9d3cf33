import { readdirSync, readFileSync, rmSync } from 'node:fs'
import { copyFile, mkdir, rename, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { CHANGES_A_PAGE, changesAfter, coloursOpenedBy } from '../db/all-rows'
import type { Db } from '../db/db'
import { diskWords, syncPath } from './disk'
import {
  JournalFile,
  NO_CHAIN,
  readJournal,
  type JournalBody,
  type JournalEnd,
  type ReadJournal,
} from './journal-file'
import { writeSnapshot, type SnapshotHeader } from './snapshot'

/** The journal could not be written: what was changed last is not safe. */
export class JournalError extends Error {
  override name = 'JournalError'
}

/** Where snapshots and journals of a data directory lie. */
export const journalDir = (dataDir: string): string => join(dataDir, 'journal')

const numbered = (dataDir: string, generation: number, ending: string): string =>
  join(journalDir(dataDir), `${String(generation).padStart(6, '0')}.${ending}`)

export const logPath = (dataDir: string, generation: number): string =>
  numbered(dataDir, generation, 'log')
export const snapshotPath = (dataDir: string, generation: number): string =>
  numbered(dataDir, generation, 'rows.gz')

/** The numbers of the journals and of the snapshots that lie in a data directory, in order. */
export function generationsIn(dataDir: string): {
  readonly logs: readonly number[]
  readonly snapshots: readonly number[]
} {
  let names: readonly string[] = []
  try {
    names = readdirSync(/* turbopackIgnore: true */ journalDir(dataDir))
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'ENOENT') throw error
  }
  const of = (ending: string) =>
    names
      .filter((name) => name.endsWith(`.${ending}`))
      .map((name) => Number(name.slice(0, 6)))
      .sort((p, q) => p - q)
  return { logs: of('log'), snapshots: of('rows.gz') }
}

export const readLog = (dataDir: string, generation: number): ReadJournal =>
  readJournal(readFileSync(/* turbopackIgnore: true */ logPath(dataDir, generation)))

/** A journal of so many bytes is followed by a new snapshot. */
const LONGEST_BYTES = 32_000_000

/**
 * What makes a change safe from a power cut: the database itself waits for no disk. Each generation is a snapshot of all rows
 * and a log of the changes since; the one before is kept as well.
 */
export class Journal {
  private last: Promise<unknown> = Promise.resolve()
  private waiting: Promise<void> | null = null
  private trouble: string | null = null
  private isTurning = false

  private constructor(
    private readonly dataDir: string,
    private readonly db: Db,
    private readonly rows: number,
    private generation: number,
    private file: JournalFile | null,
    /** The last change that is in it. */
    private keptSeq: number,
    private heldSeq: number,
  ) {}

  /** Goes on with the journal of a generation from where it is whole. */
  static async goOn(
    dataDir: string,
    db: Db,
    rows: number,
    at: {
      readonly generation: number
      readonly end: JournalEnd
      readonly seq: number
      readonly snapshotSeq: number
    },
  ): Promise<Journal> {
    const file = await JournalFile.open(logPath(dataDir, at.generation), at.end)
    const journal = new Journal(dataDir, db, rows, at.generation, file, at.seq, at.snapshotSeq)
    await journal.settle()
    return journal
  }

  /** Begins a generation, the first or after a given one, with a snapshot of the store as it is. */
  static async begin(dataDir: string, db: Db, rows: number, after = 0): Promise<Journal> {
    await mkdir(/* turbopackIgnore: true */ journalDir(dataDir), { recursive: true, mode: 0o700 })
    const journal = new Journal(dataDir, db, rows, after, null, 0, 0)
    await journal.turn()
    return journal
  }

  /** The last change that the snapshot of its generation holds; those after it have to stay in the database as they are. */
  get snapshotSeq(): number {
    return this.heldSeq
  }

  /** Why the last change is not safe, in words; null while all are. */
  get troubleNow(): string | null {
    return this.trouble
  }

  /**
   * Returns once every change that is committed by now stands on the disk; those that ask together wait together.
   *
   * @throws JournalError
   */
  settle(): Promise<void> {
    this.waiting ??= this.afterAllBefore(() => {
      this.waiting = null
      return this.catchUp()
    })
    return this.waiting
  }

  /** Turns to a new generation where the log has grown long; others are served meanwhile. */
  async turnWhenLong(): Promise<void> {
    if (this.isTurning || this.file!.end.bytes < LONGEST_BYTES) return
    this.isTurning = true
    try {
      await this.turn()
    } finally {
      this.isTurning = false
    }
  }

  async close(): Promise<void> {
    await this.settle()
    await this.file!.close()
  }

  private afterAllBefore<T>(work: () => Promise<T>): Promise<T> {
    const done = this.last.then(work, work)
    this.last = done.catch(() => undefined)
    return done
  }

  private async catchUp(): Promise<void> {
    try {
      for (;;) {
        const changes = await changesAfter(this.db, this.keptSeq)
        if (changes.length === 0) break
        const bodies: JournalBody[] = []
        for (const change of changes) {
          for await (const deckColours of coloursOpenedBy(this.db, change))
            bodies.push({ deckColours: [...deckColours] })
          bodies.push({ command: change.command, events: [...change.events] })
        }
        await this.file!.append(bodies)
        this.keptSeq = Number(changes.at(-1)!.command.seq)
        // Asked once more only where there may be more: a question costs as much as the writing.
        if (changes.length < CHANGES_A_PAGE) break
      }
      this.trouble = null
    } catch (error) {
      this.trouble = `The journal cannot be written: ${diskWords(error)}.`
      throw new JournalError(this.trouble)
    }
  }

  /**
   * A snapshot counts once it lies under its name: by then the new log has all that came since. Until then the log before
   * goes on and has everything.
   */
  private async turn(): Promise<void> {
    const { dataDir, db, rows } = this
    const generation = this.generation + 1
    const snapshot = snapshotPath(dataDir, generation)
    const { seq } = await writeSnapshot(db, `${snapshot}.new`, rows)
    await this.afterAllBefore(async () => {
      const before = { file: this.file, keptSeq: this.keptSeq }
      await rm(/* turbopackIgnore: true */ logPath(dataDir, generation), { force: true })
      const file = await JournalFile.open(logPath(dataDir, generation))
      const chain = before.file?.end.chain ?? NO_CHAIN
      try {
        await file.append([{ begins: { generation, rows, seq, chain } }])
        Object.assign(this, { file, keptSeq: seq })
        await this.catchUp()
        await rename(/* turbopackIgnore: true */ `${snapshot}.new`, snapshot)
        syncPath(journalDir(dataDir))
      } catch (error) {
        Object.assign(this, before)
        await file.close()
        throw error
      }
      Object.assign(this, { generation, heldSeq: seq })
      await before.file?.close()
    })
    dropBefore(dataDir, generation - 1)
  }
}

/** Puts a snapshot in as a generation of its own, the newest, with nothing after it. */
export async function putSnapshotIn(
  dataDir: string,
  file: string,
  { rows, seq }: Pick<SnapshotHeader, 'rows' | 'seq'>,
): Promise<void> {
  await mkdir(/* turbopackIgnore: true */ journalDir(dataDir), { recursive: true, mode: 0o700 })
  const { logs, snapshots } = generationsIn(dataDir)
  const generation = Math.max(0, ...logs, ...snapshots) + 1
  const log = await JournalFile.open(logPath(dataDir, generation))
  await log.append([{ begins: { generation, rows, seq, chain: NO_CHAIN } }])
  await log.close()
  const aside = `${snapshotPath(dataDir, generation)}.new`
  await copyFile(/* turbopackIgnore: true */ file, aside)
  syncPath(aside)
  await rename(/* turbopackIgnore: true */ aside, snapshotPath(dataDir, generation))
  syncPath(journalDir(dataDir))
}

/** Drops the generations before one, and what was cut off while it was written. */
function dropBefore(dataDir: string, generation: number): void {
  const { logs, snapshots } = generationsIn(dataDir)
  for (const old of snapshots.filter((each) => each < generation))
    rmSync(/* turbopackIgnore: true */ snapshotPath(dataDir, old))
  for (const old of logs.filter((each) => each < generation))
    rmSync(/* turbopackIgnore: true */ logPath(dataDir, old))
}
