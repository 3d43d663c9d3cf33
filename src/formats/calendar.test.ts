import ICAL from 'ical.js'
import { writeCalendar } from './calendar'

test('a general-purpose calendar library reads back what was written', () => {
  const from = Date.parse('2026-03-29T00:30:00Z')
  const text = writeCalendar('Visit', 'Europe/London', [
    {
      id: 'a',
      title: 'Kitchen; west, late',
      fromUtcMs: from,
      toUtcMs: from + 25 * 60_000,
      note: 'Line one\nLine two, with a comma',
      place: 'Tarlow Cross',
    },
    {
      id: 'b',
      title: 'Front room',
      fromUtcMs: from + 3_600_000,
      toUtcMs: from + 5_400_000,
      note: '',
      place: 'Łąka',
    },
  ])
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown[])
  const events = calendar.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each))
  expect(calendar.getFirstPropertyValue('x-wr-timezone')).toBe('Europe/London')
  expect(events.map(({ summary }) => summary)).toEqual(['Kitchen; west, late', 'Front room'])
  expect(events[0]!.startDate.toJSDate().getTime()).toBe(from)
  expect(events[0]!.endDate.toJSDate().getTime()).toBe(from + 25 * 60_000)
  expect(events[0]!.description).toBe('Line one\nLine two, with a comma')
  expect(events[1]!.location).toBe('Łąka')
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(2)
})

test.each([
  ['Europe/London', '2026-03-29T00:30:00Z'],
  ['Europe/London', '2026-03-29T01:30:00Z'],
  ['Australia/Sydney', '2026-04-04T14:30:00Z'],
  ['Australia/Sydney', '2026-04-04T17:30:00Z'],
  ['America/New_York', '2026-11-01T15:00:00Z'],
  ['Asia/Kathmandu', '2026-11-01T15:00:00Z'],
])('in %s a look at %s is at that instant by the zone the file itself tells of', (zone, at) => {
  const from = Date.parse(at)
  const event = { id: 'a', title: 'Hall', note: '', place: '' }
  const text = writeCalendar('Visit', zone, [
    { ...event, fromUtcMs: from, toUtcMs: from + 20 * 60_000 },
  ])
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown[])
  const { startDate, endDate } = new ICAL.Event(calendar.getFirstSubcomponent('vevent')!)
  expect(startDate.zone!.tzid).toBe(zone)
  expect(calendar.getTimeZoneByID(zone)).not.toBeNull()
  expect(startDate.toJSDate().getTime()).toBe(from)
  expect(endDate.toJSDate().getTime()).toBe(from + 20 * 60_000)
})

test('its stamp is in UTC, as the standard wants it', () => {
  const event = { id: 'a', title: 'Hall', fromUtcMs: 0, toUtcMs: 1, note: '', place: '' }
  expect(writeCalendar('Visit', 'Australia/Sydney', [event])).toMatch(/^DTSTAMP:\d{8}T\d{6}Z\r$/m)
})
