import { finite } from '../check'
import { dateOfDayNumber, dayNumber } from './calendar-date'
import { MS_PER_MINUTE, type LocalDay } from './day-clock'

/** What the clocks of a place do over some years; cloneable. */
export interface ZoneClock {
  /** From each instant on, UTC, clocks stand so many minutes ahead of UTC; oldest first. */
  readonly offsets: readonly (readonly [fromUtcMs: number, offsetMinutes: number])[]
  readonly firstDate: string
  readonly lastDate: string
}

const MS_PER_DAY = 1440 * MS_PER_MINUTE

/** A calendar day by the clocks of a place; null for a date that does not exist, or of a year that is not known. */
export function dayByClock(zone: ZoneClock, date: string): LocalDay | null {
  for (const [from, minutes] of zone.offsets) finite(from + minutes, 'offsets of a zone')
  const number = dayNumber(date)
  if (number === null || date < zone.firstDate || date > zone.lastDate) return null
  const startUtcMs = dayStart(zone, number)
  const endUtcMs = dayStart(zone, number + 1)
  // Where clocks jumped over a whole day there is none.
  if (endUtcMs <= startUtcMs) return null
  const offset = zone.offsets.findLast(([from]) => from <= startUtcMs)?.[1] ?? 0
  return {
    date,
    startUtcMs,
    startClockMinutes: (startUtcMs - number * MS_PER_DAY) / MS_PER_MINUTE + offset,
    lengthMinutes: Math.round((endUtcMs - startUtcMs) / MS_PER_MINUTE),
    shifts: zone.offsets.flatMap(([from, offset], i) =>
      i > 0 && from > startUtcMs && from < endUtcMs
        ? [
            {
              atMinute: (from - startUtcMs) / MS_PER_MINUTE,
              byMinutes: offset - zone.offsets[i - 1]![1],
            },
          ]
        : [],
    ),
  }
}

/** The first instant of a day: midnight, or where clocks jump over midnight the moment of the jump. */
function dayStart({ offsets }: ZoneClock, number: number): number {
  const midnight = number * MS_PER_DAY
  for (const [i, [from, offset]] of offsets.entries()) {
    const until = offsets[i + 1]?.[0] ?? Infinity
    const utc = midnight - offset * MS_PER_MINUTE
    if (utc < until) return Math.max(utc, from)
  }
  return midnight
}

/** The calendar day that an instant falls on by the clocks of a place; null outside the years that are known. */
export function dateByClock(zone: ZoneClock, utcMs: number): LocalDay | null {
  finite(utcMs, 'an instant')
  const offset = zone.offsets.findLast(([from]) => from <= utcMs)?.[1]
  if (offset === undefined) return null
  return dayByClock(
    zone,
    dateOfDayNumber(Math.floor((utcMs + offset * MS_PER_MINUTE) / MS_PER_DAY)),
  )
}
