import { createHash } from 'node:crypto'
import { createReadStream, createWriteStream } from 'node:fs'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { setImmediate } from 'node:timers/promises'
import { createGunzip, createGzip } from 'node:zlib'
import { z } from 'zod'
import {
  putRows,
  readAllRows,
  redoAfter,
  type AllRows,
  type LaterChange,
  type TablePage,
} from '../db/all-rows'
import { RowJson } from '../db/codec'
import type { Db } from '../db/db'

export const SnapshotHeader = z.object({
  format: z.literal('elm-swatch-rows'),
  /** The migration that the rows were written after. */
  rows: z.int().min(1),
  /** The last change that they hold; in the file's own head the last before the changes at its end. */
  seq: z.int().min(0),
})
export type SnapshotHeader = z.infer<typeof SnapshotHeader>

const Line = z.union([
  z.object({ table: z.string(), rows: z.array(RowJson) }),
  z.object({ changed: z.object({ command: RowJson, events: z.array(RowJson) }) }),
  z.object({ deckColours: z.array(RowJson) }),
  z.object({ end: z.object({ lines: z.int(), hash: z.string() }) }),
])

/** A snapshot is not whole, or is none. */
export class SnapshotError extends Error {
  override name = 'SnapshotError'
}

/**
 * Writes all rows of a store to a file, as they are when this returns, while others are served: lines of JSON, gzipped. Each has
 * a page of a table, or a change that was made while they were read; the last tells how many they are and their SHA-256. The
 * disk has it when this returns.
 *
 * @param rows the migration that the store is at
 */
export function writeSnapshot(db: Db, path: string, rows: number): Promise<SnapshotHeader> {
  return readAllRows(db, async (all) => {
    const header: SnapshotHeader = { format: 'elm-swatch-rows', rows, seq: all.seq }
    const held = { ...header }
    await pipeline(
      Readable.from(linesOf(header, all, (seq) => (held.seq = seq))),
      createGzip({ level: 4 }),
      createWriteStream(/* turbopackIgnore: true */ path, { mode: 0o600, flush: true }),
    )
    return held
  })
}

async function* linesOf(
  header: SnapshotHeader,
  { parts }: AllRows,
  reached: (seq: number) => void,
): AsyncGenerator<string> {
  const hash = createHash('sha256')
  let lines = 0
  const line = (content: unknown) => {
    const text = JSON.stringify(content) + '\n'
    hash.update(text)
    lines += 1
    return text
  }
  yield line(header)
  for await (const part of parts) {
    // Somebody else's question first.
    await setImmediate()
    if ('command' in part) reached(Number(part.command.seq))
    yield line('command' in part ? { changed: part } : part)
  }
  yield JSON.stringify({ end: { lines, hash: hash.digest('hex') } }) + '\n'
}

/** Lays the rows of a snapshot in, and makes the changes at its end again; inside `layingRowsIn`, in an empty store. */
export async function laySnapshotIn(tx: Db, path: string): Promise<SnapshotHeader> {
  const later: LaterChange[] = []
  const { seq, ...header } = await readSnapshot(path, {
    page: (page) => putRows(tx, page),
    later: (change) => void later.push(change),
  })
  await redoAfter(tx, later, 0)
  return { ...header, seq }
}

/**
 * Reads a snapshot: its header, then each page and each later change as it comes.
 *
 * @returns its header, with the last change that it holds
 * @throws SnapshotError when it is none, or is not whole: the pages before count for nothing then
 */
export async function readSnapshot(
  path: string,
  take: {
    readonly begin?: (header: SnapshotHeader) => void | Promise<void>
    readonly page?: (page: TablePage) => void | Promise<void>
    readonly later?: (change: LaterChange) => void | Promise<void>
  },
): Promise<SnapshotHeader> {
  const file = createReadStream(/* turbopackIgnore: true */ path)
  const unpacked = file.pipe(createGunzip())
  file.on('error', (error) => unpacked.destroy(error))
  const hash = createHash('sha256')
  let header: SnapshotHeader | null = null
  let lines = 0
  let isWhole = false
  try {
    for await (const text of textLines(unpacked)) {
      if (!header) {
        header = SnapshotHeader.parse(JSON.parse(text))
        await take.begin?.(header)
      } else {
        const line = Line.parse(JSON.parse(text))
        if ('end' in line) {
          isWhole = line.end.lines === lines && line.end.hash === hash.copy().digest('hex')
          continue
        }
        if (isWhole) throw new SnapshotError('there is more after its end')
        if ('table' in line) await take.page?.(line)
        else await take.later?.('changed' in line ? line.changed : line)
        if ('changed' in line) header.seq = Number(line.changed.command.seq)
      }
      hash.update(text + '\n')
      lines += 1
      await setImmediate()
    }
  } catch (error) {
    if (error instanceof SyntaxError || error instanceof z.ZodError || isZlib(error))
      throw new SnapshotError(`${path} is broken after ${lines} lines`)
    throw error
  }
  if (!header || !isWhole)
    throw new SnapshotError(`${path} is not whole: it ends after ${lines} lines`)
  return header
}

async function* textLines(bytes: AsyncIterable<Buffer>): AsyncGenerator<string> {
  const parts: Buffer[] = []
  for await (const chunk of bytes) {
    let from = 0
    for (let to = chunk.indexOf(10); to >= 0; to = chunk.indexOf(10, from)) {
      parts.push(chunk.subarray(from, to))
      yield Buffer.concat(parts.splice(0)).toString('utf8')
      from = to + 1
    }
    if (from < chunk.length) parts.push(chunk.subarray(from))
  }
  // What has no end of line is no line: it was cut off.
}

const isZlib = (error: unknown): boolean =>
  /^Z_|^ERR_/.test(String((error as { code?: unknown } | null)?.code ?? ''))
