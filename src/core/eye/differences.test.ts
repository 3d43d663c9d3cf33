import { differencesOf, LEAST_CLAIMED, type EyeLook } from './differences'

let n = 0
const seen = (change: Partial<EyeLook> = {}): EyeLook => ({
  ...{ id: `look ${++n}`, visitId: 'v', roomId: 'r', candidateId: 'c', keeperId: 'k' },
  ...{
    words: '',
    on: '2026-06-01',
    madeAt: `2026-06-01T10:${String(n % 60).padStart(2, '0')}:00Z`,
  },
  ...{ verdict: 'works', chance: 0.9, modelSeenBefore: false, lean: 'pink', finish: 'stone' },
  ...{ light: 'a clear day', medium: 'chip', clientSays: null, isPicked: null },
  ...change,
})
const times = (count: number, change: Partial<EyeLook>): EyeLook[] =>
  Array.from({ length: count }, () => seen(change))

test('counted are looks where both spoke out and the reading was unseen; the rest is told apart', () => {
  const { all, seenBefore } = differencesOf([
    seen(),
    seen({ verdict: 'no' }),
    seen({ chance: 0.1 }),
    seen({ verdict: 'works-lighter', chance: 0.1 }),
    ...[seen({ verdict: 'unsure' }), seen({ chance: 0.5 }), seen({ chance: null })],
    ...[seen({ modelSeenBefore: true }), seen({ modelSeenBefore: null })],
  ])
  expect(all).toMatchObject({ of: 4, agreed: 2 })
  expect([all.eyeOnly.length, all.modelOnly.length, seenBefore]).toEqual([1, 1, 2])
})

test('nothing is claimed from under twenty, on the whole or of a lean', () => {
  const looks = [...times(LEAST_CLAIMED - 1, { lean: 'pink' }), ...times(3, { lean: 'green' })]
  const { all, facets } = differencesOf(looks)
  expect(all.known).toMatchObject({ share: 1 })
  expect(facets.lean.map(({ value, known }) => [value, known])).toEqual([
    ['pink', null],
    ['green', null],
  ])
  const one = differencesOf([...looks, seen({ lean: 'pink', verdict: 'no' })]).facets.lean[0]!
  expect(one).toMatchObject({ value: 'pink', of: 20, agreed: 19 })
  // Wilson's interval of 19 of 20: 0.764 to 0.991 (any statistics package).
  expect(one.known!.low).toBeCloseTo(0.764, 3)
  expect(one.known!.high).toBeCloseTo(0.991, 3)
})

test('the client followed whoever said what they took: by their own words first, else by the ruling', () => {
  const { client } = differencesOf([
    seen({ verdict: 'works', chance: 0.1, clientSays: 'lit up', isPicked: false, id: 'eye, said' }),
    seen({ verdict: 'no', chance: 0.9, clientSays: 'fine', id: 'model, said' }),
    seen({ verdict: 'no', chance: 0.9, isPicked: false, id: 'eye, ruled' }),
    seen({
      verdict: 'works',
      chance: 0.1,
      clientSays: 'not sure',
      isPicked: false,
      id: 'model, ruled',
    }),
    seen({ verdict: 'works', chance: 0.1 }),
    seen({ clientSays: 'no' }),
  ])
  expect(client.eye.map(({ id }) => id)).toEqual(['eye, said', 'eye, ruled'])
  expect(client.model.map(({ id }) => id)).toEqual(['model, said', 'model, ruled'])
})

test('the last later look at a board of the same pair settles it; earlier ones, other pairs and unsure ones do not', () => {
  const chip = seen({ verdict: 'works', chance: 0.1, madeAt: '2026-06-02T10:00:00Z', id: 'chip' })
  const board = (madeAt: string, change: Partial<EyeLook> = {}): EyeLook =>
    seen({ medium: 'board', madeAt, verdict: 'no', chance: 0.1, modelSeenBefore: true, ...change })
  const sides = (looks: readonly EyeLook[]) => {
    const { boards } = differencesOf([chip, ...looks])
    return [boards.eye.length, boards.model.length]
  }
  expect(sides([board('2026-06-01T10:00:00Z')])).toEqual([0, 0])
  expect(sides([board('2026-06-03T10:00:00Z', { keeperId: 'other' })])).toEqual([0, 0])
  expect(sides([board('2026-06-03T10:00:00Z', { verdict: 'unsure' })])).toEqual([0, 0])
  expect(sides([board('2026-06-03T10:00:00Z')])).toEqual([0, 1])
  expect(
    sides([board('2026-06-03T10:00:00Z'), board('2026-06-09T10:00:00Z', { verdict: 'works' })]),
  ).toEqual([1, 0])
})
