'use client'

import { Popover } from 'radix-ui'
import { useEffect, useEffectEvent, useRef, useState, type Ref } from 'react'
import { JUDGEMENT_WORDS } from '@/core/pairing/chance'
import { differs } from '@/core/record/agreement'
import { CLIENT_SAYS, LEANS, type LeanWord } from '@/core/record/look'
import { lookSaid } from '@/core/record/look-words'
import type { Reason, Verdict } from '@/core/record/verdict'
import { useKeys } from '../keys/use-keys'
import { sayingsOf, type Sayings, type ShownLook } from '../record/visit-record'
import { JudgementMark, VerdictMark } from '../verdict/verdict-mark'
import { MomentPhoto } from './moment-photo'
import { ReasonKeys } from './reason-keys'

/** The look that was given last, whose it is, what the model said, why, and behind one press a note, a photo, the lean, the client. */
export function LastLook({
  look,
  of,
  fitting,
  onSay,
  onStrike,
}: {
  readonly look: ShownLook & { readonly verdict: Verdict }
  /** "Wimham at 50 % beside Oak floor". */
  readonly of: string
  /** Faults that may be found with that pair. */
  readonly fitting: readonly Reason[]
  readonly onSay: (said: Sayings) => void
  readonly onStrike: () => void
}) {
  const said = sayingsOf(look)
  return (
    <section
      aria-label="Last look"
      className="flex min-h-13 flex-wrap items-center gap-x-3 gap-y-1 border-t border-rule text-small"
    >
      <div className="min-w-60 flex-1 leading-5">
        <div className="flex gap-2">
          <VerdictMark verdict={look.verdict} />
          <p>
            <span className={look.retracted ? 'line-through' : 'font-medium'}>
              {lookSaid(look)}
            </span>{' '}
            <span className="text-dim">
              {of}
              {look.note && `; “${look.note}”`}
              {look.client &&
                `; client: ${look.client.says}${look.client.words && ` “${look.client.words}”`}`}
              {look.waiting && '; waiting to be saved'}
            </span>{' '}
            {!look.retracted && (
              <button
                type="button"
                className="min-h-6 underline underline-offset-4 pointer-coarse:min-h-11"
                onClick={onStrike}
              >
                Undo
              </button>
            )}
          </p>
        </div>
        {look.model && (
          <p className="flex items-center gap-2 text-fine" aria-label="The model said">
            <JudgementMark judgement={look.model.judgement} />
            Model: {JUDGEMENT_WORDS[look.model.judgement]}
            {differs(look.model.chance, look.verdict) && '; differs from yours'}
            {look.model.strengthPercent !== null &&
              `; it would sit at ${look.model.strengthPercent} %`}
          </p>
        )}
      </div>
      {!look.retracted && (
        <div className="flex flex-wrap items-center gap-1">
          <ReasonKeys
            verdict={look.verdict}
            fitting={fitting}
            chosen={look.reasons}
            onToggle={(reason) =>
              onSay({
                ...said,
                reasons: look.reasons.includes(reason)
                  ? look.reasons.filter((each) => each !== reason)
                  : [...look.reasons, reason],
              })
            }
          />
          <MoreOfLook look={look} onSay={onSay} />
        </div>
      )}
    </section>
  )
}

/** A note, a photo of the moment, the lean to the eye and what the client says, behind one press. */
function MoreOfLook({
  look,
  onSay,
}: {
  readonly look: ShownLook
  readonly onSay: (said: Sayings) => void
}) {
  const [isOpen, setIsOpen] = useState(false)
  const note = useRef<HTMLInputElement>(null)
  const said = sayingsOf(look)
  useKeys({ '/': () => setIsOpen(!isOpen) }, [
    ['/', 'a note, a photo, the lean of what was just said'],
  ])
  return (
    <Popover.Root open={isOpen} onOpenChange={setIsOpen}>
      <Popover.Trigger className="key gap-1 px-2">
        Note <kbd className="text-fine">/</kbd>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="end"
          collisionPadding={16}
          aria-label="More of this look"
          className="z-30 flex w-[min(36rem,calc(100vw-2rem))] flex-wrap items-center gap-2 border border-ink bg-paper p-3 text-small"
          onOpenAutoFocus={(event) => {
            event.preventDefault()
            note.current?.focus()
          }}
        >
          <SaidInput
            ref={note}
            className="field flex-1 basis-full"
            label="Note"
            placeholder="Note, as you would say it"
            kept={look.note}
            onKeep={(words) => onSay({ ...said, note: words })}
            onDone={() => setIsOpen(false)}
          />
          <MomentPhoto
            photoHash={look.photoHash}
            onKeep={(photoHash) => onSay({ ...said, photoHash })}
          />
          <select
            aria-label="It leans, to your eye"
            className="min-h-11 border border-ash bg-paper px-1 text-small"
            value={look.lean ?? ''}
            onChange={(event) =>
              onSay({ ...said, lean: (event.target.value as LeanWord | '') || null })
            }
          >
            <option value="">leans?</option>
            {LEANS.map((each) => (
              <option key={each}>{each}</option>
            ))}
          </select>
          <div role="group" aria-label="The client says" className="flex items-center">
            <span className="pr-2 text-dim">Client</span>
            {CLIENT_SAYS.map((says) => (
              <button
                key={says}
                type="button"
                aria-pressed={look.client?.says === says}
                className="key -ml-px px-2 first:ml-0"
                onClick={() =>
                  onSay({
                    ...said,
                    client:
                      look.client?.says === says ? null : { says, words: look.client?.words ?? '' },
                  })
                }
              >
                {says}
              </button>
            ))}
          </div>
          {look.client && (
            <SaidInput
              className="field flex-1"
              label="In the client’s words"
              placeholder="in their words"
              kept={look.client.words}
              onKeep={(words) =>
                look.client && onSay({ ...said, client: { ...look.client, words } })
              }
            />
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

/** Words that are kept when they are left, with Enter, or when the next look takes their place: none is lost. */
export function SaidInput({
  ref,
  label,
  kept,
  onKeep,
  onDone,
  ...input
}: {
  readonly ref?: Ref<HTMLInputElement>
  readonly label: string
  readonly className: string
  readonly placeholder: string
  readonly kept: string
  readonly onKeep: (words: string) => void
  /** Enter or Escape: they are done with. */
  readonly onDone?: () => void
}) {
  const typed = useRef(kept)
  const keep = useEffectEvent(() => {
    const words = typed.current.trim()
    if (words !== kept) onKeep(words)
  })
  useEffect(() => () => keep(), [])
  return (
    <input
      {...input}
      ref={ref}
      aria-label={label}
      autoComplete="off"
      maxLength={2000}
      defaultValue={kept}
      onChange={(event) => (typed.current = event.target.value)}
      onBlur={() => {
        const words = typed.current.trim()
        if (words !== kept) onKeep(words)
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== 'Escape') return
        event.currentTarget.blur()
        onDone?.()
      }}
    />
  )
}
