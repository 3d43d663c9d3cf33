import fc from 'fast-check'
import Papa from 'papaparse'
import { writeGimpPalette } from './gimp-palette'
import type { MeasuredFile } from './measured-colour'
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

/** What was wrong with a file; fails where nothing was. */
function errorsOf(read: MeasuredFile) {
  if (read.ok || !('errors' in read))
    throw new Error(`expected to be refused: ${JSON.stringify(read)}`)
  return read.errors
}

test('a file from elsewhere is asked what its numbers are for, and whether 0.9 is a share', () => {
  const foreign = 'name,L,a,b\nStone,66,9,14'
  expect(readReadingsCsv(foreign)).toMatchObject({ asks: 'measuredFor' })
  expect(readReadingsCsv(foreign, { measuredFor: 'D50 2deg' })).toMatchObject({
    ok: true,
    measuredFor: 'D50 2deg',
  })
  const dark = 'name,spectrum\nSlate,400 0.5; 550 0.7; 700 0.9'
  expect(readReadingsCsv(dark)).toMatchObject({ asks: 'scale' })
  const read = readReadingsCsv(dark, { scale: 'percent' })
  const reading = read.ok && read.colours[0]!.reading
  expect(reading && reading.kind === 'spectral' && reading.reflectance[2]).toBeCloseTo(0.009, 12)
})

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
    measuredFor: 'D65 2deg',
    leftOut: [],
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
  const [error] = errorsOf(readReadingsCsv(text, { measuredFor: 'D65 2deg' }))
  expect(error!.line).toBe(line)
  expect(error!.message).toMatch(message)
})

test('more than 25,000 rows are refused', () => {
  const read = readReadingsCsv(`name,hex\n${'x,#808080\n'.repeat(25_001)}`)
  expect(errorsOf(read)[0]!.message).toMatch(/at most 25000/)
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
        else if ('errors' in read) expect(read.errors[0]!.line).toBeGreaterThan(0)
        else expect(read.words).not.toBe('')
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
