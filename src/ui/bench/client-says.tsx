'use client'

import { CLIENT_SAYS, type ClientResponse } from '@/core/record/look'
import { useKeys, type KeyWords } from '../keys/use-keys'
import type { ShownLook } from '../record/visit-record'
import { CLIENT_KEYS } from './bench-model'
import { SaidInput } from './last-look'

const KEY_WORDS: KeyWords = CLIENT_SAYS.map((each) => [
  CLIENT_KEYS[each].toUpperCase(),
  `the client: ${each}`,
])

/** The client's first response to the pair at hand, apart from any verdict: one key, and the same takes it back. */
export function ClientSays({
  said,
  onSay,
  onWords,
  onStrike,
}: {
  /** What was heard of the pair at hand; null where nothing was. */
  readonly said: ShownLook | null
  readonly onSay: (says: ClientResponse['says']) => void
  readonly onWords: (words: string) => void
  readonly onStrike: () => void
}) {
  const press = (says: ClientResponse['says']): void =>
    said?.client?.says === says ? onStrike() : onSay(says)
  useKeys(
    Object.fromEntries(CLIENT_SAYS.map((each) => [CLIENT_KEYS[each], () => press(each)])),
    KEY_WORDS,
  )
  return (
    <div role="group" aria-label="The client says" className="flex items-center text-small">
      <span className="pr-2 text-dim">Client</span>
      {CLIENT_SAYS.map((each) => (
        <button
          key={each}
          type="button"
          aria-pressed={said?.client?.says === each}
          className="key -ml-px min-h-9 gap-1 px-2 first:ml-0 pointer-coarse:min-h-11"
          onClick={() => press(each)}
        >
          {each} <kbd className="text-fine">{CLIENT_KEYS[each].toUpperCase()}</kbd>
        </button>
      ))}
      {said?.client && (
        <SaidInput
          key={said.id}
          className="field ml-2 min-h-9 w-36"
          label="In the client’s words"
          placeholder="in their words"
          kept={said.client.words}
          onKeep={onWords}
        />
      )}
    </div>
  )
}
