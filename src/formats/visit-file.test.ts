import { strToU8, zipSync } from 'fflate'
import fc from 'fast-check'
import Papa from 'papaparse'
import { asTyped, harmless } from './spreadsheet'
import { readVisitFile, writeVisitFile, type VisitFile } from './visit-file'

const FILE: VisitFile = {
  format: 'elm-swatch-visit',
  version: 1,
  rows: 13,
  household: 'The Ashbys',
  exportedAt: '2026-06-21T10:00:00.000Z',
  tables: { visit: [{ id: 'x', household: 'The Ashbys' }], room: [] },
  decks: [],
}
const HASH = 'a'.repeat(64)

const said = (bytes: Uint8Array): string => {
  const read = readVisitFile(bytes)
  return read.ok ? 'read' : read.message
}
const zipOf = (entries: Record<string, string>): Uint8Array =>
  zipSync(Object.fromEntries(Object.entries(entries).map(([name, text]) => [name, strToU8(text)])))

test('a file is read back as it was written, photos beside it', () => {
  const photo = new Uint8Array([1, 2, 3])
  const read = readVisitFile(writeVisitFile(FILE, new Map([[HASH, photo]])))
  expect(read).toEqual({ ok: true, opened: { file: FILE, photos: new Map([[HASH, photo]]) } })
})

test.each([
  ['no zip', new Uint8Array([9, 9, 9]), /cannot be unpacked/],
  ['a zip cut off', writeVisitFile(FILE, new Map()).subarray(0, 300), /cannot be unpacked/],
  ['a zip of something else', zipOf({ 'other.txt': 'x' }), /Expected visit\.json/],
  ['broken JSON', zipOf({ 'visit.json': '{' }), /is broken/],
  [
    'another format',
    zipOf({ 'visit.json': JSON.stringify({ ...FILE, format: 'x' }) }),
    /visit\.json, format/,
  ],
  [
    'a later version',
    zipOf({ 'visit.json': JSON.stringify({ ...FILE, version: 2 }) }),
    /visit\.json, version/,
  ],
  [
    'a column that is none',
    zipOf({ 'visit.json': JSON.stringify({ ...FILE, tables: { visit: [{ 'id; drop': 1 }] } }) }),
    /visit\.json, tables/,
  ],
] as const)('%s is refused in words', (_, bytes, words) => {
  expect(said(bytes)).toMatch(words)
})

test('a name that climbs out of the file is not taken for a photo', () => {
  const read = readVisitFile(
    zipOf({
      'visit.json': JSON.stringify(FILE),
      [`../photos/${HASH}.jpg`]: 'x',
      [`photos/../${HASH}.jpg`]: 'x',
      'photos/short.jpg': 'x',
    }),
  )
  expect(read.ok && read.opened.photos.size).toBe(0)
})

test('no text is run by a spreadsheet, and every text comes back', () => {
  fc.assert(
    fc.property(
      fc.tuple(
        fc.constantFrom('', ' ', '\t', '\u3000'),
        fc.constantFrom('=', '+', '-', '@', '＝', '＋', '－', '＠', 'a', "'"),
        fc.string(),
      ),
      (parts) => {
        const text = parts.join('')
        const cell = harmless(text)
        expect(cell.trimStart()).not.toMatch(/^[=+\-@＝＋－＠]/)
        const [[back]] = Papa.parse<string[]>(Papa.unparse([[cell]]), { delimiter: ',' }).data as [
          [string],
        ]
        if (!text.includes('\r') && !text.includes('\n') && !text.startsWith("'"))
          expect(asTyped(back)).toBe(text)
      },
    ),
  )
})
