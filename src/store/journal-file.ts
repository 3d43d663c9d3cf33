import { createHash } from 'node:crypto'
import { open, type FileHandle } from 'node:fs/promises'
import { crc32 } from 'node:zlib'
import { z } from 'zod'
import type { LaterChange } from '../db/all-rows'
import { RowJson } from '../db/codec'

/** What a journal holds, one body a record. */
export const JournalBody = z.union([
  /** The first record: which generation this is, the shape of its rows, and the last change before it. */
  z.object({
    begins: z.object({
      generation: z.int(),
      rows: z.int(),
      seq: z.int(),
      /** The chain of the journal before it. */
      chain: z.string(),
    }),
  }),
  /** A change with what it wrote: rows of `command` and `event`. */
  z.object({ command: RowJson, events: z.array(RowJson) }),
  /** Colours of the deck that the next change opens: they come without events. */
  z.object({ deckColours: z.array(RowJson) }),
])
export type JournalBody = z.infer<typeof JournalBody>

/** The changes among some bodies, with the colours of decks that they open. */
export const laterIn = (bodies: readonly JournalBody[]): LaterChange[] =>
  bodies.filter((body) => !('begins' in body)) as LaterChange[]

/** The chain of a journal that nothing came before. */
export const NO_CHAIN = '0'.repeat(64)

/** How far a journal goes. */
export interface JournalEnd {
  /** Records in it. */
  readonly records: number
  readonly bytes: number
  /** SHA-256 over the chain of the record before and the body: hangs on every record so far. */
  readonly chain: string
}

const EMPTY: JournalEnd = { records: 0, bytes: 0, chain: NO_CHAIN }

const chained = (before: string, body: Buffer): string =>
  createHash('sha256').update(before).update(body).digest('hex')

const checksum = (body: Buffer): string => crc32(body).toString(16).padStart(8, '0')

/**
 * Records as bytes: a line "record NUMBER LENGTH CHECKSUM CHAIN", the body as JSON in so many bytes, a line's end.
 *
 * @returns the bytes, and how far the journal goes with them
 */
export function recordsAsBytes(
  bodies: readonly JournalBody[],
  after: JournalEnd = EMPTY,
): { readonly bytes: Buffer; readonly end: JournalEnd } {
  const parts: Buffer[] = []
  let { records, chain } = after
  for (const each of bodies) {
    const body = Buffer.from(JSON.stringify(each))
    chain = chained(chain, body)
    records += 1
    parts.push(
      Buffer.from(`record ${records} ${body.length} ${checksum(body)} ${chain}\n`),
      body,
      Buffer.from('\n'),
    )
  }
  const bytes = Buffer.concat(parts)
  return { bytes, end: { records, bytes: after.bytes + bytes.length, chain } }
}

/** A journal as it was read. */
export interface ReadJournal {
  readonly bodies: readonly JournalBody[]
  /** How far it is whole. */
  readonly end: JournalEnd
  /**
   * What follows: nothing; a last record that was never written to its end, and so never acknowledged; or damage, that is
   * a record that is whole in length and wrong, or has others after it.
   */
  readonly rest: 'nothing' | 'torn' | 'damaged'
}

const HEAD = /record (\d{1,12}) (\d{1,9}) ([0-9a-f]{8}) ([0-9a-f]{64})\n/y
const LONGEST_HEAD = 110

/** Reads a journal up to where it is whole, and says what follows there. */
export function readJournal(bytes: Buffer): ReadJournal {
  const bodies: JournalBody[] = []
  let end = EMPTY
  while (end.bytes < bytes.length) {
    const record = recordAt(bytes, end.bytes)
    const body = record && parsedBody(record.body)
    if (
      !record ||
      !body ||
      record.number !== end.records + 1 ||
      chained(end.chain, record.body) !== record.chain
    )
      return { bodies, end, rest: restAfter(bytes, end) }
    bodies.push(body)
    end = { records: record.number, bytes: record.to, chain: record.chain }
  }
  return { bodies, end, rest: 'nothing' }
}

interface FoundRecord {
  readonly number: number
  readonly body: Buffer
  readonly chain: string
  readonly to: number
}

/** The record that begins at a byte, if one does that is whole by its own checksum. */
function recordAt(bytes: Buffer, from: number): FoundRecord | null {
  HEAD.lastIndex = 0
  const head = HEAD.exec(bytes.toString('latin1', from, from + LONGEST_HEAD))
  if (!head) return null
  const start = from + head[0].length
  const to = start + Number(head[2]) + 1
  if (to > bytes.length || bytes[to - 1] !== 10) return null
  const body = bytes.subarray(start, to - 1)
  if (checksum(body) !== head[3]) return null
  return { number: Number(head[1]), body, chain: head[4]!, to }
}

/** A record that is cut off has nothing after it, or what a disk leaves where it wrote nothing: zeros. */
function restAfter(bytes: Buffer, { bytes: from, records }: JournalEnd): 'torn' | 'damaged' {
  const rest = bytes.subarray(from)
  const written = rest.length - zerosAtTheEnd(rest)
  for (
    let at = rest.indexOf('\nrecord ');
    at >= 0 && at < written;
    at = rest.indexOf('\nrecord ', at + 1)
  ) {
    const later = recordAt(bytes, from + at + 1)
    if (later && later.number > records) return 'damaged'
  }
  HEAD.lastIndex = 0
  const head = HEAD.exec(rest.toString('latin1', 0, LONGEST_HEAD))
  const wanted = head ? head[0].length + Number(head[2]) + 1 : Infinity
  return written >= wanted ? 'damaged' : 'torn'
}

function zerosAtTheEnd(bytes: Buffer): number {
  let zeros = 0
  while (zeros < bytes.length && bytes[bytes.length - 1 - zeros] === 0) zeros += 1
  return zeros
}

function parsedBody(body: Buffer): JournalBody | null {
  try {
    const parsed = JournalBody.safeParse(JSON.parse(body.toString('utf8')))
    return parsed.success ? parsed.data : null
  } catch {
    return null
  }
}

/** A journal that is appended to. */
export class JournalFile {
  private constructor(
    private readonly file: FileHandle,
    private whole: JournalEnd,
  ) {}

  /** @param end how far the file is whole; what follows is cut off before the next record */
  static async open(path: string, end: JournalEnd = EMPTY): Promise<JournalFile> {
    // Made where there is none, and then written at given places.
    await (await open(/* turbopackIgnore: true */ path, 'a', 0o600)).close()
    return new JournalFile(await open(/* turbopackIgnore: true */ path, 'r+'), end)
  }

  get end(): JournalEnd {
    return this.whole
  }

  /**
   * Appends records and returns once the disk has them. When it throws, none of them counts: what was written of them is
   * cut off by the next append.
   */
  async append(bodies: readonly JournalBody[]): Promise<void> {
    const { bytes, end } = recordsAsBytes(bodies, this.whole)
    const { size } = await this.file.stat()
    if (size !== this.whole.bytes) await this.file.truncate(this.whole.bytes)
    let written = 0
    while (written < bytes.length)
      written += (
        await this.file.write(bytes, written, bytes.length - written, this.whole.bytes + written)
      ).bytesWritten
    await this.file.datasync()
    this.whole = end
  }

  close(): Promise<void> {
    return this.file.close()
  }
}
