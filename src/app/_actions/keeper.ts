'use server'

import { z } from 'zod'
import { KEEPER_KINDS, KEEPER_STATES } from '@/core/judge/keeper-kind'
import { reflectanceOfReading, type PlainReading } from '@/core/paint/reading'
import { FOREIGN_KEY_VIOLATION, sqlState, UNIQUE_VIOLATION } from '@/db/db'
import { saveKeeper, type NewKeeperColour } from '@/db/keepers'
import { openDb } from '@/db/store'
import type { ActionResult } from '@/ui/form/action-result'
import { choiceValue, nameValue, noteValue, numberValue } from './form-values'
import { kept, refused } from './result'

const KeeperForm = z.object({
  id: z.uuid(),
  roomId: z.uuid(),
  name: nameValue('a name for what stays'),
  kind: choiceValue(KEEPER_KINDS),
  state: choiceValue(KEEPER_STATES),
  place: z.string().trim().max(80, 'Expected at most 80 characters.').default(''),
  note: noteValue.default(''),
  varies: z.literal('on').optional().transform(Boolean),
  replacedBy: z.string().trim().max(80, 'Expected at most 80 characters.').default(''),
})

const ColourForm = z
  .object({
    part: nameValue('what part this colour is', 40),
    sharePercent: numberValue(1, 100, '%').transform(Math.round),
    by: choiceValue(['lab', 'photo', 'hex', 'deck']),
    l: z.string().default(''),
    a: z.string().default(''),
    b: z.string().default(''),
    hex: z.string().default(''),
    deckColourId: z.string().default(''),
  })
  .transform((form, context): NewKeeperColour => {
    const { part, sharePercent } = form
    if (form.by === 'deck') {
      if (z.uuid().safeParse(form.deckColourId).success)
        return { part, sharePercent, deckColourId: form.deckColourId }
      context.addIssue({
        code: 'custom',
        path: ['deckColourId'],
        message: 'Pick a colour from the deck first.',
      })
      return z.NEVER
    }
    const reading = form.by === 'hex' ? hexReading(form.hex, context) : labReading(form, context)
    if (!reading) return z.NEVER
    try {
      reflectanceOfReading(reading)
    } catch (error) {
      if (!(error instanceof RangeError)) throw error
      const message = `${error.message.charAt(0).toUpperCase()}${error.message.slice(1)}.`
      context.addIssue({ code: 'custom', path: [form.by === 'hex' ? 'hex' : 'l'], message })
      return z.NEVER
    }
    return { part, sharePercent, reading, ...(form.by === 'photo' && { source: 'photo' as const }) }
  })

function labReading(
  form: { readonly l: string; readonly a: string; readonly b: string },
  context: z.RefinementCtx,
): PlainReading | null {
  const numbers = [
    ['l', numberValue(0, 100, '')],
    ['a', numberValue(-128, 128, '')],
    ['b', numberValue(-128, 128, '')],
  ] as const
  const values = numbers.map(([name, schema]) => {
    const parsed = schema.safeParse(form[name])
    if (parsed.success) return parsed.data
    context.addIssue({ code: 'custom', path: [name], message: parsed.error.issues[0]!.message })
    return null
  })
  const [l, a, b] = values
  return l == null || a == null || b == null ? null : { kind: 'lab', lab: [l, a, b] }
}

function hexReading(text: string, context: z.RefinementCtx): PlainReading | null {
  const hex = text.trim().toLowerCase().replace(/^#?/, '#')
  if (/^#[0-9a-f]{6}$/.test(hex)) return { kind: 'srgb', hex }
  context.addIssue({
    code: 'custom',
    path: ['hex'],
    message: `Expected six digits 0–9 a–f, got “${text.trim()}”.`,
  })
  return null
}

const MOST_COLOURS = 5

/** Keeps a keeper with its colours, one to five. */
export async function saveKeeperForm(form: FormData): Promise<ActionResult> {
  const keeper = KeeperForm.safeParse(Object.fromEntries(form))
  const positions = Array.from({ length: MOST_COLOURS }, (_, i) => i).filter(
    (i) => i === 0 || form.has(`colour${i}.part`),
  )
  const colours = positions.map((i) => ColourForm.safeParse(fieldsOf(form, `colour${i}.`)))
  const issues = [
    ...(keeper.error?.issues ?? []),
    ...colours.flatMap((colour, i) =>
      (colour.error?.issues ?? []).map((issue) => ({
        ...issue,
        path: [`colour${i}.${issue.path.join('.')}`],
      })),
    ),
  ]
  if (issues.length > 0 || !keeper.success) return refused(new z.ZodError(issues))
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
    await saveKeeper(await openDb(), keeper.data, read)
  } catch (error) {
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
