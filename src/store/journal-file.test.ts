import { mkdtempSync, readFileSync, rmSync, truncateSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import {
  JournalFile,
  NO_CHAIN,
  readJournal,
  recordsAsBytes,
  type JournalBody,
} from './journal-file'

const BODIES: readonly JournalBody[] = [
  { begins: { generation: 1, rows: 13, seq: 4, chain: NO_CHAIN } },
  { command: { seq: 5, note: 'Ł\nrecord 3 12 00000000' }, events: [{ number: 1 }, { number: 2 }] },
  { deckColours: [{ code: 'X1' }] },
  { command: { seq: 6 }, events: [] },
]
const { bytes } = recordsAsBytes(BODIES)
/** Where each record ends. */
const ends = BODIES.map((_, at) => recordsAsBytes(BODIES.slice(0, at + 1)).end.bytes)
const wholeBefore = (byte: number): number => ends.filter((end) => end <= byte).length

let dir: string
beforeEach(() => {
  dir = mkdtempSync(join(tmpdir(), 'elm-journal-'))
})
afterEach(() => rmSync(dir, { recursive: true }))

test('what was written is read back', () => {
  expect(readJournal(bytes)).toMatchObject({ bodies: BODIES, rest: 'nothing' })
})

test('cut off anywhere, it is whole up to there and torn after', () => {
  for (let at = 0; at < bytes.length; at++) {
    const { bodies, end, rest } = readJournal(bytes.subarray(0, at))
    expect(bodies).toEqual(BODIES.slice(0, wholeBefore(at)))
    expect(rest).toBe(end.bytes === at ? 'nothing' : 'torn')
  }
})

test('where a disk left zeros for the end of the last record, it is torn', () => {
  const [, , before] = ends
  for (let at = before!; at < bytes.length; at++) {
    const left = Buffer.concat([bytes.subarray(0, at), Buffer.alloc(bytes.length - at + 512)])
    expect(readJournal(left)).toMatchObject({ bodies: BODIES.slice(0, 3), rest: 'torn' })
  }
})

test('any bit turned over is noticed, and nothing of that record or after it is believed', () => {
  for (let at = 0; at < bytes.length; at++)
    for (let bit = 0; bit < 8; bit++) {
      const harmed = Buffer.from(bytes)
      harmed[at]! ^= 1 << bit
      const { bodies, rest } = readJournal(harmed)
      expect(bodies).toEqual(BODIES.slice(0, wholeBefore(at)))
      // Of the last record’s own first line one cannot tell whether it was ever written to its end.
      if (at < ends[2]!) expect(rest).toBe('damaged')
      else expect(rest).not.toBe('nothing')
    }
})

test('records of another journal put in its middle break the chain', () => {
  const other = recordsAsBytes([
    BODIES[0]!,
    { command: { seq: 5 }, events: [] },
    ...BODIES.slice(2),
  ])
  const spliced = Buffer.concat([
    bytes.subarray(0, ends[1]),
    other.bytes.subarray(other.bytes.indexOf('\nrecord 3') + 1),
  ])
  expect(readJournal(spliced)).toMatchObject({ bodies: BODIES.slice(0, 2), rest: 'damaged' })
})

test('what an append left half written is cut off by the next', async () => {
  const path = join(dir, 'log')
  const file = await JournalFile.open(path)
  await file.append(BODIES.slice(0, 2))
  const { end } = file
  await file.close()
  truncateSync(path, end.bytes + 700)
  const again = await JournalFile.open(path, end)
  await again.append(BODIES.slice(2))
  await again.close()
  expect(readFileSync(path)).toEqual(bytes)
})
