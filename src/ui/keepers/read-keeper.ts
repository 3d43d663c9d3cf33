import { z } from 'zod'
import type { PayloadOf } from '@/commands/kinds'
import { WALL_NAMES } from '@/core/light/walls'
import { KEEPER_KINDS, KEEPER_STATES, kindWords, VIEW_SHARES } from '@/core/pairing/keeper-kind'
import { TEXTURES } from '@/core/pairing/role'
import { SHIFT_DIRECTIONS, SHIFT_SIZES, type EyeShift } from '@/core/paint/by-eye'
import type { ReadingEvidence } from '@/core/paint/reading-evidence'
import {
  MEASURED_FOR,
  measuredForWords,
  OWN,
  type MeasuredForName,
} from '@/core/paint/measured-for'
import { readTyped } from '@/core/paint/typed-reading'
import type { TradeWords } from '@/core/trade-words'
import { choiceValue, nameValue, noteValue, numberValue } from '../form/form-values'
import { fieldsOf } from '../form/read-form'
import type { Filled } from '../form/use-command-form'
import { MOST_COLOURS } from './colour-draft'
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

const READ_BY = ['lab', 'photo', 'hex', 'spectral', 'deck'] as const
const text = z.string().default('')
type Colour = PayloadOf<'keep-keeper'>['colours'][number]

const ColourFields = z
  .object({
    part: nameValue('what part this colour is', 40),
    sharePercent: numberValue(1, 100, '%').transform(Math.round),
    by: choiceValue(READ_BY),
    l: text,
    a: text,
    b: text,
    hex: text,
    spectrum: text,
    source: z.enum(['', 'spectral', 'uncalibrated']).default(''),
    measuredFor: z.enum(MEASURED_FOR).default(OWN),
    scale: z.enum(['', 'share', 'percent']).default(''),
    evidence: text,
    deckColourId: text,
    shift0: text,
    shift1: text,
  })
  .transform(({ part, sharePercent, ...form }, context): Colour => {
    const refuse = (field: string, message: string): never => {
      context.addIssue({ code: 'custom', path: [field], message })
      return z.NEVER
    }
    if (form.by === 'deck') {
      if (!z.uuid().safeParse(form.deckColourId).success)
        return refuse('deckColourId', 'Pick a colour from the deck first.')
      return {
        part,
        sharePercent,
        deckColourId: form.deckColourId,
        shift: [form.shift0, form.shift1].flatMap(shiftOf),
      }
    }
    const read = readTyped({ ...form, by: form.by === 'photo' ? 'lab' : form.by })
    if (!read.ok) {
      for (const { field, message } of read.problems) refuse(field, message)
      return z.NEVER
    }
    const source = form.by === 'photo' ? 'photo' : form.by === 'spectral' ? form.source : ''
    return {
      part,
      sharePercent,
      reading: plain(read.reading),
      source: source || null,
      evidence: evidenceOf(form.evidence, form.by === 'lab' ? form.measuredFor : OWN),
    }
  })

type Read = Extract<ReturnType<typeof readTyped>, { ok: true }>['reading']

/** What the form carries along of it; the server looks at it. */
const evidenceOf = (
  json: string,
  measuredFor: MeasuredForName,
): Extract<Colour, { reading: unknown }>['evidence'] =>
  json !== ''
    ? (JSON.parse(json) as ReadingEvidence)
    : measuredFor === OWN
      ? null
      : { measuredFor: measuredForWords(measuredFor) }

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

/** "a little|lighter" as a step; nothing for an empty field. */
function shiftOf(value: string): EyeShift[] {
  const [size, towards] = value.split('|')
  const shift = z
    .object({ size: z.enum(SHIFT_SIZES), towards: z.enum(SHIFT_DIRECTIONS) })
    .safeParse({ size, towards })
  return shift.success ? [shift.data] : []
}

/** What the form of a keeper comes to: what stays, with its rooms and its colours. */
export function readKeeper(form: FormData, words: TradeWords): Filled<'keep-keeper'> {
  const kind = KEEPER_KINDS.find((each) => each === form.get('kind'))
  // What has no name yet goes by its kind.
  const name = capital(
    String(form.get('name') ?? '').trim() || (kind ? kindWords(kind, words) : ''),
  )
  const keeper = KeeperFields.safeParse({ ...Object.fromEntries(form), name })
  const positions = Array.from({ length: MOST_COLOURS }, (_, i) => i).filter(
    (i) => i === 0 || form.has(`colour${i}.part`),
  )
  const colours = positions.map((i) => ColourFields.safeParse(entriesOf(form, `colour${i}.`)))
  const fields = {
    ...(keeper.error && fieldsOf(keeper.error)),
    ...Object.fromEntries(
      colours.flatMap((colour, i) =>
        Object.entries(colour.error ? fieldsOf(colour.error) : {}).map(([name, message]) => [
          `colour${i}.${name}`,
          message,
        ]),
      ),
    ),
  }
  if (!keeper.success || Object.keys(fields).length > 0) return { ok: false, fields }
  const read = colours.map((colour) => colour.data!)
  const total = read.reduce((sum, colour) => sum + colour.sharePercent, 0)
  if (total > 100)
    return {
      ok: false,
      fields: {
        [`colour${positions.at(-1)}.sharePercent`]: `Expected shares of at most 100 % together, got ${total} %.`,
      },
    }
  const roomIds = form.getAll('alsoIn').map(String)
  const touched = form.getAll('walls')
  const walls = WALL_NAMES.filter((wall) => touched.includes(wall))
  return { ok: true, payload: { ...keeper.data, walls, roomIds, colours: read } }
}

const entriesOf = (form: FormData, prefix: string): Record<string, unknown> =>
  Object.fromEntries(
    [...form]
      .filter(([name]) => name.startsWith(prefix))
      .map(([name, value]) => [name.slice(prefix.length), value]),
  )
