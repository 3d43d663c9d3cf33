'use client'

import { useKeys } from '../keys/use-keys'
import { answerOf } from './answer-of'
import { thisDevice, useOutbox } from './send'
import { useChange } from './use-change'
import { WaitingList } from './waiting-list'

/** One key takes back the last change made here, on every page; and what waits is said in one place. */
export function UndoKey({
  visitId,
}: {
  /** Null where a page is of no visit. */
  readonly visitId: string | null
}) {
  const { change, busy, message, say } = useChange()
  const { waiting } = useOutbox()

  async function undo(): Promise<void> {
    const query = new URLSearchParams({ device: thisDevice(), ...(visitId && { visit: visitId }) })
    const answer = await fetch(`/api/last-change?${query}`).catch(() => null)
    const last = await answerOf('LastChange', answer)
    const lastHere = waiting.findLast(({ kind }) => kind !== 'undo')
    if (last === undefined && lastHere) {
      await change('undo', { visitId, commandId: lastHere.id }, 'Undone.')
      return
    }
    if (last === undefined) return say('The server did not answer; nothing was undone.')
    if (last === null) return say('Nothing was changed with this device that could be undone.')
    await change('undo', { visitId, commandId: last.id }, `Undone: ${last.sentence}.`)
  }

  useKeys({ z: () => void undo() }, [['Z', 'take back the last change']])
  return (
    <div className="ml-auto flex shrink-0 items-baseline gap-3 self-center px-3 text-small max-sm:px-2">
      <span
        role="status"
        aria-label="Changes"
        className="max-w-48 truncate max-sm:sr-only"
        title={message}
      >
        {message}
      </span>
      <WaitingList />
      <button
        type="button"
        className="min-h-9 whitespace-nowrap underline underline-offset-4"
        disabled={busy}
        onClick={() => void undo()}
      >
        Undo <kbd className="max-sm:hidden">Z</kbd>
      </button>
    </div>
  )
}
