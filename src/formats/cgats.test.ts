import fc from 'fast-check'
import type { KeptReading } from '@/core/paint/reading'
import { labFromXyz, xyzFromLab } from '@/core/colour/lab'
import { readCgats } from './cgats'
import { writeCgats } from './write-cgats'
import type { MeasuredFile } from './measured-colour'

const FILE = `CGATS.17
ORIGINATOR "somebody"
WEIGHTING_FUNCTION "ILLUMINANT, D65"
WEIGHTING_FUNCTION "OBSERVER, 2 degree"
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

/** What was wrong with a file; fails where nothing was. */
function errorsOf(read: MeasuredFile) {
  if (read.ok || !('errors' in read))
    throw new Error(`expected to be refused: ${JSON.stringify(read)}`)
  return read.errors
}

test('L*a*b* by name, and spectra in per cent or shares', () => {
  expect(readCgats(FILE)).toEqual({
    ok: true,
    measuredFor: 'D65 2deg',
    leftOut: [],
    colours: [
      { name: 'Stone counter, ground', reading: { kind: 'lab', lab: [66, 9, 14] } },
      { name: 'Oak', reading: { kind: 'lab', lab: [55, 9, 24] } },
    ],
  })
  const spectral = (values: string, norm: number) =>
    readCgats(
      `CGATS.17\nSPECTRAL_NORM "${norm}"\nBEGIN_DATA_FORMAT\nSAMPLE_ID SPECTRAL_NM400 SPECTRAL_NM550 SPECTRAL_NM700\nEND_DATA_FORMAT\nBEGIN_DATA\n1 ${values}\nEND_DATA\n`,
    )
  for (const [values, norm] of [
    ['10 50 60', 100],
    ['0.1 0.5 0.6', 1],
  ] as const) {
    const read = spectral(values, norm)
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
    12,
  ],
  [
    'a value out of range',
    FILE.replace('66.0', '166'),
    /Expected L\* from 0 to 100, got “166”/,
    11,
  ],
  ['a word for a number', FILE.replace('14.0', 'beige'), /got “beige”/, 11],
  ['no data', FILE.replace(/BEGIN_DATA\n[\s\S]*/, ''), /BEGIN_DATA … END_DATA/, 10],
])('%s is refused by line', (_, text, message, line) => {
  const [error] = errorsOf(readCgats(text))
  expect(error!.message).toMatch(message)
  expect(error!.line).toBe(line)
})

test('more than 25,000 rows are refused', () => {
  const rows = Array.from({ length: 25_001 }, (_, i) => `${i} x 50 0 0`).join('\n')
  const read = readCgats(FILE.replace(/1 "Stone[\s\S]*END_DATA/, `${rows}\nEND_DATA`))
  expect(read).toMatchObject({
    ok: false,
    errors: [{ message: expect.stringMatching(/at most 25000/) }],
  })
})

// Colours that a surface can have: others are left out, see below.
const coordinate = fc.double({ min: -12, max: 12, noNaN: true })
const name = fc.string({ minLength: 1, maxLength: 20 })
const reading: fc.Arbitrary<Exclude<KeptReading, { kind: 'srgb' }>> = fc.oneof(
  fc
    .tuple(fc.double({ min: 30, max: 85, noNaN: true }), coordinate, coordinate)
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
        if (!read.ok) throw new Error(JSON.stringify(read))
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
        else if ('errors' in read) expect(read.errors[0]!.line).toBeGreaterThan(0)
        else expect(read.words).not.toBe('')
      },
    ),
    { numRuns: 2000 },
  )
})

/** A file with a head and one table. */
const cgats = (head: string, columns: string, ...rows: readonly string[]): string =>
  `CTI3\n\n${head}\nBEGIN_DATA_FORMAT\n${columns}\nEND_DATA_FORMAT\nNUMBER_OF_SETS ${rows.length}\nBEGIN_DATA\n${rows.join('\n')}\nEND_DATA\n`
const labOf = (read: MeasuredFile): readonly number[] => {
  const reading = read.ok && read.colours[0]!.reading
  if (!reading || reading.kind !== 'lab')
    throw new Error(`expected L*a*b*: ${JSON.stringify(read)}`)
  return reading.lab
}

test('numbers for another light are those for D65 here, by whichever keyword says so; none is asked about', () => {
  const columns = 'SAMPLE_ID LAB_L LAB_A LAB_B'
  // A perfect grey is grey in every light; a warm one is not the same number in two.
  const stone = '1 66 9 14'
  for (const head of [
    'WEIGHTING_FUNCTION "ILLUMINANT, D50"\nWEIGHTING_FUNCTION "OBSERVER, 2 degree"',
    'MEASUREMENT_SOURCE "Illumination=D50 ObserverAngle=2 WhiteBase=Abs"',
    'ILLUMINANT "D50"\nOBSERVER "2"',
  ]) {
    const read = readCgats(cgats(head, columns, stone))
    expect(read).toMatchObject({ ok: true, measuredFor: 'D50 2deg' })
    const [l, a, b] = labOf(read)
    expect(Math.abs(l! - 66)).toBeLessThan(1)
    expect(Math.hypot(a! - 9, b! - 14)).toBeGreaterThan(0.5)
    expect(Math.hypot(a! - 9, b! - 14)).toBeLessThan(4)
  }
  const asked = readCgats(cgats('', columns, stone))
  expect(asked).toMatchObject({ ok: false, asks: 'measuredFor' })
  expect(labOf(readCgats(cgats('', columns, stone), { measuredFor: 'D65 2deg' }))).toEqual([
    66, 9, 14,
  ])
  expect(
    errorsOf(readCgats(cgats('ILLUMINANT "D93"\nOBSERVER "2"', columns, stone)))[0]!.message,
  ).toMatch(/Expected an illuminant of A, D50.*says D93/)
})

test('XYZ opens, and beside L*a*b* tells by its white which light they were for', () => {
  // White of D50 under the 2° observer, CIE 015.
  const white = [96.422, 100, 82.521] as const
  const xyz = xyzFromLab([60, 12, 20], white)
  const both = cgats(
    '',
    'SAMPLE_LOC XYZ_X XYZ_Y XYZ_Z LAB_L LAB_A LAB_B',
    `"A1" ${xyz.join(' ')} 60 12 20`,
  )
  const read = readCgats(both)
  expect(read).toMatchObject({ ok: true, measuredFor: 'D50 2deg', colours: [{ name: 'A1' }] })
  const alone = cgats(
    'OBSERVER "2"\nILLUMINANT "D50"',
    'SAMPLE_ID XYZ_X XYZ_Y XYZ_Z',
    `A1 ${xyz.join(' ')}`,
  )
  labOf(readCgats(alone)).forEach((v, k) => expect(v).toBeCloseTo(labOf(read)[k]!, 1))
  expect(labFromXyz(xyz, white)[0]).toBeCloseTo(60, 9)
})

test.each(['nm400', 'SPEC_400', 'SPECTRAL_NM_400', 'SPECTRAL_400', 'R_400nm', 'S400', '400'])(
  'bands spelt %s, at a spacing of their own',
  (spelt) => {
    const columns = [400, 415, 500, 603, 700].map((nm) => spelt.replace('400', String(nm)))
    const read = readCgats(cgats('', `SAMPLE_ID ${columns.join(' ')}`, '1 10 11 20 40 45'))
    expect(read.ok && read.colours[0]!.reading).toEqual({
      kind: 'spectral',
      wavelengthsNm: [400, 415, 500, 603, 700],
      reflectance: [0.1, 0.11, 0.2, 0.4, 0.45],
    })
  },
)

test('0.9 is asked about: nine tenths of the light, or nearly black', () => {
  const dark = cgats('', 'SAMPLE_ID SPEC_400 SPEC_550 SPEC_700', '1 0.5 0.7 0.9')
  expect(readCgats(dark)).toMatchObject({
    asks: 'scale',
    words: expect.stringMatching(/0.9: a share/),
  })
  for (const [scale, share] of [
    ['share', 0.9],
    ['percent', 0.009],
  ] as const) {
    const read = readCgats(dark, { scale })
    const reading = read.ok && read.colours[0]!.reading
    expect(reading && reading.kind === 'spectral' && reading.reflectance[2]).toBeCloseTo(share, 12)
  }
})

test('what is no surface says so: a lamp, a device’s own numbers, colours that no paint has', () => {
  const lamp = cgats('SPECTRAL_NORM "30.00"', 'SPEC_400 SPEC_550 SPEC_700', '1 20 30')
  expect(errorsOf(readCgats(lamp))[0]!.message).toMatch(/may be the spectrum of a light/)
  const device = cgats('', 'RGB_I RGB_R RGB_G RGB_B', '0 0 0 0')
  expect(errorsOf(readCgats(device))[0]!.message).toMatch(
    /what a device was told.*not what was measured/,
  )
  const beyond = cgats('', 'SAMPLE_ID LAB_L LAB_A LAB_B', 'stone 66 9 14', 'laser 60 120 -120')
  expect(readCgats(beyond, { measuredFor: 'D65 2deg' })).toMatchObject({
    ok: true,
    leftOut: ['laser'],
    colours: [{ name: 'stone' }],
  })
})
