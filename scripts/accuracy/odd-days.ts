import { clockTime, utcMsAt } from '../../src/core/light/day-clock'
import { localDay } from '../../src/time/local-day'

const ODD_DAYS = [
  ['2025-09-07', 'America/Santiago'],
  ['2026-04-24', 'Africa/Cairo'],
  ['2026-10-29', 'Africa/Cairo'],
  ['2026-03-29', 'Asia/Beirut'],
  ['2026-03-08', 'America/Havana'],
  ['2026-11-01', 'America/Havana'],
  ['2026-03-29', 'Europe/London'],
  ['2026-10-25', 'Europe/London'],
] as const

/** Days without a midnight and of 23 or 25 hours: minutes at which our clock and the platform's differ. */
export function printOddDays(): void {
  for (const [date, timeZone] of ODD_DAYS) {
    const day = localDay(date, timeZone)
    const clock = new Intl.DateTimeFormat('en-GB', {
      timeZone,
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    })
    const wrong = Array.from({ length: day.lengthMinutes }, (_, minute) => minute).filter(
      (minute) => clockTime(day, minute) !== clock.format(utcMsAt(day, minute)),
    )
    console.log(
      `  ${timeZone} ${date}: ${day.lengthMinutes} minutes from ${clockTime(day, 0)}, ${wrong.length} of them wrong`,
    )
  }
}
