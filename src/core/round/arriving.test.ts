import type { FinishLook } from '../record/finish-look'
import { arrivingPairs, lookAtPair } from './arriving'

const keeper = (id: string, state: string) => ({ id, state })
const names = (...keepers: ReturnType<typeof keeper>[]) =>
  arrivingPairs(keepers).map(({ arrivingId, besideId }) => `${arrivingId} beside ${besideId}`)

test('what arrives is held to what is there, the dearest of that first, and to what else arrives, once', () => {
  expect(
    names(
      keeper('floor', 'staying'),
      keeper('trim', 'paintable'),
      keeper('sofa', 'arriving'),
      keeper('rug', 'arriving'),
    ),
  ).toEqual([
    'sofa beside floor',
    'rug beside floor',
    'sofa beside trim',
    'rug beside trim',
    'rug beside sofa',
  ])
  expect(names(keeper('floor', 'staying'), keeper('stone', 'staying'))).toEqual([])
})

test('of a pair the latest look speaks, paint and cloth before the screen', () => {
  const look = (id: string, seenAs: 'sample' | 'screen', besideId = 'floor') =>
    ({ id, arrivingId: 'sofa', besideId, seenAs }) as FinishLook
  const pair = { arrivingId: 'sofa', besideId: 'floor' }
  expect(lookAtPair([], pair)).toBeNull()
  expect(lookAtPair([look('1', 'screen'), look('2', 'screen')], pair)?.id).toBe('2')
  expect(lookAtPair([look('1', 'sample'), look('2', 'screen')], pair)?.id).toBe('1')
  expect(lookAtPair([look('1', 'sample', 'trim')], pair)).toBeNull()
})
