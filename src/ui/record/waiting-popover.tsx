'use client'

import { Popover } from 'radix-ui'
import { useState } from 'react'
import { counted } from '@/core/words'
import { CHANGE_WORDS } from './change-words'
import { canBeTakenAlong } from './take-along'
import type { SetAside } from './outbox'
import { dismissRefused, letGo, retryNow, tryAgain, useOutbox } from './send'

const clock = (instant: string): string =>
  new Date(instant).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })

/** What waits for the server, and what of earlier was not kept, opened from a word in the frame. */
export function WaitingPopover() {
  const { waiting, aside, trouble, unsafe, refused } = useOutbox()
  return (
    <Popover.Root>
      <Popover.Trigger className="min-h-9 whitespace-nowrap font-semibold underline underline-offset-4">
        {trouble && waiting.length > 0
          ? `${waiting.length} waiting for the server`
          : aside.length > 0
            ? `${counted(aside.length, 'change')} set aside`
            : refused.length > 0
              ? `${counted(refused.length, 'change')} not saved`
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
              <p>{trouble ?? 'Being sent.'}</p>
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
          {aside.length > 0 && <AsideList aside={aside} />}
          {refused.length > 0 && (
            <ul aria-label="Not saved" className="mt-3 border-t border-rule pt-3">
              {refused.map(({ command, message }) => (
                <li key={command.id} className="mb-2">
                  {clock(command.madeAt)} {CHANGE_WORDS[command.kind]} was not saved: {message}{' '}
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

/** What failed and was set aside, with what waits for it: tried again, or taken along as a file. */
function AsideList({ aside }: { readonly aside: readonly SetAside[] }) {
  const [copied, setCopied] = useState(false)
  const failed = aside.filter(({ waitsFor }) => waitsFor === null)
  const waitingFor = (id: string): number => aside.filter(({ waitsFor }) => waitsFor === id).length
  return (
    <div className="mt-3 border-t border-rule pt-3 first:mt-0 first:border-0 first:pt-0">
      <p>Set aside on this device; nothing of it is lost.</p>
      <ul aria-label="Set aside" className="mt-2">
        {failed.map(({ command, message }) => (
          <li key={command.id} className="mb-2">
            {clock(command.madeAt)} {CHANGE_WORDS[command.kind]}: {message}
            {waitingFor(command.id) > 0 &&
              ` ${counted(waitingFor(command.id), 'change')} after it ${waitingFor(command.id) === 1 ? 'waits' : 'wait'} for it.`}
            {copied && (
              <>
                {' '}
                <button
                  type="button"
                  className="min-h-9 underline underline-offset-4"
                  onClick={() => letGo(command.id)}
                >
                  Let it go
                </button>
              </>
            )}
          </li>
        ))}
      </ul>
      <button type="button" className="key mt-1" onClick={() => void tryAgain()}>
        Try again
      </button>{' '}
      <a
        className="key mt-1"
        download="elm-swatch-set-aside.json"
        href={`data:application/json,${encodeURIComponent(JSON.stringify(aside, null, 1))}`}
        onClick={() => setCopied(true)}
      >
        Take a copy
      </a>
    </div>
  )
}
