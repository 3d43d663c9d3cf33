import type { Look } from '../record/look'
import { boardsLeft } from './boards-left'

const board = (candidateId: string, roomId: string | null = null, begun: unknown = {}) => ({
  ...{ candidateId, roomId, begun },
})
const look = (candidateId: string, roomId: string, seen: Look['seen']) => ({
  ...{ roomId, seen },
  candidate: { candidateId } as Look['candidate'],
})
const held = (as: 'board' | 'wall' | 'chip'): Look['seen'] => ({
  ...{ as: 'sample', held: as, strengthPercent: 75 },
})
const left = (
  boards: Parameters<typeof boardsLeft>[2],
  looks: Parameters<typeof boardsLeft>[3] = [],
) => boardsLeft('hall', ['one', 'two'], boards, looks)

test('what goes to board is painted first, then looked at in its room, on a board or a wall', () => {
  expect(left([])).toEqual({ toPaint: 2, toLookAt: 0 })
  expect(left([board('one'), board('other')])).toEqual({ toPaint: 1, toLookAt: 1 })
  expect(left([board('one')], [look('one', 'hall', held('board'))]).toLookAt).toBe(0)
  expect(left([board('one')], [look('one', 'hall', held('wall'))]).toLookAt).toBe(0)
})

test('a chip, a screen, another room’s look or strip, and a board that nobody began do not count', () => {
  const seen = [
    look('one', 'hall', held('chip')),
    look('one', 'hall', { as: 'screen' }),
    look('one', 'snug', held('board')),
    look('two', 'hall', held('board')),
  ]
  expect(left([board('one')], seen)).toEqual({ toPaint: 1, toLookAt: 1 })
  expect(left([board('one', 'snug'), board('two', null, null)]).toPaint).toBe(2)
  expect(left([board('one', 'hall')]).toPaint).toBe(1)
})
