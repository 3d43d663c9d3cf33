import type { Look } from '../record/look'
import { look, SCREEN } from '../record/look.fixture'
import type { Verdict } from '../record/verdict'
import { closestSoFar, tonesOut } from './what-stands'

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
