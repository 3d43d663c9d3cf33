import { cellVerdict, type SeenLook } from './cell-verdict'

const look = (
  keeperId: string,
  verdict: SeenLook['verdict'],
  lightSource: SeenLook['lightSource'] = 'room',
  lightMinute = 720,
): SeenLook => ({
  keeperId,
  verdict,
  lightSource,
  lightMinute,
})

test('nothing seen, no verdict', () => expect(cellVerdict([])).toBeNull())

test('the worst keeper names the room', () => {
  expect(
    cellVerdict([look('stone', 'works'), look('floor', 'no'), look('trim', 'unsure')]),
  ).toEqual({
    verdict: 'no',
    notches: 1,
    keeperId: 'floor',
  })
})

test('a later look at the same thing in the same light replaces the earlier', () => {
  expect(cellVerdict([look('stone', 'no'), look('stone', 'works')])).toEqual({
    verdict: 'works',
    notches: 1,
    keeperId: 'stone',
  })
})

test('a look in another light does not replace it, and founds it better', () => {
  const looks = [
    look('stone', 'no', 'room', 1050),
    look('stone', 'works'),
    look('stone', 'works', 'lamps'),
  ]
  expect(cellVerdict(looks)).toMatchObject({ verdict: 'no', notches: 3 })
})

test('lighter for one keeper and stronger for another is unsure', () => {
  expect(cellVerdict([look('a', 'works-lighter'), look('b', 'works-stronger')])?.verdict).toBe(
    'unsure',
  )
  expect(cellVerdict([look('a', 'works-lighter'), look('b', 'works')])?.verdict).toBe(
    'works-lighter',
  )
})
