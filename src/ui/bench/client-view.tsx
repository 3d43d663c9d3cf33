'use client'

import { useEffect, useRef } from 'react'
import type { ClientResponse } from '@/core/record/look'
import type { BenchKeeper, BenchPair } from './bench-model'
import { SwatchField } from './swatch-field'

/** What is turned to the client: the colours, the room's name and two large answers, and nothing else. */
export function ClientView({
  roomName,
  pair,
  second,
  onAnswer,
  onClose,
}: {
  readonly roomName: string
  readonly pair: BenchPair
  readonly second: BenchKeeper | null
  readonly onAnswer: (says: ClientResponse['says']) => void
  readonly onClose: () => void
}) {
  const dialog = useRef<HTMLDialogElement>(null)
  useEffect(() => dialog.current?.showModal(), [])
  return (
    <dialog
      ref={dialog}
      aria-label={`Shown to the client: ${roomName}`}
      className="fixed inset-0 m-0 h-dvh max-h-none w-dvw max-w-none border-0 bg-paper p-0 text-ink open:flex open:flex-col"
      // Escape turns it back to the consultant.
      onClose={onClose}
      // Keys of the bench mean nothing while it is turned away.
      onKeyDown={(event) => event.stopPropagation()}
    >
      <h2 className="py-3 text-center text-head">{roomName}</h2>
      <SwatchField
        {...{ pair, second }}
        isNamed={false}
        isLaidOn={false}
        surround="card"
        around={[]}
      />
      <div className="flex">
        <button
          type="button"
          className="key min-h-24 flex-1 text-head"
          onClick={() => onAnswer('yes')}
        >
          Yes
        </button>
        <button
          type="button"
          className="key -ml-px min-h-24 flex-1 text-head"
          onClick={() => onAnswer('no')}
        >
          No
        </button>
      </div>
    </dialog>
  )
}
