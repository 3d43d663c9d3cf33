import { gapsOf, type RoomToRule } from './gaps'
import type { Look } from './look'
import { CHIP, FULL_CHIP, FULL_SWATCH, LAMPS, look, SCREEN } from './look.fixture'

const ROOM: RoomToRule = {
  hasWindow: true,
  hasSkies: true,
  hasLamps: true,
  keepers: [
    { id: 'stone', name: 'Stone', state: 'staying' },
    { id: 'floor', name: 'Oak floor', state: 'staying' },
    { id: 'sofa', name: 'Sofa', state: 'arriving' },
    { id: 'carpet', name: 'Old carpet', state: 'leaving' },
  ],
}
const ONLY_STONE: RoomToRule = { ...ROOM, keepers: ROOM.keepers.slice(0, 1) }
const RAIN = { sky: 'overcast' } as const

test.each<[string, RoomToRule, Look[], string[]]>([
  ['nothing seen', ROOM, [], ['never looked at in this room']],
  [
    'taken back is not seen',
    ROOM,
    [look('works', { retracted: true })],
    ['never looked at in this room'],
  ],
  ['a screen only', ROOM, [look('works', { seen: SCREEN })], ['seen on a screen only']],
  [
    'all of it: a board of its strength, in two weathers and under lamps',
    ONLY_STONE,
    [look('works'), look('works', { ...RAIN, date: '2026-06-22' }), look('works', LAMPS)],
    [],
  ],
  [
    'one board at noon',
    ROOM,
    [look('works')],
    ['never beside Oak floor and Sofa', 'never under lamps', 'by day only under one sky: clear'],
  ],
  [
    'a room without lamps asks for none, one without windows for no day',
    { ...ONLY_STONE, hasWindow: false },
    [look('works', LAMPS)],
    [],
  ],
  ['lamps alone in a room with a window', ONLY_STONE, [look('works', LAMPS)], ['never by day']],
  [
    'a chip of its strength',
    { ...ONLY_STONE, hasLamps: false },
    [look('works', { seen: CHIP }), look('works', { ...RAIN, seen: CHIP })],
    ['on a chip only, never on a board'],
  ],
  [
    'a full chip and a large swatch of a 75 %',
    { ...ONLY_STONE, hasLamps: false },
    [look('works', { seen: FULL_CHIP }), look('works', { ...RAIN, seen: FULL_SWATCH })],
    ['never at 75 %, only at 100 %', 'never on a board'],
  ],
  [
    'only beside what leaves',
    { ...ROOM, hasLamps: false },
    [look('works', { beside: 'carpet' }), look('works', { ...RAIN, beside: 'carpet' })],
    ['never beside Stone, Oak floor and Sofa', 'only beside what leaves: Old carpet'],
  ],
])('%s', (_, room, looks, gaps) => {
  expect(gapsOf(room, looks)).toEqual(gaps)
})
