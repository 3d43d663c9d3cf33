import { EYE_FIELD_UNCERTAINTY } from '@/core/paint/eye-field'
import { reflectanceOfReading } from '@/core/paint/reading'
import { emptyDraft, labTexts, type ColourDraft } from './colour-draft'
import { readKeeper } from './read-keeper'

const ID = '00000000-0000-4000-8000-000000000001'
const HASH = ''

function form(fields: Readonly<Record<string, string>> = {}): FormData {
  const data = new FormData()
  const all = {
    ...{ visitId: ID, keeperId: ID, roomId: ID, name: '', kind: 'tile', state: 'staying' },
    ...{ photoHash: HASH, patchHash: HASH, place: '', note: '', replacedBy: '' },
    ...fields,
  }
  for (const [name, value] of Object.entries(all)) data.set(name, value)
  return data
}

const read = (
  drafts: readonly ColourDraft[],
  {
    taken = [] as readonly string[],
    ...fields
  }: Record<string, unknown> & { taken?: readonly string[] } = {},
) => readKeeper(form(fields as Record<string, string>), drafts, taken, 'american')

const field = { ...emptyDraft(0, 100), ...labTexts([57, 11, 21]) }

test('what was matched in a field is sent as an eye’s, with what the field is good for', () => {
  const evidence = { field: 'wood', uncertainty: EYE_FIELD_UNCERTAINTY.wood }
  expect(read([{ ...field, evidence }])).toMatchObject({
    ok: true,
    payload: {
      name: 'Tile',
      colours: [
        {
          part: 'ground',
          sharePercent: 100,
          source: 'eye',
          evidence,
          reading: { lab: [57, 11, 21] },
        },
      ],
    },
  })
})

test('what has no name goes by its kind, and a second and third of a room are counted', () => {
  const nameOf = (taken: readonly string[], name = '') => {
    const filled = read([field], { taken, name })
    return filled.ok && filled.payload.name
  }
  expect(nameOf([])).toBe('Tile')
  expect(nameOf(['tile'])).toBe('Tile 2')
  expect(nameOf(['Tile', 'Tile 2'])).toBe('Tile 3')
  // A name that was given stays as it is, and the store says what is wrong with it.
  expect(nameOf(['Tile'], 'tile')).toBe('Tile')
})

test.each([
  ['nothing tapped', emptyDraft(0, 100), 'colour0.field', /Tap the colour/],
  ['no photo taken', emptyDraft(0, 100, 'photo'), 'colour0.photo', /photo/],
  ['no deck colour picked', emptyDraft(0, 100, 'deck'), 'colour0.deckColourId', /Pick a colour/],
  ['a lightness of 140', { ...field, by: 'lab', l: '140' }, 'colour0.l', /0 to 100/],
  ['a share of nothing', { ...field, sharePercent: '0' }, 'colour0.sharePercent', /1/],
  ['a part without a name', { ...field, part: ' ' }, 'colour0.part', /part/],
] as const)('%s is refused at its field', (_, draft, at, says) => {
  const filled = read([draft as ColourDraft])
  expect(filled.ok).toBe(false)
  expect(!filled.ok && filled.fields[at]).toMatch(says)
})

test('a wrong number and a wrong share of one colour are both said', () => {
  const filled = read([{ ...field, by: 'lab', l: 'x', sharePercent: '400' }])
  expect(!filled.ok && Object.keys(filled.fields).sort()).toEqual([
    'colour0.l',
    'colour0.sharePercent',
  ])
})

test('shares of more than the whole are refused at the last of them', () => {
  const filled = read([field, { ...field, part: 'vein', sharePercent: '20' }])
  expect(!filled.ok && filled.fields['colour1.sharePercent']).toMatch(/at most 100 %.*120 %/)
})

test('a deck colour is sent by its id, with what the eye says it differs by', () => {
  const deck = {
    id: ID,
    words: 'X',
    reflectance: reflectanceOfReading({ kind: 'lab', lab: [70, 2, 9] }),
  }
  const shifts = [{ towards: 'darker', size: 'a little' }] as const
  const filled = read([{ ...emptyDraft(0, 100, 'deck'), deck, shifts }])
  expect(filled.ok && filled.payload.colours).toEqual([
    { part: 'ground', sharePercent: 100, deckColourId: ID, shift: shifts },
  ])
})

test('numbers given for another light say so; a kind is asked for', () => {
  const filled = read([{ ...field, by: 'lab', measuredFor: 'D50 2deg' }])
  expect(filled.ok && filled.payload.colours[0]).toMatchObject({
    source: null,
    evidence: { measuredFor: 'D50, 2°' },
  })
  const without = read([field], { kind: '' })
  expect(!without.ok && without.fields.kind).toMatch(/what is it/)
})
