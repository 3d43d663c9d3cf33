import { Temporal } from 'temporal-polyfill'
import { dayNumber } from '../core/light/calendar-date'
import type { LocalDay } from '../core/light/day-clock'
import { dayByClock, type ZoneClock } from '../core/light/zone-clock'

/**
 * A calendar day at a place in UTC, with the clock changes in it.
 *
 * @param isoDate `2026-06-21`
 * @param timeZone IANA name
 * @throws RangeError for a date or a zone that does not exist
 */
export function localDay(isoDate: string, timeZone: string): LocalDay {
  if (!isTimeZone(timeZone)) throw new RangeError(`there is no time zone “${timeZone}”`)
  const day = dayNumber(isoDate) === null ? null : dayByClock(zoneClock(timeZone, isoDate), isoDate)
  if (!day) throw new RangeError(`there is no day ${isoDate} in ${timeZone}`)
  return day
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

/** The date of an instant by the clocks of a place: 2026-06-21. Throws RangeError for a zone that does not exist. */
export const dateAt = (instant: string, timeZone: string): string =>
  Temporal.Instant.from(instant).toZonedDateTimeISO(timeZone).toPlainDate().toString()
