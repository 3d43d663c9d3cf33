'use client'

import { useEffect, useRef, useState } from 'react'
import { VERDICTS, VERDICT_WORDS, type Reason, type Verdict } from '@/core/record/verdict'
import { VerdictMark } from '../verdict/verdict-mark'
import { REASON_KEYS, reasonsFor, VERDICT_KEYS } from './bench-model'
import { useKeys } from './use-keys'

/** Five verdicts as one row; after one is pressed the row turns into its reasons and a note. */
export function VerdictKeys({
  busy,
  onKeep,
}: {
  readonly busy: boolean
  readonly onKeep: (verdict: Verdict, reasons: readonly Reason[], note: string) => void
}) {
  const [verdict, setVerdict] = useState<Verdict | null>(null)
  const press = Object.fromEntries(
    VERDICTS.map((each) => [VERDICT_KEYS[each], () => setVerdict(each)]),
  )
  useKeys(verdict === null ? press : {})
  if (verdict !== null)
    return (
      <ReasonKeys
        verdict={verdict}
        busy={busy}
        onBack={() => setVerdict(null)}
        onKeep={(reasons, note) => {
          onKeep(verdict, reasons, note)
          setVerdict(null)
        }}
      />
    )
  return (
    <div role="group" aria-label="Your verdict" className="flex max-sm:flex-wrap">
      {VERDICTS.map((each) => (
        <button
          key={each}
          type="button"
          className="key -ml-px min-h-13 flex-1 first:ml-0"
          disabled={busy}
          onClick={() => setVerdict(each)}
          aria-keyshortcuts={VERDICT_KEYS[each]}
        >
          <VerdictMark verdict={each} />
          {VERDICT_WORDS[each]}
          <kbd className="text-fine text-dim">{VERDICT_KEYS[each].toUpperCase()}</kbd>
        </button>
      ))}
    </div>
  )
}

function ReasonKeys({
  verdict,
  busy,
  onBack,
  onKeep,
}: {
  readonly verdict: Verdict
  readonly busy: boolean
  readonly onBack: () => void
  readonly onKeep: (reasons: readonly Reason[], note: string) => void
}) {
  const [chosen, setChosen] = useState<readonly Reason[]>([])
  const [note, setNote] = useState('')
  const group = useRef<HTMLDivElement>(null)
  const offered = reasonsFor(verdict)
  const toggle = (reason: Reason): void =>
    setChosen((before) =>
      before.includes(reason) ? before.filter((each) => each !== reason) : [...before, reason],
    )
  const keep = (): void => onKeep(chosen, note)
  useKeys({
    ...Object.fromEntries(offered.map((reason, i) => [REASON_KEYS[i]!, () => toggle(reason)])),
    Enter: keep,
    Escape: onBack,
  })
  // The row was replaced under the focus: it moves along, so that the next key is heard here.
  useEffect(() => group.current?.focus(), [])
  return (
    <div
      ref={group}
      tabIndex={-1}
      role="group"
      aria-label={`Why: ${VERDICT_WORDS[verdict]}`}
      className="flex flex-col gap-2 outline-none"
    >
      <div className="flex flex-wrap">
        <span className="flex w-32 items-center gap-2 text-small font-medium">
          <VerdictMark verdict={verdict} />
          {VERDICT_WORDS[verdict]}
        </span>
        {offered.map((reason, i) => (
          <button
            key={reason}
            type="button"
            aria-pressed={chosen.includes(reason)}
            className="key -ml-px min-w-20 flex-1 gap-1 px-1 leading-4"
            onClick={() => toggle(reason)}
          >
            {reason.replace('too ', '')}
            <kbd className="text-fine">{REASON_KEYS[i]}</kbd>
          </button>
        ))}
      </div>
      <form
        className="flex gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          keep()
        }}
        onKeyDown={(event) => event.key === 'Escape' && onBack()}
      >
        <input
          className="field flex-1"
          aria-label="Note"
          placeholder="Note, as you would say it"
          maxLength={2000}
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
        <button type="submit" className="key key-first px-6" disabled={busy}>
          Keep <kbd className="text-fine">Enter</kbd>
        </button>
        <button type="button" className="key" onClick={onBack}>
          Back <kbd className="text-fine">Esc</kbd>
        </button>
      </form>
    </div>
  )
}
