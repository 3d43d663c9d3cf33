import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'
import { fingerprintOf, syncPath, syncTree } from './disk'

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

/** Whether the database's files are those that were written: on this very boot, or closed and on the disk since. */
export function isTrusted(dataDir: string): boolean {
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
export const noteOpen = (dataDir: string): void =>
  writeNote(dataDir, { boot: bootId(), closed: null })

/** Once the database is closed: the disk has all of it, and this is what it is told by. */
export function noteClosed(dataDir: string): void {
  syncTree(databaseDir(dataDir))
  writeNote(dataDir, { boot: bootId(), closed: fingerprintOf(databaseDir(dataDir)) })
}

function writeNote(dataDir: string, note: z.infer<typeof BootNote>): void {
  const aside = `${bootFile(dataDir)}.new`
  writeFileSync(aside, JSON.stringify(note), { mode: 0o600, flush: true })
  renameSync(aside, bootFile(dataDir))
  syncPath(dataDir)
}
