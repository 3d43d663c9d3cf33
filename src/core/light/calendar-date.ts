import { finite } from '../check'
const DAYS_OF_MONTH = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const
const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const

const isLeap = (year: number): boolean => (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0

/** Year, month from 1 and day of `2026-06-21`; null for what is no date or does not exist. */
function partsOfDate(date: string): readonly [year: number, month: number, day: number] | null {
  const [, y, m, d] = /^(\d{4})-(\d{2})-(\d{2})$/.exec(date) ?? []
  const [year, month, day] = [Number(y), Number(m), Number(d)]
  const longest = month === 2 && isLeap(year) ? 29 : DAYS_OF_MONTH[month - 1]
  return longest !== undefined && day >= 1 && day <= longest ? [year, month, day] : null
}

/** Days since 1970-01-01 of a date; null for what is none. */
export function dayNumber(date: string): number | null {
  const parts = partsOfDate(date)
  if (!parts) return null
  const [year, month, day] = parts
  const before = year - 1
  const leaps = Math.floor(before / 4) - Math.floor(before / 100) + Math.floor(before / 400)
  const months = DAYS_OF_MONTH.slice(0, month - 1).reduce<number>((sum, days) => sum + days, 0)
  // 719,162 days lie before 1970.
  return 365 * before + leaps + months + (month > 2 && isLeap(year) ? 1 : 0) + day - 1 - 719_162
}

/** The date so many days after 1970-01-01. */
export function dateOfDayNumber(number: number): string {
  finite(number, 'a day number')
  // Never more than a year off, and then stepped to.
  let year = 1970 + Math.floor(number / 365.2425)
  const firstOf = (y: number): number => dayNumber(`${String(y).padStart(4, '0')}-01-01`)!
  while (firstOf(year) > number) year--
  while (firstOf(year + 1) <= number) year++
  let day = number - firstOf(year)
  let month = 0
  const longest = (m: number): number => (m === 1 && isLeap(year) ? 29 : DAYS_OF_MONTH[m]!)
  while (day >= longest(month)) day -= longest(month++)
  const two = (n: number): string => String(n).padStart(2, '0')
  return `${String(year).padStart(4, '0')}-${two(month + 1)}-${two(day + 1)}`
}

/** "21 December 2026". */
export function longDate(date: string): string {
  const parts = partsOfDate(date)
  return parts ? `${parts[2]} ${MONTHS[parts[1] - 1]} ${parts[0]}` : date
}
