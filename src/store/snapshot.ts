import { createHash } from 'node:crypto'
import { createReadStream, createWriteStream } from 'node:fs'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'
import { z } from 'zod'
import { readAllRows, type TablePage } from '../db/all-rows'
import { RowJson } from '../db/codec'
import type { Db } from '../db/db'

export const SnapshotHeader = z.object({
  format: z.literal('elm-swatch-rows'),
  /** The migration that the rows were written after. */
  rows: z.int().min(1),
  /** The last change that they hold. */
  seq: z.int().min(0),
})
export type SnapshotHeader = z.infer<typeof SnapshotHeader>

const Line = z.union([
  z.object({ table: z.string(), rows: z.array(RowJson) }),
  z.object({ end: z.object({ lines: z.int(), hash: z.string() }) }),
])

/** A snapshot is not whole, or is none. */
export class SnapshotError extends Error {
  override name = 'SnapshotError'
}

/**
 * Writes all rows of a store, as they are at one instant, to a file: lines of JSON, gzipped; the last tells how many they
 * are and their SHA-256. The disk has it when this returns.
 *
 * @param rows the migration that the store is at
 */
export function writeSnapshot(db: Db, path: string, rows: number): Promise<SnapshotHeader> {
  return readAllRows(db, async (seq, pages) => {
    const header: SnapshotHeader = { format: 'elm-swatch-rows', rows, seq }
    await pipeline(
      Readable.from(linesOf(header, pages)),
      createGzip({ level: 4 }),
      createWriteStream(/* turbopackIgnore: true */ path, { mode: 0o600, flush: true }),
    )
    return header
  })
}

async function* linesOf(
  header: SnapshotHeader,
  pages: AsyncIterable<TablePage>,
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
  for await (const page of pages) yield line(page)
  yield JSON.stringify({ end: { lines, hash: hash.digest('hex') } }) + '\n'
}

/**
 * Reads a snapshot: its header, then each page as it comes.
 *
 * @throws SnapshotError when it is none, or is not whole: the pages before count for nothing then
 */
export async function readSnapshot(
  path: string,
  take: {
    readonly begin?: (header: SnapshotHeader) => void | Promise<void>
    readonly page?: (page: TablePage) => void | Promise<void>
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
        await take.page?.(line)
      }
      hash.update(text + '\n')
      lines += 1
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
