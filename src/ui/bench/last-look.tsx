'use client'

import { useEffect, useEffectEvent, useRef, useState, type Ref } from 'react'
import { JUDGEMENT_WORDS } from '@/core/pairing/chance'
import { differs } from '@/core/record/agreement'
import { CLIENT_SAYS, LEANS, type LeanWord } from '@/core/record/look'
import { lookSaid } from '@/core/record/look-words'
import { REASON_WORDS, reasonsSaid, type Reason, type Verdict } from '@/core/record/verdict'
import { useKeys, type KeyWords } from '../keys/use-keys'
import type { Sayings, ShownLook } from '../record/visit-record'
import { JudgementMark, VerdictMark } from '../verdict/verdict-mark'
import { MomentPhoto } from './moment-photo'
import { CLIENT_KEYS, REASON_KEYS, reasonsFor } from './bench-model'

const KEY_WORDS: KeyWords = [
  ['1 to =', 'why, of the last look'],
  ['M', 'reasons that are said more seldom'],
  ['/', 'a note on the last look'],
  ...CLIENT_SAYS.map((each) => [CLIENT_KEYS[each].toUpperCase(), `the client: ${each}`] as const),
]

/** The look that was given last, whose it is, and what is said of it: why, a note, the lean, the client; then the model. */
export function LastLook({
  look,
  of,
  onSay,
  onStrike,
}: {
  readonly look: ShownLook & { readonly verdict: Verdict }
  /** "Wimham at 50 % beside Oak floor". */
  readonly of: string
  readonly onSay: (said: Sayings) => void
  readonly onStrike: () => void
}) {
  const [more, setMore] = useState(false)
  const note = useRef<HTMLInputElement>(null)
  const offered = reasonsFor(look.verdict, more)
  const hasMore = look.verdict !== 'works'
  const said: Sayings = {
    reasons: look.reasons,
    lean: look.lean,
    note: look.note,
    client: look.client,
    photoHash: look.photoHash,
  }
  const toggle = (reason: Reason): void =>
    onSay({
      ...said,
      reasons: look.reasons.includes(reason)
        ? look.reasons.filter((each) => each !== reason)
        : [...look.reasons, reason],
    })
  const toldBy = (says: (typeof CLIENT_SAYS)[number]): void =>
    onSay({
      ...said,
      client: look.client?.says === says ? null : { says, words: look.client?.words ?? '' },
    })
  useKeys(
    {
      ...Object.fromEntries(offered.map((reason, i) => [REASON_KEYS[i]!, () => toggle(reason)])),
      ...(hasMore && { m: () => setMore(!more) }),
      '/': () => note.current?.focus(),
      ...Object.fromEntries(CLIENT_SAYS.map((each) => [CLIENT_KEYS[each], () => toldBy(each)])),
    },
    KEY_WORDS,
  )
  const hidden = look.reasons.filter((reason) => !offered.includes(reason))
  return (
    <section
      aria-label="Last look"
      className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-rule pt-1 text-small"
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
        <div className="flex flex-wrap items-center gap-2 max-sm:order-last">
          <SaidInput
            ref={note}
            className="field w-40"
            label="Note"
            placeholder="Note, as you would say it  /"
            kept={look.note}
            onKeep={(words) => onSay({ ...said, note: words })}
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
          <div role="group" aria-label="The client says" className="flex items-center text-small">
            <span className="pr-2 text-dim">Client</span>
            {CLIENT_SAYS.map((each) => (
              <button
                key={each}
                type="button"
                aria-pressed={look.client?.says === each}
                className="key -ml-px gap-1 px-2 first:ml-0"
                onClick={() => toldBy(each)}
              >
                {each} <kbd className="text-fine">{CLIENT_KEYS[each].toUpperCase()}</kbd>
              </button>
            ))}
          </div>
          {look.client && (
            <SaidInput
              className="field w-40"
              label="In the client’s words"
              placeholder="in their words"
              kept={look.client.words}
              onKeep={(words) =>
                look.client && onSay({ ...said, client: { ...look.client, words } })
              }
            />
          )}
        </div>
      )}
      {!look.retracted && (
        <div className="flex basis-full flex-wrap items-center gap-y-1">
          {offered.map((reason, i) => (
            <button
              key={reason}
              type="button"
              aria-pressed={look.reasons.includes(reason)}
              className="key -ml-px min-w-16 flex-1 gap-1 px-1 leading-4 first:ml-0"
              onClick={() => toggle(reason)}
            >
              {REASON_WORDS[reason].replace('too ', '')}
              <kbd className="text-fine">{REASON_KEYS[i]}</kbd>
            </button>
          ))}
          {hasMore && (
            <button
              type="button"
              aria-pressed={more}
              className="key -ml-px min-w-16 gap-1 px-1 leading-4"
              onClick={() => setMore(!more)}
            >
              {more ? 'usual' : 'more'} <kbd className="text-fine">M</kbd>
            </button>
          )}
        </div>
      )}
      {hidden.length > 0 && (
        <p className="basis-full text-fine">Also said: {reasonsSaid(hidden)}</p>
      )}
    </section>
  )
}

/** Words that are kept when they are left, with Enter, or when the next look takes their place: none is lost. */
function SaidInput({
  ref,
  label,
  kept,
  onKeep,
  ...input
}: {
  readonly ref?: Ref<HTMLInputElement>
  readonly label: string
  readonly className: string
  readonly placeholder: string
  readonly kept: string
  readonly onKeep: (words: string) => void
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
        if (event.key === 'Enter' || event.key === 'Escape') event.currentTarget.blur()
      }}
    />
  )
}
