'use client'

import { useRouter } from 'next/navigation'
import { useRef, useState, useTransition, type FormEvent } from 'react'
import { Field, FormMessage } from '../form/field'
import { TextKey } from '../form/text-key'
import { newId } from '../record/new-id'
import { thisDevice, whoRecords } from '../record/send'

interface Answer {
  readonly ok: boolean
  readonly colours?: number
  readonly fields?: Readonly<Record<string, string>>
  readonly lines?: readonly { readonly line: number; readonly message: string }[]
}

const freshIds = () => ({ commandId: newId(), deckId: newId() })

/** Takes a deck from a CSV file, or says what is wrong with it by line. */
export function DeckImport() {
  const router = useRouter()
  const sending = useRef<Readonly<Record<string, string>>>({})
  const running = useRef<AbortController | null>(null)
  const [pending, start] = useTransition()
  const [answer, setAnswer] = useState<Answer | null>(null)

  function onSubmit(event: FormEvent<HTMLFormElement>): void {
    event.preventDefault()
    const body = new FormData(event.currentTarget)
    if (!sending.current.deckId) sending.current = freshIds()
    // Sent again after no answer came, it is the same deck.
    for (const [name, value] of Object.entries(sending.current)) body.set(name, value)
    body.set('actor', whoRecords())
    body.set('device', thisDevice())
    body.set('madeAt', new Date().toISOString())
    const stop = new AbortController()
    running.current = stop
    start(async () => {
      const response = await fetch('/api/decks/import', {
        method: 'POST',
        body,
        signal: stop.signal,
      }).catch(() => null)
      if (response || stop.signal.aborted) sending.current = freshIds()
      setAnswer(
        (await response?.json().catch(() => null)) ?? {
          ok: false,
          fields: {
            file: stop.signal.aborted
              ? 'Stopped. What is listed above is there.'
              : 'The server did not answer. Send it again: it is taken in once.',
          },
        },
      )
      router.refresh()
    })
  }

  const errors = answer?.fields ?? {}
  return (
    <form onSubmit={onSubmit} noValidate className="grid gap-4 sm:grid-cols-2">
      <Field label="Maker" name="maker" error={errors.maker} />
      <Field label="Name of the deck" name="name" error={errors.name} />
      <fieldset className="grid grid-cols-3 gap-4 sm:col-span-2">
        <legend className="mb-1 text-small">
          The untinted white base, L*a*b*. Strengths are mixed towards it; the figures given are an
          ordinary one’s.
        </legend>
        <Field label="L*" name="baseL" defaultValue="96.2" error={errors.baseL} />
        <Field label="a*" name="baseA" defaultValue="-0.2" error={errors.baseA} />
        <Field label="b*" name="baseB" defaultValue="1.5" error={errors.baseB} />
      </fieldset>
      <div className="sm:col-span-2">
        <Field
          label="CSV file"
          name="file"
          type="file"
          accept=".csv,text/csv"
          error={errors.file}
          hint="UTF-8, columns code, name, strip, base (white, mid, deep, clear) and L, a, b (D65, 2°) or hex; strips lightest first; at most 25,000 lines."
          style={{ paddingBlock: '0.6rem' }}
        />
      </div>
      <div className="flex items-center gap-4 sm:col-span-2">
        <button type="submit" className="key key-first px-6" disabled={pending}>
          {pending ? 'Reading the file' : 'Take the deck in'}
        </button>
        {pending && (
          <>
            <progress aria-label="Taking the deck in" className="w-24 accent-ink" />
            <TextKey onClick={() => running.current?.abort()}>Stop</TextKey>
          </>
        )}
        <FormMessage>
          {answer?.ok ? `${answer.colours?.toLocaleString('en-GB')} colours taken in.` : ''}
        </FormMessage>
      </div>
      {answer?.lines && (
        <div role="alert" className="border-t border-ink pt-3 sm:col-span-2">
          <p className="font-medium">
            Nothing was taken in. The file says otherwise than expected:
          </p>
          <ol className="mt-2 text-small">
            {answer.lines.map(({ line, message }) => (
              <li key={`${line}${message}`}>
                Line {line}: {message}
              </li>
            ))}
          </ol>
        </div>
      )}
    </form>
  )
}
