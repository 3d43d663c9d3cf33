import { clockInZone, dateInZone } from './date-in-zone'
import { dateAt } from './local-day'

// Both ends of a day in three zones: west of Greenwich, east of it, and a half hour off (IANA time zone database).
test.each([
  ['America/Los_Angeles', '2026-12-01T07:59:00Z', '2026-11-30', '23:59'],
  ['America/Los_Angeles', '2026-12-01T08:00:00Z', '2026-12-01', '00:00'],
  ['America/Los_Angeles', '2026-07-02T06:59:00Z', '2026-07-01', '23:59'],
  ['Pacific/Auckland', '2026-12-01T10:59:00Z', '2026-12-01', '23:59'],
  ['Pacific/Auckland', '2026-12-01T11:00:00Z', '2026-12-02', '00:00'],
  ['Asia/Kolkata', '2026-12-31T18:29:00Z', '2026-12-31', '23:59'],
  ['Asia/Kolkata', '2026-12-31T18:30:00Z', '2027-01-01', '00:00'],
])('in %s at %s it is %s, %s', (zone, instant, date, clock) => {
  expect([dateInZone(instant, zone), clockInZone(instant, zone)]).toEqual([date, clock])
  // A general-purpose library says the same.
  expect(dateAt(instant, zone)).toBe(date)
})

test('an instant or a zone that is none is refused', () => {
  expect(() => dateInZone('soon', 'UTC')).toThrow(RangeError)
  expect(() => dateInZone('2026-12-01T10:00:00Z', 'Nowhere/Here')).toThrow(RangeError)
})
