import type { KeptChange } from '../db/all-rows'
import { generationsIn, readLog } from './journal'
import type { JournalBody, JournalEnd, ReadJournal } from './journal-file'

/** The data cannot be opened without a person's word; says what is wrong and what the ways out are. */
export class DamagedDataError extends Error {
  override name = 'DamagedDataError'
}

/** What the newest snapshot of a data directory and the journal after it hold. */
export interface Kept {
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
export function readKept(dataDir: string): Kept | null {
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

export const waysOut = ({ lastSeq }: Kept): string =>
  'Copy the directory first. Then, best first: restore the last backup (npm run restore -- FILE); take what the journal has ' +
  `up to change ${lastSeq} (ELM_RECOVER=journal npm start); or take the database’s files as they are ` +
  '(ELM_RECOVER=directory npm start).'

export const damaged = (dataDir: string, kept: Kept): DamagedDataError =>
  new DamagedDataError(
    `The journal in ${dataDir} is damaged after record ${kept.end.records} (byte ${kept.end.bytes} of journal ${kept.generation}), ` +
      `and the database’s own files cannot be trusted by themselves. Nothing was touched. ${waysOut(kept)}`,
  )
