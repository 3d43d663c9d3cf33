import { leftToDo, type RoomToDo } from './left-to-do'
import type { Look } from './look'

const room = (id: string, change: Partial<RoomToDo> = {}): RoomToDo => ({
  id,
  name: id,
  windows: 1,
  lamps: 1,
  keeperIds: ['stone'],
  candidateIds: ['fawn'],
  ...change,
})
const look = (roomId: string, lampsOn: boolean, as: 'sample' | 'screen' = 'sample') =>
  ({
    roomId,
    candidate: { candidateId: 'fawn' },
    against: { kind: 'keeper', keeperId: 'stone', part: null },
    seen: { as },
    light: { source: 'room', lampsOn },
  }) as Look

test.each<[string, RoomToDo[], Look[], string[]]>([
  ['no room', [], [], ['no room yet']],
  [
    'a room of which only the name is known',
    [room('Hall', { windows: 0, lamps: 0, keeperIds: [], candidateIds: [] })],
    [],
    [
      'no window or lamp yet in Hall',
      'nothing that stays is entered in Hall',
      'no candidate yet for Hall',
    ],
  ],
  ['nothing looked at', [room('Hall')], [], ['one colour in its room not looked at yet']],
  [
    'what was seen on a screen is not seen',
    [room('Hall')],
    [look('Hall', true, 'screen')],
    ['one colour in its room not looked at yet'],
  ],
  [
    'two rooms by day only',
    [room('Hall'), room('Study'), room('Attic', { lamps: 0 })],
    [look('Hall', false), look('Study', false), look('Attic', false)],
    ['Hall and Study were never seen under lamps'],
  ],
  [
    'more than two are counted, and what comes first in the work is said first',
    [room('A'), room('B'), room('C'), room('D', { keeperIds: [] })],
    [look('A', false), look('B', false), look('C', false)],
    [
      'nothing that stays is entered in D',
      '1 of 4 colours in their rooms not looked at yet',
      'three rooms were never seen under lamps',
    ],
  ],
  ['all seen', [room('Hall')], [look('Hall', false), look('Hall', true)], []],
])('%s', (_, rooms, looks, words) => expect(leftToDo(rooms, looks)).toEqual(words))
