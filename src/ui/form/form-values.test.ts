import {
  dateValue,
  lengthValue,
  nameValue,
  numberValue,
  wasName,
  withUntouchedLengths,
} from './form-values'

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

test('a length is kept in whole millimetres, whatever it was typed in, and refused in the units that are set', () => {
  expect(lengthValue(100, 50_000, 'metric').parse('1,8')).toBe(1800)
  expect(lengthValue(100, 50_000, 'feet').parse('5\' 11"')).toBe(1803)
  expect(said(lengthValue(100, 50_000, 'metric'), '0')).toBe('Expected 0.1 m to 50 m, got “0”.')
  expect(said(lengthValue(1524, 15_240, 'feet'), 'tall')).toBe('Expected 5′ to 50′, got “tall”.')
})

test('a length that nobody touched stays as it is, to the millimetre', () => {
  const form = new FormData()
  form.set('widthMm', '4′ 7 3/16″')
  form.set(wasName('widthMm'), '1401')
  form.set('heightMm', '4′')
  form.set(wasName('heightMm'), '1401')
  expect(Object.fromEntries(withUntouchedLengths(form, 'feet'))).toEqual({
    widthMm: '1401 mm',
    heightMm: '4′',
  })
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
