import fc from 'fast-check'
import { LENGTH_UNITS, lengthWords, typedLengthMm } from './units'

// NIST SP 811, table B.8: a foot is 0.3048 m, an inch 25.4 mm, both exact.
test.each([
  ['4.42 m', 4420],
  ['4,42m', 4420],
  ['442 cm', 4420],
  ['4420 mm', 4420],
  ['4.42 metres', 4420],
  [`14' 6"`, 4420],
  ['14′ 6″', 4420],
  ['14’6”', 4420],
  [`14'6`, 4420],
  [`14' 6''`, 4420],
  ['14 ft 6 in', 4420],
  ['14 feet 6 inches', 4420],
  ['14.5 ft', 4420],
  ['14.5', 4420],
  ['174"', 4420],
  ['174 in.', 4420],
  [`14'`, 4267],
  [`14' 6 1/2"`, 4432],
  [`14' 6½"`, 4432],
  ['1/2"', 13],
  ['36 5/8 in', 930],
  [`0' 0"`, 0],
])('%s', (text, mm) => expect(typedLengthMm(text, 'feet')).toBe(mm))

test('a number by itself is in the units that are set', () => {
  expect(typedLengthMm('4.42', 'metric')).toBe(4420)
  expect(typedLengthMm('10', 'feet')).toBe(3048)
  // A unit that is typed holds whatever is set.
  expect(typedLengthMm(`14' 6"`, 'metric')).toBe(4420)
})

test.each([
  '',
  'wide',
  `14' 12"`,
  `14' -2"`,
  `6/1"`,
  `1/0"`,
  `4 m 20`,
  `"`,
  `'`,
  `14" 6'`,
  '1e3',
  `14 6`,
  '5 yards',
])('%j is no length', (text) => {
  for (const units of LENGTH_UNITS) expect(typedLengthMm(text, units)).toBeNull()
})

test.each([
  [4420, '4.42 m', '14′ 6″'],
  [2400, '2.4 m', '7′ 10 1/2″'],
  [305, '0.305 m', '1′'],
  [13, '0.013 m', '1/2″'],
  [0, '0 m', '0″'],
  [914, '0.914 m', '3′'],
  [3658, '3.658 m', '12′'],
])('%i mm is said as people of either unit say it', (mm, metric, feet) => {
  expect([lengthWords(mm, 'metric'), lengthWords(mm, 'feet')]).toEqual([metric, feet])
})

test('what is said is read back: to the millimetre, or to the sixteenth of an inch, and then it stays', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 50_000 }),
      fc.constantFrom(...LENGTH_UNITS),
      (mm, units) => {
        const words = lengthWords(mm, units)
        const back = typedLengthMm(words, units)!
        expect(Math.abs(back - mm)).toBeLessThanOrEqual(units === 'metric' ? 0 : 1)
        expect(lengthWords(back, units)).toBe(words)
      },
    ),
  )
})
