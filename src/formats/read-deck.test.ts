import fc from 'fast-check'
import { askedOf, guessMapping, mappingOfKind, type DeckMapping } from '../core/deck/deck-mapping'
import { AS_IT_IS, type Mended } from '../core/deck/deck-file'
import { labD65, reflectanceOfReading } from '../core/paint/reading'
import { MOST_DECK_LINES, openDeckTable } from './deck-table'
import { writeCgats } from './write-cgats'
import { writeGimpPalette } from './gimp-palette'
import { readDeck, readWholeDeck, type ReadDeck } from './read-deck'
import { writeDeckCgats, writeDeckCsv, type WrittenColour } from './write-deck'

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text)
const HEAD = 'code,name,L,a,b,strip,base\n'
const GOOD = 'A1,Quilmere,90,0.5,6,S1,white\n'

/** Opens and reads by what the heading tells, and by what a person says besides. */
function read(
  file: string | Uint8Array,
  say: (mapping: DeckMapping) => DeckMapping = (mapping) => mapping,
  mended: Mended = AS_IT_IS,
): ReadDeck {
  const opened = openDeckTable(typeof file === 'string' ? bytes(file) : file)
  if (!opened.ok) return { colours: [], errors: opened.errors }
  const mapping = say(guessMapping(opened.table))
  const asked = askedOf(mapping)
  if (asked) return { colours: [], errors: [{ line: 1, message: asked }] }
  const reading = readDeck(opened.table, mapping, mended)
  for (;;) {
    const step = reading.next()
    if (step.done) return step.value
  }
}

test('reads L*a*b* and hex decks, columns in any order, commas or semicolons', () => {
  expect(read(HEAD + GOOD)).toEqual({
    errors: [],
    colours: [
      {
        line: 2,
        code: 'A1',
        name: 'Quilmere',
        strip: 'S1',
        base: 'white',
        reading: { kind: 'lab', lab: [90, 0.5, 6] },
        printedLrvPercent: null,
        sheens: null,
        mayBeRefused: false,
      },
    ],
  })
  const hex = read('\uFEFFHex;Base;Strip;Name;Code\r\n9AA58D;Deep;S;“Whin”, dark;A-2\r\n\r\n')
  expect(hex.colours).toMatchObject([{ code: 'A-2', base: 'deep', reading: { hex: '#9aa58d' } }])
})

test('columns of any name are guessed, and put right by hand', () => {
  const foreign = 'Ref\tColour name\tCard\tLRV\tR\tG\tB\tSheens\tMay be refused\n'
  const row = '12-7\tOakhithe\tpage 3\t64.5 %\t214\t205\t190\tmatt/satin\tyes\n'
  expect(read(foreign + row).colours).toMatchObject([
    {
      code: '12-7',
      name: 'Oakhithe',
      strip: 'page 3',
      base: 'white',
      printedLrvPercent: 64.5,
      sheens: ['matt', 'satin'],
      mayBeRefused: true,
      reading: { kind: 'srgb', hex: '#d6cdbe' },
    },
  ])
  // A heading that tells nothing: every column is said by hand.
  const bare = 'p;q;r;s\nA1;80,5;1;2\n'
  expect(read(bare).errors).toEqual([
    { line: 1, message: 'Which column has the code, or the name?' },
  ])
  const said = read(bare, (mapping) => ({
    ...mapping,
    texts: { ...mapping.texts, code: 0 },
    kind: 'lab',
    numbers: [1, 2, 3],
    base: 'deep',
  }))
  expect(said.colours).toMatchObject([
    { code: 'A1', name: 'A1', base: 'deep', reading: { kind: 'lab', lab: [80.5, 1, 2] } },
  ])
})

test('numbers for another white are made those for D65, 2°, and a spectrum stays one', () => {
  // A grey of a = b = 0 is grey under any white; its L* hardly moves (CIE 15).
  const d50 = read('code,L,a,b\nG,60,0,0\n', (mapping) => ({ ...mapping, measuredFor: 'D50 2deg' }))
  const [{ reading }] = d50.colours as [(typeof d50.colours)[number]]
  if (reading.kind !== 'lab') throw new Error('expected L*a*b*')
  expect(reading.lab[0]).toBeCloseTo(60, 0)
  expect(Math.hypot(reading.lab[1], reading.lab[2])).toBeLessThan(0.6)
  const nm = Array.from({ length: 31 }, (_, i) => 400 + 10 * i)
  const spectrum = read(
    `code,name,${nm.map((at) => `nm${at}`).join(',')}\nS1,Evenly,${nm.map(() => '50').join(',')}\n`,
  )
  expect(spectrum.colours[0]!.reading).toMatchObject({ kind: 'spectral', wavelengthsNm: nm })
  // Half of the light at every wavelength is L* 76.07 (CIE 15: 116 (0.5)^(1/3) − 16).
  expect(labD65(reflectanceOfReading(spectrum.colours[0]!.reading))[0]).toBeCloseTo(76.07, 1)
})

test.each([
  ['L* of 140', HEAD + 'A1,Q,140,0,0,S,white\n', 2, /L\* must be 0 to 100, got 140/],
  ['a word for a number', HEAD + 'A1,Q,pale,0,0,S,white\n', 2, /L must be a number, got “pale”/],
  [
    'a hex of five digits',
    'code,name,hex,strip,base\nA1,Q,#12345,S,white\n',
    2,
    /hex must be six digits 0–9 a–f, got “#12345”/,
  ],
  [
    'an unknown base',
    HEAD + 'A1,Q,90,0,0,S,tint\n',
    2,
    /base must be white, mid, deep, clear, got “tint”/,
  ],
  ['an empty name', HEAD + 'A1,,90,0,0,S,white\n', 2, /name is empty/],
  [
    'a formula',
    HEAD + 'A1,"=HYPERLINK(""x"")",90,0,0,S,white\n',
    2,
    /name looks like a spreadsheet formula/,
  ],
  ['a cell too few', HEAD + GOOD + 'A2,Q,90\n', 3, /Expected 7 cells, got 3/],
  ['a colour no paint has', HEAD + 'A1,Q,90,60,-60,S,white\n', 2, /too strong for its lightness/],
  ['an open quotation mark', HEAD + 'A1,"Q,90,0,0,S,white\n', 2, /quotation mark/],
  ['a heading alone', HEAD, 1, /at least one colour/],
  ['no reading', 'code,name,strip,base\nA1,Q,S,white\n', 1, /Which columns have the colour/],
  ['a printed LRV of 140', 'code,hex,LRV\nA1,#808080,140\n', 2, /LRV must be 0 to 100, got “140”/],
  ['an unknown sheen', 'code,hex,sheens\nA1,#808080,silky\n', 2, /sheens must be of .*“silky”/],
  ['a red of 300', 'code,r,g,b\nA1,300,0,0\n', 2, /red must be 0 to 255, got “300”/],
])('%s is refused at its line', (_, text, line, message) => {
  const { errors } = read(text)
  expect(errors[0]).toMatchObject({ line, message: expect.stringMatching(message) })
})

test('every wrong line is told, a code met twice among them; mended or left out, the file is whole', () => {
  const text =
    HEAD +
    GOOD +
    'B,Q,80,0,0,S,white\n' +
    GOOD +
    Array.from({ length: 40 }, (_, i) => `C${i},Q,pale,0,0,S,white\n`).join('')
  const { errors } = read(text)
  expect(errors).toHaveLength(41)
  expect(errors[0]).toEqual({ line: 4, message: 'Code “A1” stands on line 2 already.' })
  const mended = {
    lines: new Map([[4, ['A2', 'Quilmere', '90', '0.5', '6', 'S1', 'white']]]),
    leftOut: new Set(errors.slice(1).map(({ line }) => line)),
  }
  const whole = read(text, undefined, mended)
  expect(whole.errors).toEqual([])
  expect(whole.colours.map(({ code }) => code)).toEqual(['A1', 'B', 'A2'])
  // Everything left out is no deck.
  const nothing = { lines: new Map(), leftOut: new Set([2]) }
  expect(read(HEAD + GOOD, undefined, nothing).errors[0]!.message).toMatch(/at least one colour/)
})

test('a file without strips gets them by tone, each from light to deep', () => {
  const colours = Array.from({ length: 20 }, (_, i) => `P${i},${30 + 3 * i},4,5`)
  const greens = Array.from({ length: 5 }, (_, i) => `G${i},${40 + 9 * i},-9,6`)
  const { colours: read20 } = read(`code,L,a,b\n${[...colours, ...greens].join('\n')}\n`)
  const strips = new Map<string, typeof read20>()
  for (const each of read20) strips.set(each.strip, [...(strips.get(each.strip) ?? []), each])
  expect([...strips.values()].map((own) => own.length).sort((p, q) => q - p)).toEqual([7, 7, 6, 5])
  for (const own of strips.values()) {
    const lightness = own.map(({ reading }) => (reading.kind === 'lab' ? reading.lab[0] : NaN))
    expect([...lightness].sort((p, q) => q - p)).toEqual(lightness)
    expect(new Set(own.map(({ code }) => code[0])).size).toBe(1)
  }
})

test('a GIMP palette is a deck of screen colours', () => {
  const { colours, errors } = read(
    writeGimpPalette('Hall', [
      { name: 'Quilmere', hex: '#d6cdbe' },
      { name: 'Oakhithe', hex: '#102030' },
    ]),
  )
  expect(errors).toEqual([])
  expect(colours.map(({ code, reading }) => [code, reading])).toEqual([
    ['Quilmere', { kind: 'srgb', hex: '#d6cdbe' }],
    ['Oakhithe', { kind: 'srgb', hex: '#102030' }],
  ])
  expect(read('GIMP Palette\nName: x\nColumns: 4\n#\n').errors[0]!.message).toMatch(/at least one/)
  expect(read('GIMP Palette\n12 a 9\tx\n').errors).toEqual([
    { line: 2, message: 'green must be a number, got “a”.' },
  ])
})

test('a CGATS file is a deck, its light and eye as it says, and what is wrong told by line', () => {
  const file = writeCgats([
    { name: 'Quilmere', reading: { kind: 'lab', lab: [80, 1, 2] } },
    { name: 'Oakhithe', reading: { kind: 'lab', lab: [40, 8, 12] } },
  ])
  const { colours, errors } = read(file)
  expect(errors).toEqual([])
  expect(colours).toMatchObject([
    { code: '1', name: 'Quilmere', reading: { kind: 'lab', lab: [80, 1, 2] } },
    { code: '2', name: 'Oakhithe', reading: { kind: 'lab', lab: [40, 8, 12] } },
  ])
  const line = file.split('\r\n').findIndex((each) => each.includes('Oakhithe')) + 1
  expect(read(file.replace('40.0000', 'forty')).errors).toEqual([
    { line, message: 'L must be a number, got “forty”.' },
  ])
  expect(read('CGATS.17\nnothing here\n').errors[0]!.message).toMatch(/BEGIN_DATA_FORMAT/)
})

test('a deck goes out as CGATS and comes in again with all that was said of it', () => {
  const deck: readonly WrittenColour[] = [
    {
      code: 'A-1',
      name: 'Pale “Quill”',
      strip: 'A 1',
      base: 'white',
      reading: { kind: 'lab', lab: [80, 1.25, 2] },
      printedLrvPercent: 56.5,
      sheens: ['matt', 'semi-gloss'],
      mayBeRefused: true,
    },
    {
      code: 'A-2',
      name: 'Oakhithe',
      strip: 'A 1',
      base: 'deep',
      reading: {
        kind: 'spectral',
        wavelengthsNm: Array.from({ length: 31 }, (_, i) => 400 + 10 * i),
        reflectance: Array.from({ length: 31 }, (_, i) => (10 + i) / 100),
      },
    },
  ]
  const { colours, errors } = read(writeDeckCgats(deck.slice(0, 1)))
  expect(errors).toEqual([])
  expect(colours).toMatchObject(deck.slice(0, 1))
  const spectral = read(writeDeckCgats(deck.slice(1)))
  expect(spectral.errors).toEqual([])
  expect(spectral.colours).toMatchObject(deck.slice(1))
})

test('a person may say that the colour stands in other columns than the heading says', () => {
  const both = 'code,hex,L,a,b\nA1,#808080,90,0,0\n'
  expect(read(both).colours[0]!.reading.kind).toBe('lab')
  const opened = openDeckTable(bytes(both))
  if (!opened.ok) throw new Error('expected a table')
  const hex = mappingOfKind(opened.table, guessMapping(opened.table), 'hex')
  expect(readWholeDeck(opened.table, hex).colours[0]!.reading).toEqual({
    kind: 'srgb',
    hex: '#808080',
  })
})

test('the wrong encoding is refused', () => {
  const latin1 = Uint8Array.from([...bytes(HEAD), 0x41, 0x2c, 0xe9, 0x0a])
  const utf16 = new Uint8Array(new Uint16Array([...'code,name'].map((c) => c.charCodeAt(0))).buffer)
  for (const file of [latin1, utf16])
    expect(read(file).errors).toEqual([{ line: 1, message: expect.stringMatching(/not UTF-8/) }])
})

test('more than 25,000 lines are refused before any is read', () => {
  expect(read(HEAD + 'x\n'.repeat(MOST_DECK_LINES + 1)).errors).toEqual([
    {
      line: MOST_DECK_LINES + 2,
      message: expect.stringMatching(/at most 25,000 lines, this file has 25,001/),
    },
  ])
})

const cell = fc.stringMatching(/^[A-Za-z][A-Za-z0-9 ,;"é’-]{0,12}[A-Za-z0-9]$/)
const hundredths = (min: number, max: number) => fc.integer({ min, max }).map((n) => n / 100)
const readings = {
  lab: fc
    .tuple(hundredths(3000, 9000), hundredths(-800, 800), hundredths(-800, 1200))
    .map((lab) => ({ kind: 'lab' as const, lab })),
  srgb: fc
    .tuple(fc.integer({ min: 60, max: 230 }), fc.integer({ min: 60, max: 230 }))
    .map(([p, q]) => ({
      kind: 'srgb' as const,
      hex: `#${[p, q, q].map((value) => value.toString(16).padStart(2, '0')).join('')}`,
    })),
  spectral: fc
    .array(fc.integer({ min: 1, max: 999 }), { minLength: 31, maxLength: 31 })
    .map((all) => ({
      kind: 'spectral' as const,
      wavelengthsNm: all.map((_, i) => 400 + 10 * i),
      reflectance: all.map((value) => value / 1000),
    })),
}

test.each(['lab', 'srgb', 'spectral'] as const)(
  'a deck of %s is read back as it was written',
  (kind) => {
    const colour = fc.record({
      name: cell,
      strip: cell,
      base: fc.constantFrom('white', 'mid', 'deep', 'clear'),
      reading: readings[kind] as fc.Arbitrary<WrittenColour['reading']>,
      printedLrvPercent: fc.option(fc.integer({ min: 0, max: 100 })),
      sheens: fc.option(fc.constant(['matt', 'satin'] as const)),
      mayBeRefused: fc.boolean(),
    })
    fc.assert(
      fc.property(fc.array(colour, { minLength: 1, maxLength: 6 }), (rows) => {
        const colours = rows.map((row, i) => ({ ...row, code: `C${i}` }))
        const { colours: back, errors } = read(writeDeckCsv(colours))
        expect(errors).toEqual([])
        expect(back).toEqual(colours.map((own, i) => ({ ...own, line: i + 2 })))
      }),
      { numRuns: 40 },
    )
  },
)

test('no bytes whatever crash the reader, and a refusal always names a line', () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.uint8Array({ maxLength: 300 }),
        fc.string().map((s) => bytes(HEAD + s)),
        fc.string().map((s) => bytes(`GIMP Palette\n${s}`)),
        fc.string().map((s) => bytes(`CGATS.17\nBEGIN_DATA_FORMAT\nLAB_L LAB_A LAB_B\n${s}`)),
      ),
      (file) => {
        for (const { line, message } of read(file).errors) {
          expect(line).toBeGreaterThanOrEqual(1)
          expect(message.length).toBeGreaterThan(0)
        }
      },
    ),
    { numRuns: 600 },
  )
})

// A statement that is quick on one of these and takes minutes on the other fails by the runner's own limit.
test.each([
  ['newlines', '\n'.repeat(8_000_000)],
  ['blanks', ' '.repeat(8_000_000)],
  ['commas', ','.repeat(2_000_000)],
  ['carriage returns', '\r\n'.repeat(4_000_000)],
  ['palette lines', 'GIMP Palette\n' + '1 2 3\n'.repeat(1_000_000)],
])('millions of %s are refused in words', (_, text) => {
  expect(read(text).errors[0]!.message).toMatch(/[Ee]xpected|at most/)
})

test.each([
  ['code', 41, 'code is longer than 40 characters'],
  ['strip', 41, 'strip is longer than 40 characters'],
  ['name', 121, 'name is longer than 120 characters'],
])(
  'a %s of %d characters is refused at its line, before the store would',
  (column, length, words) => {
    const cells = {
      code: 'A1',
      name: 'Oneling',
      strip: 'A',
      base: 'white',
      hex: '#808080',
      [column]: 'x'.repeat(length),
    }
    const text = `${Object.keys(cells).join(',')}\n${Object.values(cells).join(',')}\n`
    expect(read(text).errors).toEqual([{ line: 2, message: expect.stringContaining(words) }])
  },
)
