'use client'

import { Popover } from 'radix-ui'
import { useState } from 'react'
import {
  FAULTS,
  MERITS,
  MORE_FAULTS,
  REASON_WORDS,
  type Reason,
  type Verdict,
} from '@/core/record/verdict'
import { useKeys, type KeyWords } from '../keys/use-keys'
import { REASON_KEYS } from './bench-model'

const KEY_WORDS: KeyWords = [
  ['1 to =', 'why, of what was just said'],
  ['⇧1 to ⇧-', 'reasons that are said more seldom'],
  ['M', 'all reasons'],
]

/** Why: each reason always on its own key, those that fit in sight, the others behind one press. */
export function ReasonKeys({
  verdict,
  fitting,
  chosen,
  onToggle,
}: {
  readonly verdict: Verdict
  /** Faults that may be found with what is in sight. */
  readonly fitting: readonly Reason[]
  readonly chosen: readonly Reason[]
  readonly onToggle: (reason: Reason) => void
}) {
  const [more, setMore] = useState(false)
  const isFault = verdict !== 'works'
  const all: readonly Reason[] = isFault ? [...FAULTS, ...MORE_FAULTS] : MERITS
  const inSight = isFault ? fitting : MERITS
  useKeys(
    {
      ...Object.fromEntries(all.map((reason) => [REASON_KEYS[reason], () => onToggle(reason)])),
      ...(isFault && { m: () => setMore(!more) }),
    },
    KEY_WORDS,
  )
  const keyOf = (reason: Reason) => (
    <button
      key={reason}
      type="button"
      aria-pressed={chosen.includes(reason)}
      className="key -ml-px min-w-16 flex-1 gap-1 px-2 leading-4 first:ml-0"
      onClick={() => onToggle(reason)}
    >
      {REASON_WORDS[reason].replace('too ', '')}
      <kbd className="text-fine">{REASON_KEYS[reason]}</kbd>
    </button>
  )
  const hidden = chosen.filter((reason) => !inSight.includes(reason)).length
  return (
    <div role="group" aria-label="Why" className="flex flex-wrap items-center gap-y-1">
      {inSight.map(keyOf)}
      {isFault && (
        <Popover.Root open={more} onOpenChange={setMore}>
          <Popover.Trigger className="key -ml-px gap-1 px-2">
            More{hidden > 0 && ` (${hidden})`} <kbd className="text-fine">M</kbd>
          </Popover.Trigger>
          <Popover.Portal>
            <Popover.Content
              side="top"
              align="end"
              collisionPadding={16}
              aria-label="All reasons"
              className="z-30 grid w-[min(40rem,calc(100vw-2rem))] grid-cols-3 gap-1 border border-ink bg-paper p-3 max-sm:grid-cols-2"
            >
              {all.filter((reason) => !inSight.includes(reason)).map(keyOf)}
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
      )}
    </div>
  )
}
