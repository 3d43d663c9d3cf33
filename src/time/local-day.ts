import { Temporal } from 'temporal-polyfill'
import { MS_PER_MINUTE, type LocalDay } from '../core/light/day-clock'
import type { ZoneClock } from '../core/light/zone-clock'

/**
 * A calendar day at a place in UTC, with the clock changes in it.
 *
 * @param isoDate `2026-06-21`
 * @param timeZone IANA name
 * @throws RangeError for a date or a zone that does not exist
 */
export function localDay(isoDate: string, timeZone: string): LocalDay {
  const date = Temporal.PlainDate.from(isoDate, { overflow: 'reject' })
  const start = date.toZonedDateTime(timeZone)
  const end = date.add({ days: 1 }).toZonedDateTime(timeZone)
  const lengthMinutes = Math.round(
    (end.epochMilliseconds - start.epochMilliseconds) / MS_PER_MINUTE,
  )
  return {
    date: isoDate,
    startUtcMs: start.epochMilliseconds,
    lengthMinutes,
    shifts: clockShifts(start, end),
  }
}

function clockShifts(
  start: Temporal.ZonedDateTime,
  end: Temporal.ZonedDateTime,
): LocalDay['shifts'] {
  const shifts: { atMinute: number; byMinutes: number }[] = []
  let before = start
  for (;;) {
    const change = before.getTimeZoneTransition('next')
    if (!change || change.epochMilliseconds >= end.epochMilliseconds) return shifts
    const byMinutes = (change.offsetNanoseconds - before.offsetNanoseconds) / 60e9
    const atMinute = (change.epochMilliseconds - start.epochMilliseconds) / MS_PER_MINUTE
    if (byMinutes !== 0) shifts.push({ atMinute, byMinutes })
    before = change
  }
}

// A date is asked for in the years around a visit.
const YEARS_BEFORE = 2
const YEARS_AFTER = 3

/** The clocks of a place over the years around a date, for `dayByClock`. */
export function zoneClock(timeZone: string, aroundDate: string): ZoneClock {
  const year = Number(aroundDate.slice(0, 4))
  const firstDate = `${year - YEARS_BEFORE}-01-01`
  const lastDate = `${year + YEARS_AFTER}-12-31`
  const from = Temporal.PlainDate.from(firstDate).subtract({ days: 2 }).toZonedDateTime(timeZone)
  const until = Temporal.PlainDate.from(lastDate).add({ days: 2 }).toZonedDateTime(timeZone)
  const offsets: [number, number][] = [[from.epochMilliseconds, from.offsetNanoseconds / 60e9]]
  let at = from
  for (;;) {
    const change = at.getTimeZoneTransition('next')
    if (!change || change.epochMilliseconds >= until.epochMilliseconds) break
    if (change.offsetNanoseconds !== at.offsetNanoseconds)
      offsets.push([change.epochMilliseconds, change.offsetNanoseconds / 60e9])
    at = change
  }
  return { offsets, firstDate, lastDate }
}

/** Whether a name is a time zone this machine knows. */
export function isTimeZone(name: string): boolean {
  try {
    Temporal.Instant.fromEpochMilliseconds(0).toZonedDateTimeISO(name)
    return true
  } catch {
    return false
  }
}
