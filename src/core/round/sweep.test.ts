import type { Look } from '../record/look'
import { look as lookOf, LAMPS, SCREEN } from '../record/look.fixture'
import type { RoundKeeper, RoundManner } from './round'
import { nextToSweep, sweepOf, type Sweep } from './sweep'

const KEEPERS: readonly RoundKeeper[] = [
  { id: 'floor', settles: true },
  { id: 'sofa', settles: false },
  { id: 'stone', settles: true },
]
const IN_HAND = ['a', 'b', 'c', 'd', 'e', 'f']

const no = (
  beside: string,
  candidateId: string,
  given: Parameters<typeof lookOf>[1] = {},
): Look => ({
  ...lookOf('no', { beside, ...given }),
  candidate: { candidateId, strengthPercent: 75, sheen: 'matt' },
})
const swept = (keeperId: string, stayed: string, given: Partial<Sweep> = {}): Sweep => ({
  id: keeperId,
  roomId: 'kitchen',
  keeperId,
  seenAs: 'sample',
  light: lookOf('no').light,
  stayed: [...stayed],
  by: 'Ines Tarrow',
  madeAt: '2026-06-21T12:00:00Z',
  ...given,
})
/** "floor: abc-de, f" is a finish that a to e are held to, d and e of them out, and f left to look at. */
const told = (
  looks: readonly Look[],
  sweeps: readonly Sweep[] = [],
  manner: RoundManner = 'samples by day',
  leanOut?: ReadonlySet<string>,
) =>
  sweepOf(KEEPERS, IN_HAND, looks, sweeps, manner, leanOut).map(
    ({ keeperId, held, out, left }) =>
      `${keeperId}: ${held.join('')} out ${[...out].join('')} left ${left.join('')}`,
  )

test('all past the first finish; what is out there does not go on to the next', () => {
  expect(told([no('floor', 'b'), no('floor', 'e'), no('sofa', 'c')])).toEqual([
    'floor: abcdef out be left acdf',
    'sofa: acdf out c left adf',
    'stone: adf out  left adf',
  ])
})

test('what a fixed finish ruled out later in the order is held to none before it; what a furnishing did, is', () => {
  expect(told([no('stone', 'a'), no('sofa', 'b')])).toEqual([
    'floor: bcdef out  left bcdef',
    'sofa: bcdef out b left cdef',
    'stone: acdef out a left cdef',
  ])
})

test('a finish is done once each that was held to it is out, was ruled on in a pair, or stayed', () => {
  const works = { ...no('floor', 'f'), verdict: 'works' as const }
  const looks = [no('floor', 'a'), works]
  expect(told(looks, [swept('floor', 'bcd')])[0]).toBe('floor: abcdef out a left e')
  expect(told(looks, [swept('floor', 'bcd'), swept('floor', 'e')])[0]).toBe(
    'floor: abcdef out a left ',
  )
  // One that comes later is left to look at.
  expect(told([], [swept('floor', 'abcde')])[0]).toBe('floor: abcdef out  left f')
  // Brought back after the sweep it neither stayed nor is out.
  expect(told([no('floor', 'a', { retracted: true })], [swept('floor', 'bcdef')])[0]).toBe(
    'floor: abcdef out  left a',
  )
})

test('each manner sweeps for itself; on the screen whatever was seen counts', () => {
  const onScreen = swept('floor', 'abcdef', { seenAs: 'screen' })
  const byDay = swept('floor', 'abcdef')
  const underLamps = swept('floor', 'abcdef', {
    light: { ...lookOf('no', LAMPS).light },
  })
  const isDone = (manner: RoundManner) =>
    [onScreen, byDay, underLamps].map((sweep) => told([], [sweep], manner)[0]!.endsWith('left '))
  expect(isDone('screen')).toEqual([true, true, true])
  expect(isDone('samples by day')).toEqual([false, true, false])
  expect(isDone('samples under lamps')).toEqual([false, false, true])
  // Out on the screen is in hand again once samples are.
  const screenNo = [no('floor', 'a', { seen: SCREEN })]
  expect(told(screenNo, [], 'screen')[0]).toBe('floor: abcdef out a left bcdef')
  expect(told(screenNo)[0]).toBe('floor: abcdef out  left abcdef')
})

test('out on the screen is out of the sweep there, also where a sample worked: it goes no further, and is not settled', () => {
  const works = { ...no('floor', 'a'), verdict: 'works' as const }
  const looks = [works, no('floor', 'a', { seen: SCREEN })]
  expect(told(looks, [], 'screen').slice(0, 2)).toEqual([
    'floor: abcdef out a left bcdef',
    'sofa: bcdef out  left bcdef',
  ])
  expect(told(looks)[0]).toBe('floor: abcdef out  left bcdef')
})

test('a lean that is out of the room is not held up', () => {
  expect(told([], [], 'screen', new Set(['c', 'd']))[2]).toBe('stone: abef out  left abef')
})

test('next comes the first finish that three or more are left to sweep at; two are a pair', () => {
  const next = (looks: readonly Look[], sweeps: readonly Sweep[] = []) =>
    nextToSweep(sweepOf(KEEPERS, IN_HAND, looks, sweeps, 'samples by day'))
  expect(next([])).toBe('floor')
  expect(next([], [swept('floor', 'abcdef')])).toBe('sofa')
  expect(next([no('floor', 'a'), no('floor', 'b'), no('floor', 'c')])).toBe('floor')
  expect(next(['a', 'b', 'c', 'd'].map((id) => no('floor', id)))).toBeNull()
})
