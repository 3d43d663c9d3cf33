import { eyeOf, eyeOfTwo, eyeSaidIn, eyeWords, refusalOf, refusedBeside } from './eye-said'
import { look, SCREEN } from './look.fixture'

const FAWN = { deckColourId: 'deck-fawn', strengthPercent: 75 }
const paintOf = (id: string) => (id === 'fawn' ? FAWN : undefined)

test('what was seen beside a thing is said of that pair, the worst first, in words', () => {
  const said = eyeSaidIn(
    [
      look('works'),
      look('no', { beside: 'floor', reasons: ['too-green'] }),
      look('works', { beside: 'floor', minute: 900 }),
    ],
    paintOf,
  )
  expect(eyeOf(said, FAWN, 'stone')?.verdict).toBe('works')
  expect(eyeWords(eyeOf(said, FAWN, 'floor')!)).toBe('your eye: no: too green')
  expect(eyeOf(said, FAWN, 'rug')).toBeNull()
  expect(refusalOf(said, FAWN)?.keeperId).toBe('floor')
})

test('another strength is another paint, and the screen and what is of no candidate say nothing', () => {
  const said = eyeSaidIn(
    [
      look('no'),
      look('no', { beside: 'floor', seen: SCREEN }),
      {
        ...look('no', { beside: 'rug' }),
        candidate: { ...look('no').candidate, candidateId: 'x' },
      },
    ],
    paintOf,
  )
  expect(said).toHaveLength(1)
  expect(refusalOf(said, { ...FAWN, strengthPercent: 100 })).toBeNull()
})

test('a no that was taken back, or that a later look in its light replaced, refuses nothing', () => {
  const back = eyeSaidIn([look('no', { retracted: true })], paintOf)
  expect(refusalOf(back, FAWN)).toBeNull()
  const better = eyeSaidIn([look('no'), look('works')], paintOf)
  expect(refusalOf(better, FAWN)).toBeNull()
})

test('two candidates held to each other are one pair, whichever was in hand', () => {
  const held = (one: string, other: string, verdict: 'no' | 'works', minute = 720) => {
    const plain = look(verdict, { minute })
    return {
      ...plain,
      candidate: { ...plain.candidate, candidateId: one },
      against: { kind: 'candidate', candidateId: other } as const,
    }
  }
  const looks = [
    held('fawn', 'dun', 'works'),
    held('dun', 'fawn', 'no', 900),
    held('fawn', 'oat', 'works'),
  ]
  expect(eyeOfTwo(looks, 'fawn', 'dun')?.verdict).toBe('no')
  expect(eyeOfTwo(looks, 'oat', 'fawn')?.verdict).toBe('works')
  expect(eyeOfTwo(looks, 'oat', 'dun')).toBeNull()
  // Refused beside it, whichever was in hand; what works beside it is not.
  expect(refusedBeside(looks, 'dun', paintOf)).toEqual([FAWN])
  expect(refusedBeside(looks, 'oat', paintOf)).toEqual([])
})
