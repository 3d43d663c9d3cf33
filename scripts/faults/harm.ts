import { spawnSync } from 'node:child_process'
import {
  appendFileSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import { join } from 'node:path'

type Random = () => number

const filesUnder = (dir: string): string[] =>
  readdirSync(dir, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name))

const newestLog = (dataDir: string): string => {
  const dir = join(dataDir, 'journal')
  const [log] = readdirSync(dir)
    .filter((name) => name.endsWith('.log'))
    .sort()
    .reverse()
  return join(dir, log!)
}

/** What stands of the boot under which the database was written is that of another one: the machine was off. */
export function forgetBoot(dataDir: string): void {
  const path = join(dataDir, 'boot.json')
  const note = JSON.parse(readFileSync(path, 'utf8')) as object
  writeFileSync(path, JSON.stringify({ ...note, boot: '00000000-0000-0000-0000-000000000000' }))
}

/** Files of a directory as they are or as they were, each by chance; some cut to pages of either. */
export function mixTrees(older: string, now: string, random: Random): void {
  for (const file of filesUnder(now)) {
    const was = join(older, file.slice(now.length))
    if (!existsSync(was) || random() < 0.4) continue
    if (random() < 0.5) copyFileSync(was, file)
    else writeFileSync(file, mixPages(readFileSync(was), readFileSync(file), random))
  }
}

const PAGE_BYTES = 8192

function mixPages(older: Buffer, now: Buffer, random: Random): Buffer {
  const mixed = Buffer.from(now)
  for (let at = 0; at < Math.min(older.length, now.length); at += PAGE_BYTES)
    if (random() < 0.5) older.copy(mixed, at, at, Math.min(at + PAGE_BYTES, older.length))
  return mixed
}

/** The end of each of the database's own logs cut off, or never written. */
export function endLogs(dataDir: string, how: 'cut off' | 'of zeros', random: Random): void {
  for (const file of filesUnder(join(dataDir, 'postgres/pg_wal'))) {
    const { size } = statSync(file)
    const to = Math.floor(random() * size)
    truncateSync(file, to)
    if (how === 'of zeros') truncateSync(file, size)
  }
}

/** A write that had begun: half of a record, rubbish, or room that was never filled, after the journal's end. */
export function beginToWrite(dataDir: string, random: Random): void {
  const log = newestLog(dataDir)
  const rest = [
    'record 99',
    `record 99999 400 0a0b0c0d ${'ab'.repeat(32)}\n{"command":{"id":"7f`,
    '\0'.repeat(4096),
  ][Math.floor(random() * 3)]!
  appendFileSync(log, rest)
}

/** A byte of the journal turned over. */
export function flipByte(dataDir: string, random: Random): void {
  const log = newestLog(dataDir)
  const bytes = readFileSync(log)
  bytes[Math.floor(random() * bytes.length)]! ^= 1 << Math.floor(random() * 8)
  writeFileSync(log, bytes)
}

/** The journal without what follows a byte. */
export function tearOff(dataDir: string, random: Random): void {
  const log = newestLog(dataDir)
  truncateSync(log, Math.floor(random() * statSync(log).size))
}

/** A disk of so many megabytes of its own, given to `work`; false where this user may not have one. */
export async function withSmallDisk(
  at: string,
  megabytes: number,
  work: (disk: Disk) => Promise<void>,
): Promise<boolean> {
  mkdirSync(at, { recursive: true })
  const mount = (...options: string[]) => spawnSync('mount', [...options, at]).status === 0
  if (!mount('-t', 'tmpfs', '-o', `size=${megabytes}m`, 'tmpfs')) return false
  const filler = join(at, 'filler')
  try {
    await work({
      dir: at,
      fill(leave) {
        const block = Buffer.alloc(65_536)
        try {
          for (;;) appendFileSync(filler, block)
        } catch {
          truncateSync(filler, Math.max(0, statSync(filler).size - leave))
        }
      },
      free: () => rmSync(filler, { force: true }),
      makeReadOnly: () => mount('-o', 'remount,ro'),
    })
  } finally {
    spawnSync('umount', [at])
  }
  return true
}

interface Disk {
  readonly dir: string
  /** Leaves so many bytes free. */
  fill(leave: number): void
  free(): void
  makeReadOnly(): void
}
