import { Temporal } from 'temporal-polyfill'
import { clockTime, minuteAtClockTime, utcMsAt } from '../core/light/day-clock'
import { dayByClock } from '../core/light/zone-clock'
import { dateAt, isTimeZone, localDay, zoneClock } from './local-day'
import { findTowns } from './towns'

test('a day in summer time begins an hour before UTC’s', () => {
  const day = localDay('2026-06-21', 'Europe/London')
  expect(new Date(day.startUtcMs).toISOString()).toBe('2026-06-20T23:00:00.000Z')
  expect(day).toMatchObject({ lengthMinutes: 1440, shifts: [] })
})

// Clock changes of 2026 by the IANA time zone database.
test.each([
  ['2026-03-29', 'Europe/London', 1380, 60, 60, '02:00'],
  ['2026-10-25', 'Europe/London', 1500, 120, -60, '01:00'],
  ['2026-04-05', 'Australia/Melbourne', 1500, 180, -60, '02:00'],
])('%s in %s has %i minutes', (date, zone, length, at, by, shown) => {
  const day = localDay(date, zone)
  expect(day.lengthMinutes).toBe(length)
  expect(day.shifts).toEqual([{ atMinute: at, byMinutes: by }])
  expect(clockTime(day, at)).toBe(shown)
})

test('dates and zones that do not exist are refused', () => {
  expect(() => localDay('2026-02-30', 'Europe/London')).toThrow(RangeError)
  expect(() => localDay('2026-02-20', 'Mars/Olympus')).toThrow(RangeError)
  expect(isTimeZone('Europe/London')).toBe(true)
  expect(isTimeZone('')).toBe(false)
})

test('towns are found by the beginning of their name, accents or not, largest first', () => {
  const [town] = findTowns('montrea')
  expect(town).toMatchObject({ name: 'Montréal', country: 'Canada', timeZone: 'America/Montreal' })
  expect(town!.latitudeDeg).toBeCloseTo(45.5, 0)
  expect(findTowns('Melb')[0]).toMatchObject({
    country: 'Australia',
    timeZone: 'Australia/Melbourne',
  })
  expect(findTowns('x')).toEqual([])
})

// Zones whose clocks do odd things: jumps at midnight, by half an hour, in the southern summer, and none at all.
test.each([
  'Europe/London',
  'America/New_York',
  'America/Santiago',
  'Africa/Cairo',
  'Asia/Beirut',
  'America/Havana',
  'Australia/Lord_Howe',
  'Asia/Kolkata',
])('every day of six years in %s begins and ends as by the calendar library', (zone) => {
  const clock = zoneClock(zone, '2026-06-21')
  for (let at = Date.UTC(2024, 0, 1); at < Date.UTC(2030, 0, 1); at += 86_400_000) {
    const date = new Date(at).toISOString().slice(0, 10)
    const start = Temporal.PlainDate.from(date).toZonedDateTime(zone)
    const end = Temporal.PlainDate.from(date).add({ days: 1 }).toZonedDateTime(zone)
    const day = dayByClock(clock, date)!
    expect([day.startUtcMs, utcMsAt(day, day.lengthMinutes)]).toEqual([
      start.epochMilliseconds,
      end.epochMilliseconds,
    ])
  }
})

// Days without a midnight, days of 23 and of 25 hours, a jump of half an hour, by the IANA time zone database.
test.each([
  ['2025-09-07', 'America/Santiago', 1380, '01:00'],
  ['2026-04-24', 'Africa/Cairo', 1380, '01:00'],
  ['2026-10-29', 'Africa/Cairo', 1500, '00:00'],
  ['2026-03-29', 'Asia/Beirut', 1380, '01:00'],
  ['2026-03-08', 'America/Havana', 1380, '01:00'],
  ['2026-11-01', 'America/Havana', 1500, '00:00'],
  ['2026-03-29', 'Europe/London', 1380, '00:00'],
  ['2026-10-25', 'Europe/London', 1500, '00:00'],
  ['2026-10-04', 'Australia/Lord_Howe', 1410, '00:00'],
])('%s in %s: every minute shows what clocks there show', (date, zone, length, first) => {
  const day = localDay(date, zone)
  expect(day.lengthMinutes).toBe(length)
  expect(clockTime(day, 0)).toBe(first)
  // The platform's own calendar, not the library that the table comes from.
  const clock = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  })
  const wrong = Array.from({ length }, (_, minute) => minute).filter(
    (minute) => clockTime(day, minute) !== clock.format(utcMsAt(day, minute)),
  )
  expect(wrong).toEqual([])
  // An hour that is skipped is never found, every other is, at its first showing.
  expect(minuteAtClockTime(day, '12:00')).toBe(
    Array.from({ length }, (_, m) => m).find((m) => clock.format(utcMsAt(day, m)) === '12:00'),
  )
  if (first === '01:00') expect(minuteAtClockTime(day, '00:30')).toBeNull()
})

test('a day that clocks jumped over is none', () => {
  // Samoa went from 29 to 31 December 2011.
  expect(() => localDay('2011-12-30', 'Pacific/Apia')).toThrow(/no day 2011-12-30/)
  expect(localDay('2011-12-31', 'Pacific/Apia').lengthMinutes).toBe(1440)
})

test('a date that does not exist or lies outside the years that are known is none', () => {
  const clock = zoneClock('Europe/London', '2026-06-21')
  for (const date of [
    '2026-02-29',
    '2026-13-01',
    '2026-1-1',
    'tomorrow',
    '2023-12-31',
    '2030-01-01',
  ])
    expect(dayByClock(clock, date)).toBeNull()
  expect(dayByClock(clock, '2028-02-29')).not.toBeNull()
})

test('an instant falls on the date that the clocks of the place show', () => {
  expect(dateAt('2026-12-02T20:30:00Z', 'Pacific/Auckland')).toBe('2026-12-03')
  expect(dateAt('2026-12-03T04:30:00Z', 'America/Los_Angeles')).toBe('2026-12-02')
  expect(dateAt('2026-12-03T04:30:00Z', 'Europe/London')).toBe('2026-12-03')
  expect(() => dateAt('2026-12-03T04:30:00Z', 'Mars/Olympus')).toThrow(RangeError)
})
