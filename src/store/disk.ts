import {
  closeSync,
  fsyncSync,
  openSync,
  readdirSync,
  statfsSync,
  statSync,
  type Dirent,
} from 'node:fs'
import { createHash } from 'node:crypto'
import { join } from 'node:path'

/** What has to stay free on the disk of the data: the database cannot go on, nor stop well, on a full one. */
export const LEAST_FREE_BYTES = 64_000_000

/** Bytes that a program may still write on the disk that a directory lies on. */
export function freeBytes(dir: string): number {
  const { bavail, bsize } = statfsSync(/* turbopackIgnore: true */ dir)
  return bavail * bsize
}

/** Waits until the disk has what a file holds, or which names a directory has. */
export function syncPath(path: string): void {
  const handle = openSync(/* turbopackIgnore: true */ path, 'r')
  try {
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
}

const entriesUnder = (dir: string): Dirent[] =>
  readdirSync(/* turbopackIgnore: true */ dir, { recursive: true, withFileTypes: true })

/** The same for a directory with all that is under it. */
export function syncTree(dir: string): void {
  for (const entry of entriesUnder(dir))
    if (entry.isFile() || entry.isDirectory()) syncPath(join(entry.parentPath, entry.name))
  syncPath(dir)
}

/** What tells a directory from an older or a mixed copy of it: the names, sizes and times of its files. */
export function fingerprintOf(dir: string): string {
  const hash = createHash('sha256')
  const files = entriesUnder(dir)
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name))
    .sort()
  for (const file of files) {
    const { size, mtimeNs } = statSync(/* turbopackIgnore: true */ file, { bigint: true })
    hash.update(`${file.slice(dir.length)} ${size} ${mtimeNs}\n`)
  }
  return hash.digest('hex')
}

/** Errors of a file system that say that nothing more can be written, for now or at all. */
const UNWRITABLE: Readonly<Record<string, string>> = {
  ENOSPC: 'the disk is full',
  EDQUOT: 'the quota of the disk is used up',
  EROFS: 'the disk can only be read',
  EACCES: 'this user may not write there',
  EPERM: 'this user may not write there',
  EIO: 'the disk reports an error',
}

/** Whether an error says that nothing more can be written. */
export const isUnwritable = (error: unknown): boolean =>
  ((error as { code?: string }).code ?? '') in UNWRITABLE

/** What a file system's error means, in words; its own message where we have none. */
export const diskWords = (error: unknown): string => {
  const { code, message } = error as { code?: string; message?: string }
  return UNWRITABLE[code ?? ''] ?? message ?? 'an unknown error'
}
