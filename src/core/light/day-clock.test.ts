import { clockTime, minuteAtClockTime } from './day-clock'

const plain = {
  date: '2026-06-21',
  startUtcMs: 0,
  startClockMinutes: 0,
  lengthMinutes: 1440,
  shifts: [],
}
const springForward = {
  date: '2026-03-29',
  startUtcMs: 0,
  startClockMinutes: 0,
  lengthMinutes: 1380,
  shifts: [{ atMinute: 60, byMinutes: 60 }],
}

test('an hour that the clocks skip is never shown', () => {
  expect(clockTime(plain, 16 * 60 + 5)).toBe('16:05')
  expect(clockTime(springForward, 59)).toBe('00:59')
  expect(clockTime(springForward, 60)).toBe('02:00')
  expect(minuteAtClockTime(springForward, '01:30')).toBeNull()
  expect(minuteAtClockTime(springForward, '17:30')).toBe(16.5 * 60)
  expect(minuteAtClockTime(plain, 'half past')).toBeNull()
})
