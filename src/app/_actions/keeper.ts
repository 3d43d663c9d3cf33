'use server'

import { z } from 'zod'
import { KEEPER_KINDS, KEEPER_STATES, VIEW_SHARES } from '@/core/pairing/keeper-kind'
import { SHIFT_DIRECTIONS, SHIFT_SIZES, type EyeShift } from '@/core/paint/by-eye'
import { readTyped } from '@/core/paint/typed-reading'
import { FOREIGN_KEY_VIOLATION, sqlState, UNIQUE_VIOLATION } from '@/db/db'
import { KeeperLookedAtError, saveKeeper, type NewKeeperColour } from '@/db/keepers'
import { openDb } from '@/db/store'
import type { ActionResult } from '@/ui/form/action-result'
import { choiceValue, nameValue, noteValue, numberValue } from './form-values'
import { kept, refused } from './result'

const shortText = z.string().trim().max(80, 'Expected at most 80 characters.').default('')

const KeeperForm = z.object({
  id: z.uuid(),
  roomId: z.uuid(),
  name: nameValue('a name for what stays'),
  kind: choiceValue(KEEPER_KINDS),
  state: choiceValue(KEEPER_STATES),
  place: shortText,
  note: noteValue.default(''),
  varies: z.literal('on').optional().transform(Boolean),
  replacedBy: shortText,
  viewShare: choiceValue(VIEW_SHARES).default('some'),
  dearness: choiceValue(['', '1', '2', '3', '4', '5'])
    .default('')
    .transform((text) => (text === '' ? null : Number(text))),
  photoHash: z
    .string()
    .regex(/^([0-9a-f]{64})?$/)
    .default('')
    .transform((hash) => hash || null),
})

const READ_BY = ['lab', 'photo', 'hex', 'spectral', 'deck'] as const
const text = z.string().default('')

const ColourForm = z
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
    deckColourId: text,
    shift0: text,
    shift1: text,
  })
  .transform(({ part, sharePercent, ...form }, context): NewKeeperColour => {
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
    return { part, sharePercent, reading: read.reading, ...(source && { source }) }
  })

/** "a little|lighter" as a step; nothing for an empty field. */
function shiftOf(value: string): EyeShift[] {
  const [size, towards] = value.split('|')
  const shift = z
    .object({ size: z.enum(SHIFT_SIZES), towards: z.enum(SHIFT_DIRECTIONS) })
    .safeParse({ size, towards })
  return shift.success ? [shift.data] : []
}

const MOST_COLOURS = 5

/** Keeps a keeper with its rooms and its colours, one to five. */
export async function saveKeeperForm(form: FormData): Promise<ActionResult> {
  const keeper = KeeperForm.safeParse(Object.fromEntries(form))
  const roomIds = z.array(z.uuid()).safeParse(form.getAll('alsoIn'))
  const positions = Array.from({ length: MOST_COLOURS }, (_, i) => i).filter(
    (i) => i === 0 || form.has(`colour${i}.part`),
  )
  const colours = positions.map((i) => ColourForm.safeParse(fieldsOf(form, `colour${i}.`)))
  const issues = [
    ...(keeper.error?.issues ?? []),
    ...(roomIds.error?.issues ?? []),
    ...colours.flatMap((colour, i) =>
      (colour.error?.issues ?? []).map((issue) => ({
        ...issue,
        path: [`colour${i}.${issue.path.join('.')}`],
      })),
    ),
  ]
  if (issues.length > 0 || !keeper.success || !roomIds.success)
    return refused(new z.ZodError(issues))
  const read = colours.map((colour) => colour.data!)
  const total = read.reduce((sum, colour) => sum + colour.sharePercent, 0)
  if (total > 100)
    return {
      ok: false,
      fields: {
        [`colour${positions.at(-1)}.sharePercent`]: `Expected shares of at most 100 % together, got ${total} %.`,
      },
    }
  try {
    await saveKeeper(await openDb(), { ...keeper.data, roomIds: roomIds.data }, read)
  } catch (error) {
    if (error instanceof KeeperLookedAtError)
      return {
        ok: false,
        message: 'Looks were kept at it in a room that is left out; it stays there.',
      }
    const state = sqlState(error)
    if (state === UNIQUE_VIOLATION)
      return { ok: false, fields: { name: `This room has a “${keeper.data.name}” already.` } }
    if (state === FOREIGN_KEY_VIOLATION)
      return { ok: false, message: 'That room or deck colour is gone. Load the page again.' }
    throw error
  }
  return kept()
}

const fieldsOf = (form: FormData, prefix: string): Record<string, unknown> =>
  Object.fromEntries(
    [...form]
      .filter(([name]) => name.startsWith(prefix))
      .map(([name, v]) => [name.slice(prefix.length), v]),
  )
