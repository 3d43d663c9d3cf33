import fc from 'fast-check'
import type { KeptReading } from '@/core/paint/reading'
import { readCgats, writeCgats } from './cgats'

const FILE = `CGATS.17
ORIGINATOR "somebody"
NUMBER_OF_FIELDS 5
BEGIN_DATA_FORMAT
SAMPLE_ID SAMPLE_NAME LAB_L LAB_A LAB_B
END_DATA_FORMAT
NUMBER_OF_SETS 2
BEGIN_DATA
1 "Stone counter, ground" 66.0 9.0 14.0
2 Oak 55 9 24
END_DATA
`

test('L*a*b* by name, and spectra in per cent or shares', () => {
  expect(readCgats(FILE)).toEqual({
    ok: true,
    colours: [
      { name: 'Stone counter, ground', reading: { kind: 'lab', lab: [66, 9, 14] } },
      { name: 'Oak', reading: { kind: 'lab', lab: [55, 9, 24] } },
    ],
  })
  const spectral = (values: string) =>
    readCgats(
      `CGATS.17\nBEGIN_DATA_FORMAT\nSAMPLE_ID SPECTRAL_NM400 SPECTRAL_NM550 SPECTRAL_NM700\nEND_DATA_FORMAT\nBEGIN_DATA\n1 ${values}\nEND_DATA\n`,
    )
  for (const values of ['10 50 60', '0.1 0.5 0.6']) {
    const read = spectral(values)
    const reading = read.ok && read.colours[0]!.reading
    if (!reading || reading.kind !== 'spectral') throw new Error('expected a spectrum')
    expect(reading.wavelengthsNm).toEqual([400, 550, 700])
    reading.reflectance.forEach((share, i) => expect(share).toBeCloseTo([0.1, 0.5, 0.6][i]!, 12))
  }
})

test.each([
  ['no CGATS at all', 'code,name\n1,2', /this is no CGATS file/, 1],
  [
    'a row with a field too few',
    FILE.replace('2 Oak 55 9 24', '2 Oak 55 9'),
    /Expected 5 fields, got 4/,
    10,
  ],
  ['a value out of range', FILE.replace('66.0', '166'), /Expected L\* from 0 to 100, got “166”/, 9],
  ['a word for a number', FILE.replace('14.0', 'beige'), /got “beige”/, 9],
  ['no data', FILE.replace(/BEGIN_DATA\n[\s\S]*/, ''), /BEGIN_DATA … END_DATA/, 8],
])('%s is refused by line', (_, text, message, line) => {
  const read = readCgats(text)
  if (read.ok) throw new Error('expected to be refused')
  expect(read.errors[0]!.message).toMatch(message)
  expect(read.errors[0]!.line).toBe(line)
})

test('more than 25,000 rows are refused', () => {
  const rows = Array.from({ length: 25_001 }, (_, i) => `${i} x 50 0 0`).join('\n')
  const read = readCgats(FILE.replace(/1 "Stone[\s\S]*END_DATA/, `${rows}\nEND_DATA`))
  expect(read).toMatchObject({
    ok: false,
    errors: [{ message: expect.stringMatching(/at most 25000/) }],
  })
})

const coordinate = fc.double({ min: -128, max: 128, noNaN: true })
const name = fc.string({ minLength: 1, maxLength: 20 })
const reading: fc.Arbitrary<Exclude<KeptReading, { kind: 'srgb' }>> = fc.oneof(
  fc
    .tuple(fc.double({ min: 0, max: 100, noNaN: true }), coordinate, coordinate)
    .map((lab) => ({ kind: 'lab' as const, lab })),
  fc
    .tuple(
      fc.constantFrom(380, 400),
      fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 31, maxLength: 31 }),
    )
    .map(([from, reflectance]) => ({
      kind: 'spectral' as const,
      wavelengthsNm: reflectance.map((_, i) => from + 10 * i),
      reflectance,
    })),
)

const numbersOf = (of: KeptReading): readonly number[] =>
  of.kind === 'lab' ? of.lab : of.kind === 'spectral' ? of.reflectance : []

test('written and read back without loss, the second pass byte by byte the first (property)', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ name, reading }), { minLength: 1, maxLength: 12 }),
      (colours) => {
        const read = readCgats(writeCgats(colours))
        if (!read.ok) throw new Error(read.errors[0]!.message)
        const again = writeCgats(read.colours)
        const twice = readCgats(again)
        expect(twice.ok && writeCgats(twice.colours)).toBe(again)
        // Tables part L*a*b* from spectra, so the order is not that of before.
        const inFull = (all: readonly { readonly reading: KeptReading }[]): string[] =>
          all
            .map((colour) =>
              numbersOf(colour.reading)
                .map((value) => Number(value.toFixed(colour.reading.kind === 'lab' ? 4 : 6)) + 0)
                .join(' '),
            )
            .sort()
        expect(inFull(read.colours)).toEqual(inFull(colours))
      },
    ),
    { numRuns: 300 },
  )
})

test('2,000 mangled files: each is read or refused by line, none crashes it (fuzz)', () => {
  fc.assert(
    fc.property(
      fc.nat(FILE.length - 1),
      fc.nat(30),
      fc.string({ maxLength: 12 }),
      (from, length, put) => {
        const read = readCgats(FILE.slice(0, from) + put + FILE.slice(from + length))
        if (read.ok)
          for (const colour of read.colours)
            expect(numbersOf(colour.reading).every(Number.isFinite)).toBe(true)
        else expect(read.errors[0]!.line).toBeGreaterThan(0)
      },
    ),
    { numRuns: 2000 },
  )
})
