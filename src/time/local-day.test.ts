import { clockTime } from '../core/light/day-clock'
import { isTimeZone, localDay } from './local-day'
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
