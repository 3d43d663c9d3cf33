import { z } from 'zod'
import type { PayloadOf } from '@/commands/kinds'
import { WALL_NAMES } from '@/core/light/walls'
import {
  KEEPER_KINDS,
  KEEPER_STATES,
  kindWords,
  VIEW_SHARES,
  type KeeperKind,
} from '@/core/pairing/keeper-kind'
import { TEXTURES } from '@/core/pairing/role'
import { measuredForWords, OWN } from '@/core/paint/measured-for'
import { readTyped } from '@/core/paint/typed-reading'
import type { TradeWords } from '@/core/trade-words'
import { choiceValue, nameValue, noteValue, numberValue } from '../form/form-values'
import { fieldsOf } from '../form/read-form'
import type { Filled } from '../form/use-command-form'
import { isEmpty, sourceSaid, typedOf, type ColourDraft } from './colour-draft'
import { capital } from '@/core/words'

const shortText = z.string().trim().max(80, 'Expected at most 80 characters.').default('')

const KeeperFields = z.object({
  visitId: z.uuid(),
  keeperId: z.uuid(),
  roomId: z.uuid(),
  name: nameValue('a name for what stays'),
  kind: z.enum(KEEPER_KINDS, { error: 'Expected a kind: what is it?' }),
  state: choiceValue(KEEPER_STATES),
  place: shortText,
  note: noteValue.default(''),
  varies: z.literal('on').optional().transform(Boolean),
  replacedBy: shortText,
  viewShare: choiceValue(VIEW_SHARES).default('some'),
  texture: choiceValue(['', ...TEXTURES])
    .default('')
    .transform((texture) => texture || null),
  dearness: choiceValue(['', '1', '2', '3', '4', '5'])
    .default('')
    .transform((text) => (text === '' ? null : Number(text))),
  photoHash: z.string().transform((hash) => hash || null),
  patchHash: z.string().transform((hash) => hash || null),
})

type Colour = PayloadOf<'keep-keeper'>['colours'][number]
type Refused = Readonly<Record<string, string>>

const PartAndShare = z.object({
  part: nameValue('what part this colour is', 40),
  sharePercent: numberValue(1, 100, '%').transform(Math.round),
})

/** A colour as it is sent, or what is wrong with it by field. */
function readColour(draft: ColourDraft): Colour | { readonly fields: Refused } {
  const said = PartAndShare.safeParse(draft)
  const fields: Record<string, string> = said.error ? fieldsOf(said.error) : {}
  const wrong = (problems: Refused) => ({ fields: { ...fields, ...problems } })
  const partAndShare = said.data!
  if (draft.by === 'deck') {
    if (!draft.deck) return wrong({ deckColourId: 'Pick a colour from the deck first.' })
    if (!said.success) return wrong({})
    return { ...partAndShare, deckColourId: draft.deck.id, shift: [...draft.shifts] }
  }
  if (isEmpty(draft) && draft.by === 'field')
    return wrong({ field: 'Tap the colour that comes nearest.' })
  if (isEmpty(draft) && draft.by === 'photo')
    return wrong({ photo: 'Take a photo of it, or match it by eye.' })
  const read = readTyped(typedOf(draft))
  if (!read.ok)
    return wrong(Object.fromEntries(read.problems.map(({ field, message }) => [field, message])))
  if (!said.success) return wrong({})
  return {
    ...partAndShare,
    reading: plain(read.reading),
    source: sourceSaid(draft),
    evidence:
      draft.evidence ??
      (draft.by === 'lab' && draft.measuredFor !== OWN
        ? { measuredFor: measuredForWords(draft.measuredFor) }
        : null),
  }
}

type Read = Extract<ReturnType<typeof readTyped>, { ok: true }>['reading']

/** A reading as it is sent: typed arrays become lists. */
const plain = (reading: Read): Extract<Colour, { reading: unknown }>['reading'] => {
  switch (reading.kind) {
    case 'lab':
      return { kind: 'lab', lab: [...reading.lab] }
    case 'srgb':
      return reading
    case 'spectral':
      return {
        kind: 'spectral',
        wavelengthsNm: [...reading.wavelengthsNm],
        reflectance: [...reading.reflectance],
      }
  }
}

/**
 * What the form of a keeper comes to: what stays, with its rooms and its colours.
 *
 * @param taken names that the room has already
 */
export function readKeeper(
  form: FormData,
  drafts: readonly ColourDraft[],
  taken: readonly string[],
  words: TradeWords,
): Filled<'keep-keeper'> {
  const kind = KEEPER_KINDS.find((each) => each === form.get('kind'))
  const typed = String(form.get('name') ?? '').trim()
  const name = typed ? capital(typed) : kind ? nameByKind(kind, taken, words) : ''
  const keeper = KeeperFields.safeParse({ ...Object.fromEntries(form), name })
  const colours = drafts.map(readColour)
  const fields = {
    ...(keeper.error && fieldsOf(keeper.error)),
    ...Object.fromEntries(
      colours.flatMap((colour, i) =>
        Object.entries('fields' in colour ? colour.fields : {}).map(([field, message]) => [
          `colour${i}.${field}`,
          message,
        ]),
      ),
    ),
  }
  if (!keeper.success || Object.keys(fields).length > 0) return { ok: false, fields }
  const read = colours as readonly Colour[]
  const total = read.reduce((sum, colour) => sum + colour.sharePercent, 0)
  if (total > 100)
    return {
      ok: false,
      fields: {
        [`colour${drafts.length - 1}.sharePercent`]: `Expected shares of at most 100 % together, got ${total} %.`,
      },
    }
  const roomIds = form.getAll('alsoIn').map(String)
  const touched = form.getAll('walls')
  const walls = WALL_NAMES.filter((wall) => touched.includes(wall))
  return { ok: true, payload: { ...keeper.data, walls, roomIds, colours: [...read] } }
}

/** What has no name yet goes by its kind; a second one of a room is counted. */
function nameByKind(kind: KeeperKind, taken: readonly string[], words: TradeWords): string {
  const name = capital(kindWords(kind, words))
  const has = (each: string): boolean =>
    taken.some((one) => one.toLowerCase() === each.toLowerCase())
  if (!has(name)) return name
  for (let count = 2; ; count++) if (!has(`${name} ${count}`)) return `${name} ${count}`
}
