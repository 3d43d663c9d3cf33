'use client'

import { useRouter } from 'next/navigation'
import { useState, type FormEvent } from 'react'
import { DEFAULT_HOUSE_RULES } from '@/core/advice/house-rules'
import { FormMessage } from '../form/field'
import { newId } from '../record/new-id'
import { send, thisDevice } from '../record/send'
import { OwnWaysFields } from './own-ways-fields'
import { readSettings } from './read-settings'
import type { OwnWays } from './settings-context'

/** The first start: whose store this is, its units, and whether the deck that comes with the application is laid in. */
export function StartForm({
  settings,
  deck,
}: {
  readonly settings: Omit<OwnWays, 'locale'>
  /** The deck that is offered, in words; null where a deck is in already. */
  readonly deck: string | null
}) {
  const router = useRouter()
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({})
  const [doing, setDoing] = useState('')
  const [message, setMessage] = useState('')
  const [ids] = useState(() => ({ commandId: newId(), deckId: newId() }))

  async function onSubmit(event: FormEvent<HTMLFormElement>): Promise<void> {
    event.preventDefault()
    const form = event.currentTarget
    const filled = new FormData(form)
    for (const [rule, school] of Object.entries(DEFAULT_HOUSE_RULES))
      filled.set(`rule-${rule}`, school)
    const read = readSettings(filled)
    if (!read.ok) {
      setErrors(read.fields)
      const field = form.elements.namedItem(Object.keys(read.fields)[0]!)
      if (field instanceof HTMLElement) field.focus()
      return
    }
    setErrors({})
    setMessage('')
    if (filled.get('deck') === 'on') {
      setDoing('Adding the deck')
      const answer = await fetch('/api/decks/shipped', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          ...ids,
          actor: read.payload.who,
          device: thisDevice(),
          madeAt: new Date().toISOString(),
        }),
      }).catch(() => null)
      if (!answer?.ok) {
        setDoing('')
        return setMessage(
          answer
            ? 'The deck could not be added. Try again, or leave it out: you can add it later.'
            : 'The server is not answering. Try again.',
        )
      }
    }
    setDoing('Saving')
    const answer = await send('keep-settings', read.payload)
    setDoing('')
    if (!answer.ok) {
      setErrors(answer.fields ?? {})
      return setMessage(answer.message)
    }
    router.replace('/')
    router.refresh()
  }

  return (
    <form
      onSubmit={(event) => void onSubmit(event)}
      noValidate
      className="mt-6 grid gap-x-6 gap-y-4 sm:grid-cols-3"
    >
      <OwnWaysFields settings={settings} errors={errors} />
      {deck !== null && (
        <label className="flex min-h-11 items-center gap-3 text-small sm:col-span-3">
          <input
            type="checkbox"
            name="deck"
            defaultChecked
            className="size-5 shrink-0 accent-ink"
          />
          <span>
            Add the deck that comes with it: {deck}. Makers’ decks are imported from CSV files,
            under Decks.
          </span>
        </label>
      )}
      <div className="flex items-center gap-4 sm:col-span-3">
        <button type="submit" className="key key-first px-6" disabled={doing !== ''}>
          {doing || 'Start'}
        </button>
        <FormMessage>{message}</FormMessage>
      </div>
    </form>
  )
}
