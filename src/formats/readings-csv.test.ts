import fc from 'fast-check'
import Papa from 'papaparse'
import { writeGimpPalette } from './gimp-palette'
import { readReadingsCsv, writeReadingsCsv, type ExportedReading } from './readings-csv'

const READING: ExportedReading = {
  name: '=cmd|calc',
  room: ' +1',
  part: 'ground',
  source: 'reader',
  reading: { kind: 'lab', lab: [66, 9, 14] },
}
const SPECTRUM = {
  kind: 'spectral' as const,
  wavelengthsNm: Array.from({ length: 31 }, (_, i) => 400 + 10 * i),
  reflectance: Array.from({ length: 31 }, (_, i) => Number((0.1 + i / 50).toFixed(6))),
}

test('a spreadsheet runs nothing of an export', () => {
  const [row] = Papa.parse<Record<string, string>>(writeReadingsCsv([READING]), {
    header: true,
  }).data
  expect(row!.name).toBe("'=cmd|calc")
  expect(row!.room).toBe("' +1")
  expect(Number(row!.L)).toBe(66)
})

test('L*a*b*, hex and spectra come back as they went out, names that look like formulas too', () => {
  const out: ExportedReading[] = [
    READING,
    { ...READING, name: 'Oak', part: '', reading: { kind: 'srgb', hex: '#a57c52' } },
    { ...READING, name: 'Slate, split', reading: SPECTRUM },
  ]
  expect(readReadingsCsv(writeReadingsCsv(out))).toEqual({
    ok: true,
    colours: [
      { name: '=cmd|calc, ground', reading: READING.reading },
      { name: 'Oak', reading: { kind: 'srgb', hex: '#a57c52' } },
      { name: 'Slate, split, ground', reading: SPECTRUM },
    ],
  })
})

test.each([
  ['no heading', '1,2,3', 1, /Expected a heading with name/],
  [
    'a formula for a number',
    'name,L,a,b\nStone,=A1+1,0,0',
    2,
    /L: Expected 0 to 100, got “=A1\+1”/,
  ],
  [
    'a value out of range',
    'name,L,a,b\nStone,50,0,0\nOak,50,300,0',
    3,
    /a: Expected −?-?128 to 128, got “300”/,
  ],
  ['a field too few', 'name,L,a,b\nStone,50,0', 2, /Expected 4 fields, got 3/],
  ['nothing but a heading', 'name,L,a,b', 1, /at least one colour/],
])('%s is refused by line', (_, text, line, message) => {
  const read = readReadingsCsv(text)
  if (read.ok) throw new Error('expected to be refused')
  expect(read.errors[0]!.line).toBe(line)
  expect(read.errors[0]!.message).toMatch(message)
})

test('more than 25,000 rows are refused', () => {
  const read = readReadingsCsv(`name,hex\n${'x,#808080\n'.repeat(25_001)}`)
  expect(!read.ok && read.errors[0]!.message).toMatch(/at most 25000/)
})

test('2,000 mangled files: each is read or refused by line, none crashes it (fuzz)', () => {
  const file = writeReadingsCsv([READING, { ...READING, reading: SPECTRUM }])
  fc.assert(
    fc.property(
      fc.nat(file.length - 1),
      fc.nat(40),
      fc.string({ maxLength: 12 }),
      (from, length, put) => {
        const read = readReadingsCsv(file.slice(0, from) + put + file.slice(from + length))
        if (read.ok) expect(read.colours.length).toBeGreaterThan(0)
        else expect(read.errors[0]!.line).toBeGreaterThan(0)
      },
    ),
    { numRuns: 2000 },
  )
})

test('a GIMP palette has a line a colour, red, green and blue', () => {
  const lines = writeGimpPalette('House', [{ name: 'Stone', hex: '#b99a82' }]).split('\n')
  expect(lines[0]).toBe('GIMP Palette')
  expect(lines[4]).toMatch(/^185 154 130\tStone$/)
})
