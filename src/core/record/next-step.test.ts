import { nextStep, type RoomSoFar } from './next-step'

const HALL: RoomSoFar = {
  ...{ id: 'hall', name: 'Hall', hasLight: true, keepers: 2, candidates: 3, works: true },
  pairs: { seen: 6, of: 6 },
  boards: { toPaint: 0, toLookAt: 0 },
  sweepPast: null,
  open: ['walls'],
  ruled: 0,
}
const next = (change: Partial<RoomSoFar>): readonly [string, string] => {
  const { where, words } = nextStep([{ ...HALL, ...change }], 'hall')!
  return [where, words]
}

test.each<[string, Partial<RoomSoFar>, string, string]>([
  ['light comes before all', { hasLight: false, keepers: 0 }, 'light', 'set up the light'],
  ['then what stays', { keepers: 0, candidates: 0, open: [] }, 'keepers', 'enter what stays'],
  ['then a colour', { candidates: 0, open: [], works: false }, 'shortlist', 'propose a colour'],
  ['then the eye', { pairs: { seen: 5, of: 6 } }, 'bench', 'look at 1 pair'],
  ['many pairs', { pairs: { seen: 0, of: 6 }, works: false }, 'bench', 'look at 6 pairs'],
  [
    'a finish to sweep past',
    { pairs: { seen: 0, of: 6 }, sweepPast: 'Oak floor' },
    'bench',
    'sweep past Oak floor',
  ],
  ['all is swept', { sweepPast: 'Oak floor', open: [], ruled: 1 }, 'sheets', 'send the sheets'],
  ['a board to paint', { boards: { toPaint: 2, toLookAt: 1 } }, 'boards', 'paint 2 boards'],
  ['a board to look at', { boards: { toPaint: 0, toLookAt: 1 } }, 'boards', 'look at 1 board'],
  ['nothing of it works', { works: false }, 'shortlist', 'propose another colour'],
  ['something works', { open: ['walls', 'trim'] }, 'ruling', 'rule on walls'],
  ['all ruled, all sent', { open: [], ruled: 1 }, 'sheets', 'send the sheets'],
  [
    'what is ruled needs no more looks',
    { open: [], ruled: 1, pairs: { seen: 1, of: 6 } },
    'sheets',
    'send the sheets',
  ],
])('%s', (_, change, where, words) => expect(next(change)).toEqual([where, words]))

test('the room at hand comes first, then the ones after it', () => {
  const done = { ...HALL, open: [], ruled: 1 }
  const study = { ...HALL, id: 'study', name: 'Study', keepers: 0 }
  const snug = { ...HALL, id: 'snug', name: 'Snug', hasLight: false }
  expect(nextStep([snug, done, study], 'hall')).toMatchObject({
    room: { id: 'study', name: 'Study' },
    words: 'enter what stays',
  })
  expect(nextStep([snug, done], 'hall')!.words).toBe('set up the light')
  expect(nextStep([snug, done, study], 'study')!.words).toBe('enter what stays')
  expect(nextStep([done, study], undefined)!.room).toMatchObject({ id: 'study' })
  expect(nextStep([], undefined)).toBeNull()
})
