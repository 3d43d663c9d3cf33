import { dateWords, knownLocale, typedDate } from './typed-date'

// Orders of the Unicode CLDR, as the platform carries them.
test.each([
  ['2026-06-21', 'en-US', '2026-06-21'],
  ['21/6/2026', 'en-GB', '2026-06-21'],
  ['6/21/2026', 'en-US', '2026-06-21'],
  ['3/4/26', 'en-GB', '2026-04-03'],
  ['3/4/26', 'en-US', '2026-03-04'],
  ['21.6.2026', 'de-DE', '2026-06-21'],
  ['21-06-2026', 'nl-NL', '2026-06-21'],
  ['2026/6/21', 'en-GB', '2026-06-21'],
  ['26/06/21', 'ja-JP', '2026-06-21'],
  ['21 June 2026', 'en-GB', '2026-06-21'],
  ['Jun 21, 2026', 'en-US', '2026-06-21'],
  ['21 août 2026', 'fr-FR', '2026-08-21'],
  ['21 aout 2026', 'fr-FR', '2026-08-21'],
  ['1. März 2026', 'de-DE', '2026-03-01'],
  ['29/2/2028', 'en-GB', '2028-02-29'],
])('%j in %s', (text, locale, iso) => expect(typedDate(text, locale)).toBe(iso))

test.each([
  '',
  'soon',
  '29/2/2026',
  '13/13/2026',
  '2026-13-01',
  '21 J 2026',
  '21 June',
  'June 2026',
  '0/0/0',
  '1/2',
])('%j is no date', (text) => expect(typedDate(text, 'en-GB')).toBeNull())

test('what is written is read back, in any locale', () => {
  for (const locale of ['en-GB', 'en-US', 'de-DE', 'fr-FR', 'es-CL', 'nl-NL', 'pl-PL'])
    for (const iso of ['2026-01-09', '2026-05-31', '2026-12-21'])
      expect([locale, typedDate(dateWords(iso, locale), locale)]).toEqual([locale, iso])
})

test('a locale nobody knows is British English', () => {
  expect(knownLocale('en-US,en;q=0.9')).toBe('en-US')
  expect(['', '*', 'not a locale', 'xx-YY'].map(knownLocale)).toEqual(Array(4).fill('en-GB'))
})
