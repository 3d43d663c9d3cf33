'use client'

import type { PayloadOf } from '@/commands/kinds'
import { newId } from '../record/new-id'
import { useChange } from '../record/use-change'

/** What was to be fetched is here: it is proposed like any other. */
export function IsHere({
  called,
  proposals,
}: {
  readonly called: string
  readonly proposals: readonly Pick<
    PayloadOf<'propose'>,
    'visitId' | 'candidateId' | 'roomId' | 'surface' | 'sheen'
  >[]
}) {
  const { change, message } = useChange()
  async function fetched(): Promise<void> {
    for (const proposal of proposals)
      await change(
        'propose',
        {
          ...proposal,
          proposalId: newId(),
          status: 'proposed',
          reason: '',
          withdrawn: false,
          replaces: null,
        },
        `${called} is here.`,
      )
  }
  return (
    <span className="print:hidden">
      <button
        type="button"
        className="key"
        aria-label={`${called} is here`}
        onClick={() => void fetched()}
      >
        It is here
      </button>
      <span role="status" className="ml-3 text-small font-medium">
        {message}
      </span>
    </span>
  )
}
