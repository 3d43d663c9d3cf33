import { PLAIN_LAMP, PLAIN_WINDOW, type LitRoom } from '../light/room'
import { differenceWords, lampPlaces, litWith, NOTHING_ELSE } from './what-if'

const ROOM: LitRoom = {
  ...{ northSouthMm: 5000, eastWestMm: 4000, heightMm: 2600 },
  windows: [{ ...PLAIN_WINDOW, bearingDeg: 0 }],
  lamps: [PLAIN_LAMP],
}

test('nothing else is the room as it is; lamps and curtains are changed, and nothing besides', () => {
  expect(litWith(ROOM, NOTHING_ELSE)).toEqual(ROOM)
  const lamps = { bulb: 'led-90', cctK: 3000, lumens: 400, place: 'table', count: 2 } as const
  const other = litWith(ROOM, { ...NOTHING_ELSE, lamps, curtain: 'sheer' })
  expect(other.lamps.map(({ cctK, lumens, evening }) => [cctK, lumens, evening])).toEqual([
    [3000, 400, true],
    [3000, 400, true],
  ])
  expect(other.windows).toEqual([{ ...ROOM.windows[0], curtain: 'sheer' }])
  expect(ROOM.lamps).toEqual([PLAIN_LAMP])
})

test('what comes of it is said for light, day and colour, and only where an eye would tell', () => {
  const now = { lux: 24, swing: 9.2, words: 'dark; no undertone on the card' }
  const then = { lux: 1210, swing: 5.1, words: 'light; yellow undertone' }
  expect(differenceWords(now, then, 'Lornness at 75 %')).toBe(
    'The walls have 1,210 lux instead of 24 lux. Over the day the colour moves less: by 5 steps of the eye instead of 9. ' +
      'Lornness at 75 % is light; yellow undertone, instead of dark; no undertone on the card.',
  )
  expect(differenceWords(now, { ...now, lux: 25, swing: 9.8 }, 'Lornness')).toBe(
    'The walls stay at about 24 lux. Over the day the colour moves as much as before. Lornness stays dark; no undertone on the card.',
  )
})

test('table lamps go into the dark corners first, what hangs in a row along the room, none on another', () => {
  const lamps = { bulb: 'led-90', cctK: 2700, lumens: 800, count: 6 } as const
  const onTables = lampPlaces(ROOM, { ...lamps, place: 'table' })
  // The window faces north, so the dark end is the south.
  expect(onTables.slice(0, 2).every(([, north]) => north < 0)).toBe(true)
  expect(onTables[0]![0]).toBe(-onTables[1]![0])
  const hanging = lampPlaces(ROOM, { ...lamps, place: 'pendant' })
  expect(hanging.map(([east]) => east)).toEqual([0, 0, 0, 0, 0, 0])
  expect(hanging.map(([, north]) => north)).toEqual(
    [...hanging.map(([, north]) => north)].sort((p, q) => p - q),
  )
  for (const places of [onTables, hanging]) {
    expect(new Set(places.map(String)).size).toBe(6)
    for (const [east, north, up] of places) {
      expect(Math.abs(east)).toBeLessThan(2000)
      expect(Math.abs(north)).toBeLessThan(2500)
      expect(up).toBeLessThan(2600)
    }
  }
})
