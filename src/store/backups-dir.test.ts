import { stampOf } from './backups-dir'

test.each([
  ['America/Los_Angeles', '2026-12-01T07:59:00Z', '2026-11-30T2359'],
  ['Pacific/Auckland', '2026-12-01T11:00:00Z', '2026-12-02T0000'],
  ['Asia/Kolkata', '2026-12-31T18:30:00Z', '2027-01-01T0000'],
])('a backup made in %s at %s is named by the clocks there', (zone, at, stamp) => {
  expect(stampOf(at, zone)).toBe(stamp)
})
