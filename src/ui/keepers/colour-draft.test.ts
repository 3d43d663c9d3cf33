import { reflectanceOfReading } from '@/core/paint/reading'
import { wholeColour } from '@/core/paint/typed-reading'
import {
  emptyDraft,
  surfaceOf,
  withAnother,
  withBrought,
  withoutOne,
  type ColourDraft,
} from './colour-draft'

const LAB = { l: '66', a: '9', b: '14' }
const shares = (drafts: readonly ColourDraft[]) => drafts.map(({ sharePercent }) => sharePercent)

test('what a device brings fills the first empty colour, then further ones, and no more than there may be', () => {
  const one = withBrought([emptyDraft(0, 100)], LAB, 5)
  expect(one).toHaveLength(1)
  expect(one[0]).toMatchObject({ ...LAB, part: 'ground', sharePercent: '100' })
  const two = withBrought(one, { ...LAB, part: 'cloth' }, 5)
  expect(two.map(({ part }) => part)).toEqual(['ground', 'cloth'])
  expect(shares(two)).toEqual(['90', '10'])
  expect(withBrought(two, LAB, 2)).toBe(two)
})

test('shares never exceed the whole as colours are added', () => {
  let drafts: readonly ColourDraft[] = [emptyDraft(0, 100)]
  for (let i = 0; i < 4; i++) drafts = withAnother(drafts)
  expect(shares(drafts)).toEqual(['60', '10', '10', '10', '10'])
  expect(shares(withAnother([{ ...emptyDraft(0, 100), sharePercent: '70' }]))).toEqual(['70', '10'])
})

test('what is left out gives its share to the largest that stays', () => {
  const drafts = [emptyDraft(0, 60), emptyDraft(1, 30), emptyDraft(2, 10)]
  expect(shares(withoutOne(drafts, 1))).toEqual(['90', '10'])
  expect(shares(withoutOne(drafts, 0))).toEqual(['90', '10'])
  // What was typed is not a number yet.
  expect(
    shares(withoutOne([{ ...emptyDraft(0, 1), sharePercent: 'x' }, emptyDraft(1, 100)], 0)),
  ).toEqual(['100'])
})

test('a draft has a surface once it is whole, and is as firm as how it was read', () => {
  const draft = emptyDraft(0, 100)
  expect(surfaceOf(draft)).toBeNull()
  expect(surfaceOf({ ...draft, ...LAB, by: 'lab' })!.source).toBe('reader')
  expect(surfaceOf({ ...draft, ...LAB })!.source).toBe('eye')
  expect(surfaceOf({ ...draft, ...LAB, by: 'photo' })!.source).toBe('photo')
  expect(surfaceOf({ ...draft, by: 'hex', hex: 'b99a82' })!.source).toBe('screen')
  const spectrum = '0.4 '.repeat(31)
  expect(surfaceOf({ ...draft, by: 'spectral', spectrum, scale: 'share' })!.source).toBe('spectral')
  expect(
    surfaceOf({ ...draft, by: 'spectral', spectrum, scale: 'share', source: 'uncalibrated' })!
      .source,
  ).toBe('uncalibrated')
  const deck = {
    id: 'x',
    words: 'X',
    reflectance: reflectanceOfReading({ kind: 'lab', lab: [70, 2, 9] }),
  }
  expect(surfaceOf({ ...draft, by: 'deck' })).toBeNull()
  expect(surfaceOf({ ...draft, by: 'deck', deck })).toEqual({
    reflectance: deck.reflectance,
    source: 'eye',
  })
  // A colour that no surface has is no surface.
  expect(surfaceOf({ ...draft, l: '99', a: '60', b: '-60' })).toBeNull()
})

test.each([
  ['66 9 14', { l: '66', a: '9', b: '14' }],
  ['66.5\t-9,25\t−14', { l: '66.5', a: '-9,25', b: '−14' }],
  ['66, 9, 14', { l: '66', a: '9', b: '14' }],
  ['66; 9; 14', { l: '66', a: '9', b: '14' }],
  [' #A08060 ', { by: 'hex', hex: '#a08060' }],
])('%j is a whole colour', (text, colour) => expect(wholeColour(text)).toMatchObject(colour))

test.each(['66', '66,5', '66 9', '66 9 14 2', 'a b c', '#a0806', '66 9 x'])(
  '%j is no more than is typed of one field',
  (text) => expect(wholeColour(text)).toBeNull(),
)
