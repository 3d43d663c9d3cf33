import { dayNumber } from '../core/light/calendar-date'

const UTC = { timeZone: 'UTC' } as const
const instantOf = (iso: string): Date => new Date(`${iso}T12:00:00Z`)

/** A date as people of a locale write it in short words: 21 Jun 2026, Jun 21, 2026. */
export const dateWords = (iso: string, locale: string): string =>
  new Intl.DateTimeFormat(locale, {
    ...UTC,
    day: 'numeric',
    month: 'short',
    year: 'numeric',
  }).format(instantOf(iso))

/** A locale the platform knows, from what a browser asks for; British English for anything else. */
export function knownLocale(asked: string): string {
  const [first = ''] = asked.split(/[,;]/)
  try {
    return Intl.DateTimeFormat.supportedLocalesOf(first.trim())[0] ?? 'en-GB'
  } catch {
    return 'en-GB'
  }
}

/** Which of day, month and year comes first, second and third in a locale's figures. */
function orderOf(locale: string): readonly ('day' | 'month' | 'year')[] {
  return new Intl.DateTimeFormat(locale, { ...UTC, calendar: 'gregory' })
    .formatToParts(instantOf('2026-06-21'))
    .flatMap(({ type }) => (type === 'day' || type === 'month' || type === 'year' ? [type] : []))
}

/** The number of the month that a word of the locale begins or is, 1 to 12; null for none, or more than one. */
function monthNamed(word: string, locale: string): number | null {
  const plain = (text: string): string =>
    text
      .toLocaleLowerCase(locale)
      .normalize('NFD')
      .replace(/[\p{M}.]/gu, '')
  const typed = plain(word)
  const fits = Array.from({ length: 12 }, (_, i) => i + 1).filter((month) =>
    (['long', 'short'] as const).some((style) => {
      const name = new Intl.DateTimeFormat(locale, { ...UTC, month: style, day: 'numeric' })
        .formatToParts(instantOf(`2026-${String(month).padStart(2, '0')}-11`))
        .find(({ type }) => type === 'month')!.value
      return typed.length >= 3 && (plain(name) === typed || plain(name).startsWith(typed))
    }),
  )
  return fits.length === 1 ? fits[0]! : null
}

/**
 * A date that somebody typed, as `2026-06-21`: that itself; figures in the locale's order, `21/6/2026` or `6/21/26`; or
 * with the month by name, `21 June 2026`, `Jun 21, 2026`.
 *
 * @returns null for what is no date, or none that exists
 */
export function typedDate(text: string, locale: string): string | null {
  const plain = text.trim()
  if (/^\d{4}-\d{2}-\d{2}$/.test(plain)) return existing(plain)
  const figures = /^(\d{1,4})[./\s-]+(\d{1,2})[./\s-]+(\d{1,4})\.?$/.exec(plain)
  if (figures) {
    const found = figures.slice(1).map(Number)
    // A year of four figures in front says its order itself.
    const order = figures[1]!.length === 4 ? (['year', 'month', 'day'] as const) : orderOf(locale)
    const of = (part: 'day' | 'month' | 'year'): number => found[order.indexOf(part)]!
    return isoOf(of('year'), of('month'), of('day'))
  }
  const word = /[\p{L}\p{M}]{3,}/u.exec(plain)?.[0]
  const numbers = [...plain.matchAll(/\d+/g)].map(([number]) => number)
  const month = word && monthNamed(word, locale)
  if (!month || numbers.length !== 2) return null
  const [year] = numbers.filter((number) => number.length === 4)
  const day = numbers.find((number) => number !== year)
  return year && day ? isoOf(Number(year), month, Number(day)) : null
}

function isoOf(year: number, month: number, day: number): string | null {
  // Two figures are of this century.
  const whole = year < 100 ? 2000 + year : year
  const two = (n: number): string => String(n).padStart(2, '0')
  return existing(`${String(whole).padStart(4, '0')}-${two(month)}-${two(day)}`)
}

const existing = (iso: string): string | null => (dayNumber(iso) === null ? null : iso)
