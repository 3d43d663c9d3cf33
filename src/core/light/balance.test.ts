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

test('east and west balance each other, and it is said what that means for a grey', () => {
  // Common practice: light from a second side balances.
  const balance = balanceOf(lit(90, 270), 'clear')!
  expect(balance.together).toBeLessThan(0.6 * Math.min(...balance.alone))
  expect(balance.words).toMatch(/^Light from 2 sides: through the day a grey \D+, steadier than/)
  expect(balance.words).toMatch(/with the (east|west) side alone\.$/)
  // Two sides of the low sun, one of them large: what comes last in the day decides.
  const uneven = balanceOf(lit(0, 270, 275, 280), 'clear')!
  expect(uneven.together).toBeGreaterThan(Math.min(...uneven.alone))
  expect(uneven.words).toMatch(/less steady than it would be with the north side alone/)
})

test('one side, however many windows, has nothing to balance', () => {
  expect(balanceOf(lit(90), 'clear')).toBeNull()
  expect(balanceOf(lit(90, 92), 'clear')).toBeNull()
  expect(balanceOf(lit(), 'clear')).toBeNull()
})
