import { dateValue, metresValue, nameValue, numberValue } from './form-values'

const said = (
  schema: {
    safeParse: (value: string) => { error?: { issues: { message: string }[] } | undefined }
  },
  value: string,
) => schema.safeParse(value).error?.issues[0]?.message

test('a number is read with a point, a comma or a true minus sign', () => {
  const degrees = numberValue(-90, 90, '°')
  expect(['52.4', ' 52,4 ', '-1.6', '−1,6', '0'].map((text) => degrees.parse(text))).toEqual([
    52.4, 52.4, -1.6, -1.6, 0,
  ])
})

test.each(['', 'north', '1e3', '0x10', '95', '90.01', '--1', '1.', 'Infinity', 'NaN'])(
  'as a latitude %j is refused with what was expected and what came',
  (text) => {
    expect(said(numberValue(-90, 90, '°'), text)).toBe(
      `Expected -90 to 90 °, got ${text === '' ? 'nothing' : `“${text}”`}.`,
    )
  },
)

test('metres are kept in whole millimetres', () => {
  expect(metresValue(0.1, 50).parse('1,8')).toBe(1800)
  expect(metresValue(0.1, 50).parse('2.3456')).toBe(2346)
  expect(said(metresValue(0.1, 50), '0')).toBe('Expected 0.1 to 50 m, got “0”.')
})

test.each([
  ['2028-02-29', undefined],
  ['2026-02-29', 'Expected a date that exists, as 2026-06-21, got “2026-02-29”.'],
  ['2026-13-01', 'Expected a date that exists, as 2026-06-21, got “2026-13-01”.'],
  ['21/06/2026', 'Expected a date that exists, as 2026-06-21, got “21/06/2026”.'],
  ['', 'Expected a date that exists, as 2026-06-21, got nothing.'],
])('the date %j', (text, message) => expect(said(dateValue, text)).toBe(message))

test('a name of spaces is no name, a long one is too long', () => {
  expect(said(nameValue('a name'), '  ')).toBe('Expected a name, got nothing.')
  expect(said(nameValue('a name'), 'x'.repeat(81))).toMatch(/at most 80/)
  expect(nameValue('a name').parse(' Kitchen ')).toBe('Kitchen')
})
