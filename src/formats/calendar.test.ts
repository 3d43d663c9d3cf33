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
