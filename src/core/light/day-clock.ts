import { between, finite, finiteAll } from '../check'
/** One calendar day at a place, as its clocks show it. */
export interface LocalDay {
  /** As 2026-12-21. */
  readonly date: string
  /** The day's first instant, milliseconds since 1970, UTC. */
  readonly startUtcMs: number
  /** What the clock shows then, minutes: 0 but on a day without a midnight, whose first hour the clocks skip. */
  readonly startClockMinutes: number
  /** 1440, or more or less on the days the clocks change. */
  readonly lengthMinutes: number
  /** Where clocks jump: after `atMinute` of the day they stand `byMinutes` further on. */
  readonly shifts: readonly { readonly atMinute: number; readonly byMinutes: number }[]
}

export const MS_PER_MINUTE = 60_000

const LONGEST_DAY_MINUTES = 2880

/** A day whose figures are some. */
export function checkedDay(day: LocalDay): LocalDay {
  finite(day.startUtcMs, "a day's startUtcMs")
  between(day.startClockMinutes, 0, 1440, "a day's startClockMinutes")
  between(day.lengthMinutes, 1, LONGEST_DAY_MINUTES, "a day's lengthMinutes")
  for (const { atMinute, byMinutes } of day.shifts) finiteAll([atMinute, byMinutes], 'clock shifts')
  return day
}

export const utcMsAt = (day: LocalDay, minute: number): number =>
  finite(day.startUtcMs + minute * MS_PER_MINUTE, 'an instant')

/** What the clock on the wall shows `minute` minutes after the day's first instant: "16:05". */
export function clockTime(day: LocalDay, minute: number): string {
  checkedDay(day)
  const shift = day.shifts.reduce((sum, s) => (minute >= s.atMinute ? sum + s.byMinutes : sum), 0)
  return clockOfMinutes(day.startClockMinutes + Math.round(minute) + shift)
}

/** Minutes after midnight as a clock shows them: "09:05". */
export function clockOfMinutes(minutes: number): string {
  finite(minutes, 'minutes')
  const hours = Math.floor(minutes / 60) % 24
  return `${String(hours).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
}

/** The minute of the day at which a clock shows a time, or null when it does not read as one. */
export function minuteAtClockTime(day: LocalDay, clock: string): number | null {
  const match = /^(\d{1,2}):(\d{2})$/.exec(clock)
  if (!match) return null
  checkedDay(day)
  for (let minute = 0; minute < day.lengthMinutes; minute++)
    if (clockTime(day, minute) === `${match[1]!.padStart(2, '0')}:${match[2]}`) return minute
  return null
}
