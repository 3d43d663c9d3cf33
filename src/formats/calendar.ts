import ical from 'ical-generator'
import { Temporal } from 'temporal-polyfill'
import { tzlib_get_ical_block } from 'timezones-ical-library'

/** One entry of a calendar. */
export interface CalendarEvent {
  readonly id: string
  readonly title: string
  readonly fromUtcMs: number
  readonly toUtcMs: number
  readonly note: string
  readonly place: string
}

/**
 * Events as a calendar file (iCalendar, RFC 5545), their times those of the house's own clock, with the zone's rules beside them
 * (VTIMEZONE), so that a calendar that knows no zones reads them right too.
 *
 * @param timeZone IANA name
 * @throws RangeError when there is no such zone
 */
export function writeCalendar(
  name: string,
  timeZone: string,
  events: readonly CalendarEvent[],
): string {
  const onTheClock = (utcMs: number) =>
    Temporal.Instant.fromEpochMilliseconds(utcMs).toZonedDateTimeISO(timeZone)
  const calendar = ical({
    name,
    prodId: '//Elm Swatch//Elm Swatch//EN',
    timezone: {
      name: timeZone,
      generator: (zone) => [tzlib_get_ical_block(zone)].flat()[0] ?? null,
    },
  })
  for (const { id, title, fromUtcMs, toUtcMs, note, place } of events)
    calendar.createEvent({
      id: `${id}@elm-swatch.invalid`,
      summary: title,
      start: onTheClock(fromUtcMs),
      end: onTheClock(toUtcMs),
      timezone: timeZone,
      description: note || null,
      location: place,
    })
  // The library writes the stamp by the zone's clock; the standard wants it in UTC (RFC 5545, 3.8.7.2).
  const stamp = Temporal.Now.instant().toString({ smallestUnit: 'second' }).replace(/[-:]/g, '')
  return calendar.toString().replace(/^DTSTAMP:.*$/gm, `DTSTAMP:${stamp}`)
}
