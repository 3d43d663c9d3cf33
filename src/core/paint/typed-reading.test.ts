import Color from 'colorjs.io'
import { readTyped, spectrumText, type TypedReading } from './typed-reading'

const typed = (change: Partial<TypedReading>): TypedReading => ({
  by: 'lab',
  l: '',
  a: '',
  b: '',
  hex: '',
  spectrum: '',
  measuredFor: 'D65 2deg',
  scale: '',
  ...change,
})

test('L*a*b* with points, commas and a minus of any kind', () => {
  expect(readTyped(typed({ l: ' 66,5', a: '−9', b: '14.25' }))).toEqual({
    ok: true,
    reading: { kind: 'lab', lab: [66.5, -9, 14.25] },
  })
})

test('a number given for D50 is that of the same surface for D65, not the same number', () => {
  const given = { l: '60', a: '12', b: '20' }
  const read = readTyped(typed({ ...given, measuredFor: 'D50 2deg' }))
  if (!read.ok || read.reading.kind !== 'lab') throw new Error('expected L*a*b*')
  const { lab } = read.reading
  // The reference library adapts white to white (Bradford); by the surface it comes out near that, never as it was given.
  const adapted = new Color('lab', [60, 12, 20]).to('lab-d65').coords
  const away = (from: readonly (number | null)[]): number =>
    Math.hypot(...lab.map((v, k) => v - from[k]!))
  expect(away(adapted)).toBeLessThan(1)
  expect(away([60, 12, 20])).toBeGreaterThan(1.5)
})

test('0.9 typed alone is asked about', () => {
  const dark = typed({ by: 'spectral', spectrum: '400 0.5\n550 0.7\n700 0.9' })
  expect(readTyped(dark)).toMatchObject({
    ok: false,
    largest: 0.9,
    problems: [{ field: 'scale', message: expect.stringMatching(/0.9: a share/) }],
  })
  const read = readTyped({ ...dark, scale: 'percent' })
  expect(read.ok && read.reading.kind === 'spectral' && read.reading.reflectance[2]).toBeCloseTo(
    0.009,
    12,
  )
})

test('a spectrum as pairs a line, as 31 or 36 shares, and as per cent', () => {
  const shares = Array.from({ length: 31 }, (_, i) => Number((0.2 + i / 100).toFixed(2)))
  const whole = readTyped(typed({ by: 'spectral', spectrum: shares.join(' '), scale: 'share' }))
  if (!whole.ok || whole.reading.kind !== 'spectral') throw new Error('expected a spectrum')
  expect(whole.reading.wavelengthsNm.slice(0, 2)).toEqual([400, 410])
  const percent = readTyped(
    typed({ by: 'spectral', spectrum: shares.map((share) => share * 100).join('\n') }),
  )
  if (!percent.ok || percent.reading.kind !== 'spectral') throw new Error('expected a spectrum')
  percent.reading.reflectance.forEach((share, i) => expect(share).toBeCloseTo(shares[i]!, 12))
  expect(
    readTyped(typed({ by: 'spectral', spectrum: spectrumText(whole.reading), scale: 'share' })),
  ).toEqual(whole)
  const wide = readTyped(typed({ by: 'spectral', spectrum: '0.5 '.repeat(36), scale: 'share' }))
  expect(wide.ok && wide.reading.kind === 'spectral' && wide.reading.wavelengthsNm[0]).toBe(380)
})

test.each<readonly [string, Partial<TypedReading>, string, RegExp]>([
  ['nothing', { l: '50', a: '', b: '0' }, 'a', /got nothing/],
  ['a lightness of 120', { l: '120', a: '0', b: '0' }, 'l', /0 to 100, got “120”/],
  ['a word', { l: '50', a: '0', b: 'beige' }, 'b', /got “beige”/],
  ['a colour that no surface has', { l: '99', a: '60', b: '-60' }, 'l', /./],
  ['five digits of hex', { by: 'hex', hex: '#12345' }, 'hex', /six digits/],
  [
    'seven reflectances',
    { by: 'spectral', spectrum: '1 2 3 4 5 6 7' },
    'spectrum',
    /got 7 numbers/,
  ],
  ['a formula', { by: 'spectral', spectrum: '400 =A1' }, 'spectrum', /got “=A1”/],
  ['wavelengths that fall', { by: 'spectral', spectrum: '500 .1\n' }, 'spectrum', /got “.1”/],
  [
    'wavelengths that fall, whole',
    { by: 'spectral', spectrum: '700 0.1\n400 0.2\n', scale: 'share' },
    'spectrum',
    /[Ww]avelengths must rise/,
  ],
  [
    'too short a range',
    { by: 'spectral', spectrum: '500 0.1\n600 0.2', scale: 'share' },
    'spectrum',
    /450 to 650 nm/,
  ],
])('%s is refused at its field', (_, change, field, message) => {
  const read = readTyped(typed(change))
  if (read.ok) throw new Error('expected to be refused')
  expect(read.problems[0]!.field).toBe(field)
  expect(read.problems[0]!.message).toMatch(message)
})

test('three numbers, or a hex, typed into L* are read as the colour they are', () => {
  expect(readTyped(typed({ l: '62, 3, 11' }))).toMatchObject({
    reading: { kind: 'lab', lab: [62, 3, 11] },
  })
  expect(readTyped(typed({ l: '#A08060' }))).toMatchObject({
    reading: { kind: 'srgb', hex: '#a08060' },
  })
  expect(readTyped(typed({ l: '62, 3' })).ok).toBe(false)
})
