import { findCommand, namesOf, type KeptCommand } from '../db/commands'
import type { Db } from '../db/db'
import { FIRST_OWN_WORDS, ownWordsOf, type OwnWords } from '../db/settings'
import type { Kind, NameOf } from './kind'
import { KINDS } from './kinds'

const UNNAMED = 'something'

/** What is said of changes that no kind stands for. */
const OTHERS: Readonly<Record<string, string>> = {
  'before-commands': 'What was recorded before changes were listed',
  migrate: 'The record brought up to date by a new version',
}

/**
 * A change as the history tells it.
 *
 * @param names of rooms, keepers, candidates and deck colours, and sentences of other changes, by id
 */
export function sentenceOf(
  { kind, payload }: Pick<KeptCommand, 'kind' | 'payload'>,
  names: Pick<ReadonlyMap<string, string>, 'get'>,
  own: OwnWords,
): string {
  const made = (KINDS as Readonly<Record<string, unknown>>)[kind] as Kind<unknown> | undefined
  const parsed = made?.payload.safeParse(payload)
  if (!made || !parsed?.success) return OTHERS[kind] ?? `A change of a kind “${kind}”`
  return made.sentence(parsed.data, (id) => names.get(id) ?? UNNAMED, own)
}

/** A change as it was told when it was made; one from before that, in the words and with the names of now. */
export const tell = async (
  db: Db,
  change: Pick<KeptCommand, 'kind' | 'payload' | 'sentence'>,
): Promise<string> =>
  change.sentence ?? tellWith(db, (nameOf, own) => sentenceOf(change, { get: nameOf }, own))

/** A sentence with the names that it asks for and the units and words of the store. */
export async function tellWith(
  db: Db,
  sentence: (nameOf: NameOf, own: OwnWords) => string,
): Promise<string> {
  const asked = new Set<string>()
  sentence((id) => (asked.add(id), ''), FIRST_OWN_WORDS)
  const names = new Map(asked.size > 0 ? await namesOf(db, [...asked]) : [])
  for (const id of asked) {
    const earlier = names.has(id) ? null : await findCommand(db, id)
    if (earlier) names.set(id, await tell(db, earlier))
  }
  return sentence((id) => names.get(id) ?? UNNAMED, await ownWordsOf(db))
}

/** Sentences of a visit's changes; those from before they were told when made are told now, one that takes back another naming it. */
export function historyOf(
  commands: readonly KeptCommand[],
  names: ReadonlyMap<string, string>,
  own: OwnWords,
): readonly (KeptCommand & { readonly sentence: string })[] {
  const known = new Map(names)
  const oldestFirst = commands.toReversed().map((command) => {
    const sentence = command.sentence ?? sentenceOf(command, known, own)
    known.set(command.id, sentence)
    return { ...command, sentence }
  })
  return oldestFirst.toReversed()
}
