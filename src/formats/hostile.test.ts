import { askedOf, guessMapping } from '../core/deck/deck-mapping'
import { seededRandom } from '../core/seeded-random'
import { openDeckTable } from './deck-table'
import { readCgats } from './cgats'
import { harmed } from './harmed.fixture'
import { cleanPhoto } from './photo'
import { readWholeDeck } from './read-deck'
import { readReadingsCsv, writeReadingsCsv } from './readings-csv'
import { readVisitFile, writeVisitFile } from './visit-file'
import { writeCgats } from './write-cgats'
import { writeGimpPalette } from './gimp-palette'
import { writeDeckCgats, writeDeckCsv, type WrittenColour } from './write-deck'

// Whole files harmed in the ways that files are, and that people harm them. Each has to be read, or refused in words.
const EACH = 2000
const PHOTOS = 150

const COLOURS = Array.from({ length: 5 }, (_, n): WrittenColour => ({
  code: `C${n}`,
  name: `Quilmere ${n}, “so”`,
  strip: 'S',
  base: 'white',
  reading: { kind: 'lab', lab: [90 - n, 1, 8] },
  printedLrvPercent: 70,
  sheens: ['matt'],
  mayBeRefused: false,
}))
const READINGS = [
  { name: 'Stone, ground', reading: { kind: 'lab', lab: [66, 9, 14] } as const },
  { name: 'Stone, vein', reading: { kind: 'lab', lab: [40, 2, 5] } as const },
]
const text = (bytes: Uint8Array): string => Buffer.from(bytes).toString('utf8')
const utf8 = (written: string): Uint8Array => Buffer.from(written)

/** Opens a deck and reads it as its heading tells. */
function readDeck(bytes: Uint8Array): 'read' | 'refused' {
  const opened = openDeckTable(bytes)
  if (!opened.ok) {
    expect(opened.errors.length).toBeGreaterThan(0)
    return 'refused'
  }
  const mapping = guessMapping(opened.table)
  if (askedOf(mapping)) return 'refused'
  const { colours, errors } = readWholeDeck(opened.table, mapping)
  for (const { reading } of colours)
    if (reading.kind === 'lab') expect(reading.lab.every(Number.isFinite)).toBe(true)
  for (const { message } of errors) expect(message).not.toBe('')
  return errors.length > 0 ? 'refused' : 'read'
}

const READERS: Readonly<
  Record<string, readonly [Uint8Array, (bytes: Uint8Array) => 'read' | 'refused']>
> = {
  'a deck as CSV': [utf8(writeDeckCsv(COLOURS)), readDeck],
  'a deck as CGATS': [utf8(writeDeckCgats(COLOURS)), readDeck],
  'a palette': [
    utf8(
      writeGimpPalette('Fan', [
        { name: 'C1 Quilmere', hex: '#d8d0c0' },
        { name: 'C2 Oakhithe', hex: '#807060' },
      ]),
    ),
    readDeck,
  ],
  'readings as CGATS': [
    utf8(writeCgats(READINGS)),
    (bytes) => (readCgats(text(bytes)).ok ? 'read' : 'refused'),
  ],
  'readings as CSV': [
    utf8(
      writeReadingsCsv(
        READINGS.map((each) => ({
          ...each,
          room: 'Hall',
          part: 'ground',
          source: 'typed' as never,
        })),
      ),
    ),
    (bytes) => (readReadingsCsv(text(bytes)).ok ? 'read' : 'refused'),
  ],
  'a visit’s file': [
    writeVisitFile(
      {
        ...{ format: 'elm-swatch-visit', version: 1, rows: 14, household: 'The Ashbys' },
        exportedAt: '2026-06-21T10:00:00.000Z',
        tables: { visit: [{ id: 'x' }], room: [{ id: 'y', name: 'Hall' }] },
        decks: [],
      },
      new Map([['a'.repeat(64), new Uint8Array(200)]]),
    ),
    (bytes) => {
      const read = readVisitFile(bytes)
      if (!read.ok) expect(read.message).toMatch(/\w/)
      return read.ok ? 'read' : 'refused'
    },
  ],
}

test.each(Object.entries(READERS))(
  `${EACH} times %s harmed: read or refused in words, never more`,
  (_, [whole, read]) => {
    expect(read(whole)).toBe('read')
    const random = seededRandom(17)
    const outcomes = { read: 0, refused: 0 }
    for (let n = 0; n < EACH; n++) outcomes[read(harmed(whole, random))] += 1
    expect(outcomes.refused).toBeGreaterThan(EACH / 10)
  },
)

test(`${PHOTOS} times a photo harmed`, async () => {
  const { default: sharp } = await import('sharp')
  const whole = await sharp({
    create: { width: 64, height: 48, channels: 3, background: '#a08060' },
  })
    .jpeg()
    .toBuffer()
  expect((await cleanPhoto(whole)).ok).toBe(true)
  const random = seededRandom(18)
  let refused = 0
  for (let n = 0; n < PHOTOS; n++) {
    const answer = await cleanPhoto(harmed(whole, random))
    if (!answer.ok) refused += 1
  }
  expect(refused).toBeGreaterThan(PHOTOS / 10)
})

// Two million of a kind: a pattern that tries everything with everything would never come to an end.
test.each([
  ['quotes', (n: number) => 'code,name,L,a,b\n' + '"'.repeat(n)],
  [
    'spaces',
    (n: number) =>
      `CGATS.17\n${' '.repeat(n)}\nBEGIN_DATA_FORMAT\nLAB_L LAB_A LAB_B\nEND_DATA_FORMAT\n`,
  ],
  ['blank lines', (n: number) => `GIMP Palette\n${'\n'.repeat(n)}x`],
  ['digits', (n: number) => `code,name,L,a,b\nA,B,${'1'.repeat(n)},1,1\n`],
  ['commas', (n: number) => 'code,name,L,a,b\n' + ','.repeat(n)],
])('a file of very many %s is done with', (_, of) => {
  expect(['read', 'refused']).toContain(readDeck(utf8(of(2_000_000))))
  readCgats(of(300_000))
  readReadingsCsv(of(300_000))
})
