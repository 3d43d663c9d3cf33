import { lightFromAddress, lightToAddress, openingChoice } from './light-address'
import type { LightChoice } from './light-choice'
import { utcDay } from './utc-day.fixture'

const day = utcDay('2026-06-21')

test('a light goes into the address and comes back', () => {
  const choice: LightChoice = {
    source: 'north',
    minute: 1050,
    sky: 'partly',
    lampsOn: true,
    spot: 'walls',
  }
  const address = lightToAddress(choice, day)
  expect(address).toEqual({
    light: 'north',
    day: '2026-06-21',
    at: '17:30',
    sky: 'partly',
    lamps: 'on',
    spot: 'walls',
  })
  expect(lightFromAddress(address, day)).toEqual(choice)
})

test('on a day when the clocks change an address means what the clock shows', () => {
  const spring = { ...day, lengthMinutes: 1380, shifts: [{ atMinute: 60, byMinutes: 60 }] }
  expect(lightFromAddress({ at: '17:30' }, spring)).toEqual({ minute: 990 })
  // The hour that was skipped names no minute.
  expect(lightFromAddress({ at: '01:30' }, spring)).toEqual({})
})

test('what makes no sense is left out', () => {
  expect(lightFromAddress({ light: 'moon', at: '25:99', sky: 'green' }, day)).toEqual({})
})

test('a room without a window opens under its lamps', () => {
  expect(openingChoice(day, false).source).toBe('lamps')
  expect(openingChoice(day, true)).toMatchObject({ source: 'room', minute: 720, sky: 'clear' })
})
