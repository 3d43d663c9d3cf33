import type { LengthUnits } from '../core/units'
import type { KeptCommand } from '../db/commands'
import type { Kind } from './kind'
import { KINDS } from './kinds'

/** What is said of changes that no kind stands for. */
const OTHERS: Readonly<Record<string, string>> = {
  'before-commands': 'What was kept before changes were listed',
  migrate: 'The record brought up to date by a new version',
}

/**
 * A change as the history tells it.
 *
 * @param names of rooms, keepers, candidates and deck colours, and sentences of other changes, by id
 */
export function sentenceOf(
  { kind, payload }: Pick<KeptCommand, 'kind' | 'payload'>,
  names: ReadonlyMap<string, string>,
  lengths: LengthUnits,
): string {
  const made = (KINDS as Readonly<Record<string, unknown>>)[kind] as Kind<unknown> | undefined
  const parsed = made?.payload.safeParse(payload)
  if (!made || !parsed?.success) return OTHERS[kind] ?? `A change of a kind “${kind}”`
  return made.sentence(parsed.data, (id) => names.get(id) ?? 'something', lengths)
}

/** Sentences of a visit's changes, those that take back another naming it. */
export function historyOf(
  commands: readonly KeptCommand[],
  names: ReadonlyMap<string, string>,
  lengths: LengthUnits,
): readonly (KeptCommand & { readonly sentence: string })[] {
  const known = new Map(names)
  const oldestFirst = commands.toReversed().map((command) => {
    const sentence = sentenceOf(command, known, lengths)
    known.set(command.id, sentence)
    return { ...command, sentence }
  })
  return oldestFirst.toReversed()
}
