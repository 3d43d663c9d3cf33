import { balanceOf } from './balance'
import type { RoomDay } from './light-choice'
import { PLAIN_LAMP, PLAIN_WINDOW } from './room'
import { utcDay } from './utc-day.fixture'

const lit = (...bearings: readonly number[]): RoomDay => ({
  room: {
    northSouthMm: 4500,
    eastWestMm: 4500,
    heightMm: 2600,
    windows: bearings.map((bearingDeg) => ({ ...PLAIN_WINDOW, bearingDeg })),
    lamps: [PLAIN_LAMP],
  },
  place: { latitudeDeg: 52, longitudeDeg: 0 },
  day: utcDay('2026-03-21'),
})

test('east and west balance each other, and the figures say how much', () => {
  // Common practice: light from a second side balances.
  const balance = balanceOf(lit(90, 270), 'clear')!
  expect(balance.together).toBeLessThan(0.6 * Math.min(...balance.alone))
  expect(balance.words).toContain(`moves ${balance.together.toFixed(1)} units`)
  expect(balance.words).toContain(`${balance.alone[0]!.toFixed(1)} with the east alone`)
  expect(balance.words).toMatch(/balance it:/)
})

test('one side, however many windows, has nothing to balance', () => {
  expect(balanceOf(lit(90), 'clear')).toBeNull()
  expect(balanceOf(lit(90, 92), 'clear')).toBeNull()
  expect(balanceOf(lit(), 'clear')).toBeNull()
})
