'use client'

import { Popover } from 'radix-ui'
import { counted } from '@/core/words'
import { CHANGE_WORDS } from './change-words'
import { canBeTakenAlong } from './take-along'
import { dismissRefused, retryNow, useOutbox } from './send'

const clock = (instant: string): string =>
  new Date(instant).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })

/** What waits for the server, and what of earlier was not kept, opened from a word in the frame. */
export function WaitingPopover() {
  const { waiting, trouble, unsafe, refused } = useOutbox()
  return (
    <Popover.Root>
      <Popover.Trigger className="min-h-9 whitespace-nowrap font-semibold underline underline-offset-4">
        {trouble && waiting.length > 0
          ? `${waiting.length} waiting for the server`
          : refused.length > 0
            ? `${counted(refused.length, 'change')} not kept`
            : 'This device is short of room'}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          aria-label="What waits"
          className="z-20 max-h-96 w-96 max-w-[95vw] overflow-y-auto border border-ink bg-paper p-4 text-small"
        >
          {unsafe && <p className="mb-3 font-semibold">{unsafe}</p>}
          {waiting.length > 0 && (
            <>
              <p>{trouble ?? 'On its way.'}</p>
              <ul aria-label="Waiting" className="mt-2">
                {waiting.map(({ id, kind, madeAt }) => (
                  <li key={id}>
                    {clock(madeAt)} {CHANGE_WORDS[kind]}
                  </li>
                ))}
              </ul>
              {!canBeTakenAlong() && (
                <p className="mt-2">
                  Over plain http this page cannot be opened again without the server: do not reload
                  it. What waits here is safe all the same.
                </p>
              )}
              <button type="button" className="key mt-3" onClick={retryNow}>
                Try again now
              </button>
            </>
          )}
          {refused.length > 0 && (
            <ul aria-label="Not kept" className="mt-3 border-t border-rule pt-3">
              {refused.map(({ command, message }) => (
                <li key={command.id} className="mb-2">
                  {clock(command.madeAt)} {CHANGE_WORDS[command.kind]} was not kept: {message}{' '}
                  <button
                    type="button"
                    className="min-h-9 underline underline-offset-4"
                    onClick={() => dismissRefused(command.id)}
                  >
                    Seen
                  </button>
                </li>
              ))}
            </ul>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
