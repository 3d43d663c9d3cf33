import { utcDay } from '../light/utc-day.fixture'
import type { Look, LookLight } from './look'
import { lightSaid, lookSaid, seenSaid } from './look-words'

const place = { latitudeDeg: 52, longitudeDeg: 0 }
const light = (change: Partial<LookLight>): string =>
  lightSaid(
    {
      source: 'room',
      date: '2026-12-21',
      minute: 1150,
      sky: 'overcast',
      lampsOn: true,
      spot: 'walls',
      place: '',
      metered: null,
      ...change,
    },
    place,
    utcDay,
  )

test('a light is told whole, with its day', () => {
  expect(light({ spot: 'east-lamp', place: 'at the sink' })).toBe(
    '21 December 2026, 19:10, overcast, lamps on, on the east wall, under the lamp, at the sink',
  )
  expect(light({ metered: { lux: 180.4, cctK: 2712 } })).toBe(
    '21 December 2026, 19:10, overcast, lamps on; metered 180 lux, 2712 K',
  )
  expect(light({ source: 'lamps', place: 'at the sink' })).toBe(
    '21 December 2026, 19:10, under the lamps, at the sink',
  )
  expect(light({ source: 'north', lampsOn: false })).toBe(
    '21 December 2026, 19:10, north light, overcast',
  )
  const shown = { source: 'room', date: '2026-12-21', minute: 720, sky: 'clear' } as const
  const rest = { lampsOn: false, spot: 'walls', place: '', metered: null } as const
  expect(lightSaid({ ...shown, ...rest }, place, utcDay, '2026-12-21')).toBe('12:00, clear')
  expect(light({ date: null, lampsOn: false })).toBe('date not noted, 19:10, overcast')
})

test('how it was seen: at which strength the sample was, where that is another', () => {
  const candidate = { candidateId: '', strengthPercent: 75, sheen: 'matt' } as const
  const said = (seen: Look['seen']): string => seenSaid({ seen, candidate } as Look)
  expect(said({ as: 'sample', held: 'board', strengthPercent: 75 })).toBe('on a board')
  expect(said({ as: 'sample', held: 'chip', strengthPercent: 100 })).toBe(
    'on a chip at 100 %, not at 75 %',
  )
  expect(said({ as: 'sample', held: 'wall', strengthPercent: 75 })).toBe('painted on the wall')
  expect(said({ as: 'screen' })).toBe('on the screen, in a computed light')
})

test('what was said: the verdict with its reasons and the lean, or the lean alone', () => {
  expect(
    lookSaid({ verdict: 'no', reasons: ['too-green'], bestOf: [], lean: 'yellow-green' }),
  ).toBe('no: too green, leans yellow-green')
  expect(lookSaid({ verdict: 'works', reasons: [], bestOf: [], lean: null })).toBe('works')
  expect(lookSaid({ verdict: null, reasons: [], bestOf: [], lean: 'no lean' })).toBe('no lean')
  const bestOf = ['fawn', 'dun', 'whey']
  expect(lookSaid({ verdict: null, reasons: [], bestOf, lean: null })).toBe('best of 3')
})
