import { createEvents, type EventAttributes } from 'ics'

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
 * Events as a calendar file (iCalendar, RFC 5545). Times are UTC, so that they are right whatever a calendar knows of zones; the
 * zone of the house is named for the calendar to show them by.
 *
 * @param timeZone IANA name
 * @throws Error when an event is malformed
 */
export function writeCalendar(
  name: string,
  timeZone: string,
  events: readonly CalendarEvent[],
): string {
  const { error, value } = createEvents(
    events.map(({ id, title, fromUtcMs, toUtcMs, note, place }): EventAttributes => ({
      uid: `${id}@elm-swatch.invalid`,
      title,
      start: fromUtcMs,
      end: toUtcMs,
      startInputType: 'utc',
      startOutputType: 'utc',
      endInputType: 'utc',
      endOutputType: 'utc',
      description: note,
      location: place,
      calName: name,
      productId: 'Elm Swatch',
    })),
  )
  if (error || !value) throw error ?? new Error('a calendar needs at least one event')
  return value.replace('METHOD:PUBLISH\r\n', `METHOD:PUBLISH\r\nX-WR-TIMEZONE:${timeZone}\r\n`)
}
