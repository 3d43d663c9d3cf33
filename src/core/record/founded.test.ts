import { cellSays } from './cell'
import { foundedOn } from './founded'
import type { Look } from './look'
import { BOARD, CHIP, FULL_SWATCH, LAMPS, look, OLD, SCREEN } from './look.fixture'

const WALL = { as: 'sample', held: 'wall', strengthPercent: 75 } as const

test.each<[string, Look[], string, number]>([
  ['nothing', [], '', 0],
  ['a screen is nothing', [look('works', { seen: SCREEN })], '', 0],
  ['a chip by day', [look('works', { seen: CHIP })], 'chip by day', 1],
  [
    'a chip in both lights is still a chip',
    [look('works', { seen: CHIP }), look('works', { seen: CHIP, ...LAMPS })],
    'chip by day and under lamps',
    1,
  ],
  ['a large swatch', [look('works', { seen: FULL_SWATCH })], 'large swatch by day', 2],
  ['a board under lamps alone', [look('works', LAMPS)], 'board under lamps', 2],
  ['a board in both', [look('works'), look('works', LAMPS)], 'board by day and under lamps', 3],
  [
    'lamps lit by day are lamps',
    [look('works'), look('works', { lampsOn: true, minute: 960 })],
    'board by day and under lamps',
    3,
  ],
  [
    'the wall by day, a chip under lamps',
    [look('works', { seen: WALL }), look('works', { seen: CHIP, ...LAMPS })],
    'wall by day, chip under lamps',
    2,
  ],
  [
    'the largest of a light speaks',
    [look('works', { beside: 'floor', seen: CHIP }), look('works', { seen: BOARD })],
    'board by day',
    2,
  ],
  ['records of before', [look('works', { seen: OLD })], 'not noted how, by day', 1],
])('%s', (_, looks, words, notches) => {
  expect(foundedOn(cellSays(looks).counted)).toEqual({ words, notches })
})
