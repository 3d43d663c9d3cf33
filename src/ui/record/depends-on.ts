import type { Command, KindName, PayloadOf } from '@/commands/kinds'

/**
 * What each kind of change makes or changes, by the fields of its payload that name it: a later change that names one of them
 * makes sense only after it. None where it is the visit, or the store, as a whole.
 */
const TOUCHES: { readonly [K in KindName]: readonly (keyof PayloadOf<K>)[] } = {
  'keep-brief': ['visitId'],
  'finish-visit': [],
  'remove-visit': ['visitId'],
  'import-visit': ['visitId'],
  'keep-room': ['roomId'],
  'copy-room': ['copyId'],
  'make-alike': ['roomId'],
  'order-rooms': [],
  'order-plan': [],
  'remove-room': ['roomId'],
  'keep-window': ['windowId'],
  'keep-lamp': ['lampId'],
  'remove-fitting': ['fittingId'],
  'keep-keeper': ['keeperId'],
  'remove-keeper': ['keeperId'],
  'choose-lead': [],
  'take-up': ['candidateId', 'proposalId'],
  propose: ['proposalId'],
  'rule-out': ['candidateId'],
  'rule-out-lean': [],
  'drop-candidate': ['candidateId'],
  rule: ['rulingId'],
  reopen: ['rulingId'],
  'keep-scheme': ['schemeId'],
  'keep-what-if': ['whatIfId'],
  'place-thing': ['thingId'],
  'choose-scheme': ['proposalIds'],
  'keep-board': ['boardId'],
  'keep-room-paint': [],
  'keep-look': ['lookId'],
  'say-why': ['lookId'],
  'keep-finish-look': ['lookId'],
  'keep-sweep': ['sweepId'],
  'keep-reading': ['readingId'],
  'keep-photo': ['hash'],
  'open-deck': ['deckId'],
  'keep-settings': [],
  'keep-daily-backup': [],
  'keep-paint-ways': [],
  'keep-learner': ['learnerId'],
  'answer-practice': ['answerId'],
  'learn-from-eye': ['lessonId'],
  'forget-eye': [],
  undo: ['commandId'],
}

const fieldsOf = ({ payload }: Command): Readonly<Record<string, unknown>> =>
  payload as unknown as Readonly<Record<string, unknown>>

/** Whether a change makes sense only after another one that was made before it. */
export function dependsOn(later: Command, earlier: Command): boolean {
  const touched: readonly string[] = TOUCHES[earlier.kind] ?? []
  if (touched.length === 0 && later.kind === earlier.kind)
    return fieldsOf(later).visitId === fieldsOf(earlier).visitId
  const named = touched.flatMap((field) => [fieldsOf(earlier)[field]].flat())
  const said = JSON.stringify(later.payload)
  return [earlier.id, ...named].some((name) => name && said.includes(JSON.stringify(name)))
}
