'use client'

import { useEffect, useRef, useState } from 'react'
import { CLIENT_SAYS, LEANS, type LeanWord } from '@/core/record/look'
import { VERDICTS, VERDICT_WORDS, type Reason, type Verdict } from '@/core/record/verdict'
import { useKeys, type KeyWords } from '../keys/use-keys'
import { VerdictMark } from '../verdict/verdict-mark'
import { REASON_KEYS, reasonsFor, VERDICT_KEYS, type Said } from './bench-model'

interface Props {
  readonly busy: boolean
  /** What was chosen and typed stays until this says that it was kept. */
  readonly onKeep: (said: Said) => Promise<boolean>
}

const VERDICT_KEY_WORDS: KeyWords = VERDICTS.map(
  (verdict) => [VERDICT_KEYS[verdict].toUpperCase(), VERDICT_WORDS[verdict]] as const,
)
const REASON_KEY_WORDS: KeyWords = [
  ['1 to =', 'reasons'],
  ['M', 'reasons that are said more seldom'],
  ['Enter', 'keep it'],
  ['Esc', 'back to the verdicts'],
]

/** Five verdicts as one row; after one is pressed the row turns into its reasons and a note. */
export function VerdictKeys({ busy, onKeep }: Props) {
  const [verdict, setVerdict] = useState<Verdict | null>(null)
  const press = Object.fromEntries(
    VERDICTS.map((each) => [VERDICT_KEYS[each], () => setVerdict(each)]),
  )
  useKeys(verdict === null ? press : {}, verdict === null ? VERDICT_KEY_WORDS : [])
  if (verdict !== null)
    return (
      <ReasonKeys
        verdict={verdict}
        busy={busy}
        onBack={() => setVerdict(null)}
        onKeep={async (said) => {
          const kept = await onKeep(said)
          if (kept) setVerdict(null)
          return kept
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
}: Props & { readonly verdict: Verdict; readonly onBack: () => void }) {
  const [chosen, setChosen] = useState<readonly Reason[]>([])
  const [more, setMore] = useState(false)
  const [note, setNote] = useState('')
  const [lean, setLean] = useState<LeanWord | ''>('')
  const [client, setClient] = useState<(typeof CLIENT_SAYS)[number] | ''>('')
  const [clientWords, setClientWords] = useState('')
  const group = useRef<HTMLDivElement>(null)
  const offered = reasonsFor(verdict, more)
  const hasMore = verdict !== 'works'
  const toggle = (reason: Reason): void =>
    setChosen((before) =>
      before.includes(reason) ? before.filter((each) => each !== reason) : [...before, reason],
    )
  const keep = (): void =>
    void onKeep({
      verdict,
      reasons: chosen,
      note,
      lean: lean || null,
      client: client ? { says: client, words: clientWords } : null,
    })
  useKeys(
    {
      ...Object.fromEntries(
        offered.map((reason, i) => [REASON_KEYS[i]!, () => !busy && toggle(reason)]),
      ),
      ...(hasMore && { m: () => setMore(!more) }),
      Enter: keep,
      Escape: onBack,
    },
    REASON_KEY_WORDS,
  )
  // The row was replaced under the focus: it moves along, so that the next key is heard here.
  useEffect(() => group.current?.focus(), [])
  const hidden = chosen.filter((reason) => !offered.includes(reason))
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
            className="key -ml-px min-w-18 flex-1 gap-1 px-1 leading-4"
            disabled={busy}
            onClick={() => toggle(reason)}
          >
            {reason.replace('too ', '')}
            <kbd className="text-fine">{REASON_KEYS[i]}</kbd>
          </button>
        ))}
        {hasMore && (
          <button
            type="button"
            aria-pressed={more}
            className="key -ml-px min-w-18 gap-1 px-1 leading-4"
            onClick={() => setMore(!more)}
          >
            {more ? 'usual' : 'more'} <kbd className="text-fine">M</kbd>
          </button>
        )}
      </div>
      {hidden.length > 0 && <p className="text-fine">Also chosen: {hidden.join(', ')}</p>}
      <form
        className="flex flex-wrap gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          keep()
        }}
        onKeyDown={(event) => event.key === 'Escape' && onBack()}
      >
        <input
          className="field min-w-40 flex-1"
          aria-label="Note"
          placeholder="Note, as you would say it"
          maxLength={2000}
          readOnly={busy}
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
        <select
          aria-label="It leans, to your eye"
          className="min-h-11 border border-ash bg-paper px-1 text-small"
          disabled={busy}
          value={lean}
          onChange={(event) => setLean(event.target.value as LeanWord | '')}
        >
          <option value="">leans?</option>
          {LEANS.map((each) => (
            <option key={each}>{each}</option>
          ))}
        </select>
        <select
          aria-label="The client says"
          className="min-h-11 border border-ash bg-paper px-1 text-small"
          disabled={busy}
          value={client}
          onChange={(event) => setClient(event.target.value as typeof client)}
        >
          <option value="">client?</option>
          {CLIENT_SAYS.map((each) => (
            <option key={each} value={each}>
              client: {each}
            </option>
          ))}
        </select>
        {client && (
          <input
            className="field w-48"
            aria-label="In the client’s words"
            placeholder="in their words"
            maxLength={2000}
            readOnly={busy}
            value={clientWords}
            onChange={(event) => setClientWords(event.target.value)}
          />
        )}
        <button type="submit" className="key key-first px-6">
          Keep <kbd className="text-fine">Enter</kbd>
        </button>
        <button type="button" className="key" onClick={onBack}>
          Back <kbd className="text-fine">Esc</kbd>
        </button>
      </form>
    </div>
  )
}
