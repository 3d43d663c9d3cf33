'use client'

import { Dialog } from 'radix-ui'
import { useState } from 'react'
import { VERDICTS, VERDICT_WORDS } from '@/core/record/verdict'
import { VERDICT_KEYS } from './bench-model'
import { useKeys } from '../keys/use-keys'

const KEYS: readonly (readonly [string, string])[] = [
  ['← →', 'previous pair, next pair'],
  ...VERDICTS.map(
    (verdict) => [VERDICT_KEYS[verdict].toUpperCase(), VERDICT_WORDS[verdict]] as const,
  ),
  ['1 to =', 'reasons, after a verdict'],
  ['M', 'reasons that are said more seldom'],
  ['Enter', 'keep it'],
  ['Esc', 'back to the verdicts'],
  ['H', 'what you look at: the screen, or which sample'],
  [', .', 'ten minutes earlier, later'],
  ['R', 'the room’s own day'],
  ['O', 'the light away from the sun'],
  ['E', 'the evening sun from the west'],
  ['P', 'the lamps alone'],
  ['G', 'white card or mid grey around'],
  ['Z', 'take back the last change'],
  ['?', 'this list'],
]

/** The keys in force on the bench. */
export function KeyList() {
  const [open, setOpen] = useState(false)
  useKeys({ '?': () => setOpen(true) })
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="min-h-6 underline underline-offset-4">
        Keys <kbd>?</kbd>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed right-4 bottom-4 z-50 max-h-[90dvh] w-80 overflow-y-auto border border-ink bg-paper p-5"
        >
          <Dialog.Title className="mb-2 text-title">Keys on the bench</Dialog.Title>
          <dl className="grid grid-cols-[4.5rem_1fr] gap-y-1 text-small">
            {KEYS.map(([key, what]) => (
              <div key={key} className="contents">
                <dt className="font-medium">{key}</dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close className="key mt-4">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
