import type { Look } from '../record/look'
import { look, SCREEN } from '../record/look.fixture'
import type { Verdict } from '../record/verdict'
import { closestSoFar, tonesOut, whatCame } from './what-stands'

const of = (
  candidateId: string,
  verdict: Verdict,
  given: Parameters<typeof look>[1] = {},
): Look => {
  const one = look(verdict, given)
  return { ...one, candidate: { ...one.candidate, candidateId } }
}

test('the closest is the best that is no no; a screen and what was taken back come no closer', () => {
  const closest = (...looks: Look[]) => closestSoFar(['fawn', 'dun', 'whey'], looks)
  expect(closest(of('fawn', 'no'), of('dun', 'unsure'), of('whey', 'works-lighter'))).toEqual({
    candidateId: 'whey',
    verdict: 'works-lighter',
  })
  expect(closest(of('fawn', 'unsure'), of('dun', 'unsure'))?.candidateId).toBe('fawn')
  expect(closest(of('fawn', 'no'), of('dun', 'works', { seen: SCREEN }))).toBeNull()
  expect(closest(of('dun', 'works', { retracted: true }))).toBeNull()
  // In a round on the screen the screen speaks, but not against paint.
  const onScreen = (...looks: Look[]) => closestSoFar(['fawn', 'dun'], looks, true)?.candidateId
  expect(onScreen(of('fawn', 'no'), of('dun', 'works', { seen: SCREEN }))).toBe('dun')
  expect(onScreen(of('dun', 'no'), of('dun', 'works', { seen: SCREEN }))).toBeUndefined()
  // Works beside one thing and not beside another: not close.
  expect(closest(of('fawn', 'works'), of('fawn', 'no', { beside: 'floor' }))).toBeNull()
})

test('a finish rules a tone out where every one of two or more of that lean failed beside it', () => {
  const pink = { lean: 'pink', strong: false } as const
  const green = { lean: 'green', strong: false } as const
  const candidates = [
    { id: 'fawn', lean: pink },
    { id: 'dun', lean: pink },
    { id: 'whey', lean: green },
    { id: 'chalk', lean: null },
  ]
  const out = (...looks: Look[]) => tonesOut(['stone', 'floor'], candidates, looks)
  const both = [of('fawn', 'no'), of('dun', 'no')]
  expect(out(...both, of('whey', 'no'), of('chalk', 'no'))).toEqual([
    { keeperId: 'stone', lean: 'pink leans', candidates: 2 },
  ])
  // One is a matter of the paint, and one that works is one that works.
  expect(out(of('fawn', 'no'))).toEqual([])
  expect(out(of('fawn', 'no'), of('dun', 'works'))).toEqual([])
  // Beside two different finishes it is neither's.
  expect(out(of('fawn', 'no'), of('dun', 'no', { beside: 'floor' }))).toEqual([])
})

test('what came of a round is said by verdict, the best first, by name while they are few', () => {
  const named = new Map(['fawn', 'dun', 'whey', 'oat', 'ash'].map((id) => [id, `${id} at 75 %`]))
  expect(
    whatCame(named, [
      ...[of('fawn', 'works'), of('dun', 'works'), of('dun', 'no', { beside: 'floor' })],
      ...[of('whey', 'works-lighter'), of('oat', 'no')],
    ]),
  ).toBe('Works: fawn at 75 %. Works lighter: whey at 75 %. No: dun at 75 % and oat at 75 %.')
  const noes = [...named.keys()].map((id) => of(id, 'no'))
  expect(whatCame(named, noes)).toBe('No: 5.')
  expect(whatCame(named, [of('fawn', 'works', { seen: SCREEN })])).toBe('')
  expect(whatCame(named, [of('fawn', 'works', { seen: SCREEN })], true)).toBe(
    'Works: fawn at 75 %.',
  )
})
