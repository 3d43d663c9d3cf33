'use client'

import { useState, type FormEvent } from 'react'
import { z } from 'zod'
import { Field, FormMessage } from '../form/field'

const Answer = z.object({ ok: z.boolean(), message: z.string() })

/** Asks for the passcode of the store. */
export function EnterForm() {
  const [message, setMessage] = useState('')
  const [busy, setBusy] = useState(false)

  async function enter(event: FormEvent<HTMLFormElement>): Promise<void> {
    event.preventDefault()
    setBusy(true)
    const passcode = new FormData(event.currentTarget).get('passcode')
    const answer = await fetch('/api/enter', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ passcode }),
    }).catch(() => null)
    const said = Answer.safeParse(await answer?.json().catch(() => null))
    setBusy(false)
    if (!said.success) return setMessage('The server is not answering. Try again.')
    if (!said.data.ok) return setMessage(said.data.message)
    const to = new URLSearchParams(location.search).get('to') ?? '/'
    // Within this application only.
    location.replace(/^\/(?![/\\])/.test(to) ? to : '/')
  }

  return (
    <form onSubmit={(event) => void enter(event)} className="mt-6 flex max-w-80 flex-col gap-4">
      <Field
        label="Passcode of this store"
        name="passcode"
        type="password"
        autoComplete="current-password"
      />
      <button type="submit" className="key key-first px-6" disabled={busy}>
        Enter
      </button>
      <FormMessage>{message}</FormMessage>
    </form>
  )
}
