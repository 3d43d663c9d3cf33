import { CHIP, FULL_SWATCH, look, SCREEN, LAMPS } from '../record/look.fixture'
import type { Look } from '../record/look'
import { boardGaps, boardSeen, gapsSaid, type BoardRoom, wasClosedBefore } from './board-gaps'
import type { BoardHour } from './placings'

const byDay = { source: 'room', sky: 'clear', lampsOn: false } as const
const HOURS: readonly BoardHour[] = [
  { name: 'coolest', choice: { ...byDay, minute: 600 } },
  { name: 'warmest', choice: { ...byDay, minute: 1080 } },
  { name: 'dull day', choice: { ...byDay, sky: 'overcast', minute: 720 } },
  { name: 'after dark', choice: { ...byDay, source: 'lamps', minute: 1200, lampsOn: true } },
]
const ROOM: BoardRoom = {
  ...{ keeperIds: ['stone', 'rug'], fixedIds: ['stone'] },
  ...{ walls: ['north', 'east'], mainWall: 'east', hours: HOURS },
}

const onWall = (spot: Look['light']['spot'], given = {}): Look => {
  const plain = look('works', { spot, ...given })
  return { ...plain, against: { kind: 'wall', plane: 'north' } }
}

test('a board beside the stone at ten closes the stone by day, that light and its sheen, and nothing else', () => {
  const gaps = boardGaps(ROOM, ['matt'], [look('no', { minute: 640 })])
  expect(gaps).toEqual({
    anyLight: { keeperIds: ['rug'], walls: [] },
    byDay: { keeperIds: [], walls: ['north', 'east'] },
    underLamps: { keeperIds: ['stone'], walls: ['east'] },
    hours: ['warmest', 'dull day', 'after dark'],
    sheens: [],
  })
  expect(gapsSaid(gaps, (id) => id)).toBe(
    'beside rug; by day: on the north wall and on the east wall; under the lamps: beside stone and on the east wall; ' +
      'in its warmest light; on a dull day; after dark',
  )
})

test('with its walls seen after dark only, each wall is still asked for by day', () => {
  const dark = (['north', 'east'] as const).map((plane) => ({
    ...look('works', LAMPS),
    against: { kind: 'wall', plane } as const,
  }))
  const stone = [look('works', { minute: 600 }), look('works', LAMPS)]
  const others = [
    look('works', { beside: 'rug', minute: 1080 }),
    look('works', { sky: 'overcast', minute: 720 }),
  ]
  const looks = [...dark, ...stone, ...others]
  // As plans were before, that was all.
  expect(wasClosedBefore(ROOM, ['matt'], looks)).toBe(true)
  expect(boardGaps(ROOM, ['matt'], looks)).toMatchObject({
    byDay: { keeperIds: [], walls: ['north', 'east'] },
    underLamps: { keeperIds: [], walls: [] },
    hours: [],
  })
})

test('two skies by day are two, whichever; without a window walls are asked for in any light', () => {
  const hoursOf = (...looks: Look[]) => boardGaps(ROOM, [], looks).hours
  expect(hoursOf(look('works'), look('works', { sky: 'partly' }))).not.toContain('dull day')
  expect(hoursOf(look('works'), look('works', { sky: 'clear', minute: 600 }))).toContain('dull day')
  const cellar = { ...ROOM, hours: HOURS.filter(({ name }) => name === 'after dark') }
  expect(boardGaps(cellar, [], [])).toMatchObject({
    anyLight: { keeperIds: ['rug'], walls: ['north', 'east'] },
    byDay: { keeperIds: [], walls: [] },
    underLamps: { keeperIds: ['stone'], walls: ['east'] },
  })
})

test.each([
  ['a chip', look('works', { seen: CHIP })],
  ['a swatch of another strength', look('works', { seen: FULL_SWATCH })],
  [
    'a board of another strength',
    look('works', { seen: { as: 'sample', held: 'board', strengthPercent: 100 } }),
  ],
  ['the screen', look('works', { seen: SCREEN })],
  ['what was taken back', look('works', { retracted: true })],
  ['a lean alone', { ...look('works'), verdict: null, lean: 'pink' as const }],
])('%s closes nothing', (_, each) => {
  expect(boardGaps(ROOM, ['matt'], [each])).toEqual(boardGaps(ROOM, ['matt'], []))
})

test('what a client said of a board counts as seen', () => {
  const client: Look = {
    ...look('works', LAMPS),
    verdict: null,
    client: { says: 'fine', words: '' },
  }
  expect(boardGaps(ROOM, ['matt'], [client])).toMatchObject({
    underLamps: { keeperIds: [], walls: ['east'] },
    hours: ['coolest', 'warmest', 'dull day'],
  })
})

test('a look on a wall closes the wall, also one that was held at a place on it', () => {
  expect(boardSeen(onWall('walls'), HOURS)).toMatchObject({ wall: 'north', keeperId: null })
  expect(boardSeen(look('works', { spot: 'east-window' }), HOURS)).toMatchObject({
    wall: 'east',
    keeperId: 'stone',
  })
  expect(boardSeen(look('works', { spot: 'tilted-window' }), HOURS)).toMatchObject({ wall: null })
})

test('a light is the one whose hour is within an hour, under its own sky', () => {
  const hourAt = (given: Parameters<typeof look>[1]) =>
    boardSeen(look('works', given), HOURS)?.hour ?? null
  expect(hourAt({ minute: 659 })).toBe('coolest')
  expect(hourAt({ minute: 700 })).toBeNull()
  expect(hourAt({ minute: 1030, sky: 'partly' })).toBe('warmest')
  expect(hourAt({ minute: 900, sky: 'overcast' })).toBe('dull day')
  expect(hourAt({ minute: 600, lampsOn: true })).toBeNull()
  expect(hourAt(LAMPS)).toBe('after dark')
})

test('a sheen that is wanted is open until paint of that sheen was seen', () => {
  const matt = [look('works')]
  expect(boardGaps(ROOM, ['satin', 'matt'], matt).sheens).toEqual(['satin'])
  const satin = {
    ...look('works'),
    candidate: { ...look('works').candidate, sheen: 'satin' as const },
  }
  expect(boardGaps(ROOM, ['satin', 'matt'], [...matt, satin]).sheens).toEqual([])
})
