import fc from 'fast-check'
import { MOST_DECK_LINES, readDeckCsv, writeDeckCsv } from './deck-csv'

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text)
const HEAD = 'code,name,L,a,b,strip,base\n'
const GOOD = 'A1,Quilmere,90,0.5,6,S1,white\n'

test('reads L*a*b* and hex decks, columns in any order, commas or semicolons', () => {
  const lab = readDeckCsv(bytes(HEAD + GOOD))
  expect(lab).toEqual({
    ok: true,
    colours: [
      {
        code: 'A1',
        name: 'Quilmere',
        strip: 'S1',
        base: 'white',
        reading: { kind: 'lab', lab: [90, 0.5, 6] },
      },
    ],
  })
  const hex = readDeckCsv(
    bytes('\uFEFFHex;Base;Strip;Name;Code\r\n9AA58D;Deep;S;“Whin”, dark;A-2\r\n\r\n'),
  )
  expect(hex).toMatchObject({
    ok: true,
    colours: [{ code: 'A-2', base: 'deep', reading: { hex: '#9aa58d' } }],
  })
})

test.each([
  [
    'a missing column',
    'code,name,L,a,b,strip\nA1,Q,90,0,6,S1\n',
    1,
    /Missing column: base\. The heading has: code, name, l, a, b, strip/,
  ],
  ['no reading', 'code,name,strip,base\nA1,Q,S,white\n', 1, /Missing column: L, a, b \(or hex\)/],
  [
    'a code twice',
    HEAD + GOOD + 'B,Q,80,0,0,S,white\n' + GOOD,
    4,
    /Code “A1” stands on line 2 already/,
  ],
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
])('%s is refused at its line', (_, text, line, message) => {
  const got = readDeckCsv(bytes(text))
  expect(got.ok).toBe(false)
  if (got.ok) return
  expect(got.errors[0]!.line).toBe(line)
  expect(got.errors[0]!.message).toMatch(message)
})

test('the wrong encoding is refused', () => {
  const latin1 = Uint8Array.from([...bytes(HEAD), 0x41, 0x2c, 0xe9, 0x0a])
  const utf16 = new Uint8Array(new Uint16Array([...'code,name'].map((c) => c.charCodeAt(0))).buffer)
  for (const file of [latin1, utf16])
    expect(readDeckCsv(file)).toMatchObject({
      ok: false,
      errors: [{ line: 1, message: expect.stringMatching(/not UTF-8/) }],
    })
})

test('more than 25,000 lines are refused before any is read', () => {
  const text = HEAD + 'x\n'.repeat(MOST_DECK_LINES + 1)
  expect(readDeckCsv(bytes(text))).toMatchObject({
    ok: false,
    errors: [{ message: expect.stringMatching(/at most 25,000 lines, this file has 25,001/) }],
  })
})

test('what is written is read back', () => {
  const cell = fc.stringMatching(/^[A-Za-z][A-Za-z0-9 ,;"é’-]{0,12}[A-Za-z0-9]$/)
  const colour = fc.record({
    name: cell,
    strip: cell,
    base: fc.constantFrom('white', 'mid', 'deep', 'clear'),
    lab: fc.tuple(
      fc.integer({ min: 3000, max: 9000 }),
      fc.integer({ min: -800, max: 800 }),
      fc.integer({ min: -800, max: 1200 }),
    ),
  })
  fc.assert(
    fc.property(fc.array(colour, { minLength: 1, maxLength: 8 }), (rows) => {
      const colours = rows.map(({ lab, ...rest }, i) => ({
        ...rest,
        code: `C${i}`,
        reading: { kind: 'lab' as const, lab: [lab[0] / 100, lab[1] / 100, lab[2] / 100] as const },
      }))
      expect(readDeckCsv(bytes(writeDeckCsv(colours)))).toEqual({ ok: true, colours })
    }),
    { numRuns: 60 },
  )
})

test('no bytes whatever crash the reader, and a refusal always names a line', () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.uint8Array({ maxLength: 300 }),
        fc.string().map((s) => bytes(HEAD + s)),
      ),
      (file) => {
        const got = readDeckCsv(file)
        if (!got.ok)
          expect(got.errors.every(({ line, message }) => line >= 1 && message.length > 0)).toBe(
            true,
          )
      },
    ),
    { numRuns: 500 },
  )
})

// A statement that is quick on one of these and takes minutes on the other fails by the runner's own limit.
test.each([
  ['newlines', '\n'.repeat(8_000_000)],
  ['blanks', ' '.repeat(8_000_000)],
  ['commas', ','.repeat(2_000_000)],
  ['carriage returns', '\r\n'.repeat(4_000_000)],
])('eight million %s are refused in words', (_, text) => {
  const read = readDeckCsv(new TextEncoder().encode(text))
  expect(read).toMatchObject({
    ok: false,
    errors: [{ message: expect.stringMatching(/[Ee]xpected|Missing/) }],
  })
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
    expect(readDeckCsv(new TextEncoder().encode(text))).toEqual({
      ok: false,
      errors: [{ line: 2, message: expect.stringContaining(words) }],
    })
  },
)
