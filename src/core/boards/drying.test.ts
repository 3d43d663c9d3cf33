import { boardSteps, USUAL_DRYING } from './drying'

const clock = (steps: ReturnType<typeof boardSteps>): string[] =>
  steps.map(
    ({ what, date, clockMinute }) =>
      `${date} ${Math.floor(clockMinute / 60)}:${String(clockMinute % 60).padStart(2, '0')} ${what}`,
  )

test('begun in the morning, two coats are on by the afternoon and dry by night', () => {
  expect(clock(boardSteps('2026-06-21', 8 * 60, 2, 'white primer', USUAL_DRYING))).toEqual([
    '2026-06-21 8:00 white primer',
    '2026-06-21 10:00 first coat',
    '2026-06-21 14:00 second coat',
    '2026-06-22 2:00 dry enough to judge',
  ])
})

test('nobody paints in the night: what falls due then waits for the morning', () => {
  expect(clock(boardSteps('2026-12-31', 17 * 60, 2, 'grey undercoat', USUAL_DRYING))).toEqual([
    '2026-12-31 17:00 grey undercoat',
    '2026-12-31 19:00 first coat',
    '2027-01-01 7:00 second coat',
    '2027-01-01 19:00 dry enough to judge',
  ])
  expect(clock(boardSteps('2026-03-01', 5 * 60, 1, null, USUAL_DRYING))[0]).toBe(
    '2026-03-01 7:00 first coat',
  )
})

test.each(['2026-02-30', '', 'soon'])('“%s” is no date to begin on', (date) => {
  expect(() => boardSteps(date, 480, 2, null, USUAL_DRYING)).toThrow(RangeError)
})
