'use client'

import { useRouter } from 'next/navigation'
import { useState, type FormEvent } from 'react'
import type { Answer, KindName, PayloadOf } from '@/commands/kinds'
import { retryNow, send, useOutbox } from '../record/send'
import { useRefresh } from '../frame/page-address'

/** What a form comes to: a change to be made, or what is wrong in it by field. */
export type Filled<K extends KindName> =
  | {
      readonly ok: true
      readonly payload: PayloadOf<K>
      readonly goTo?: string
      /** Further changes, once this one is kept. */
      readonly then?: () => Promise<void>
    }
  | {
      readonly ok: false
      readonly fields: Readonly<Record<string, string>>
      readonly message?: string
    }

/**
 * A form that makes a change. What was typed stays when the change is refused, and the first refused field gets the focus;
 * without an answer it waits, and pressing again asks again.
 */
export function useCommandForm<K extends KindName>(
  kind: K,
  read: (form: FormData) => Filled<K>,
  onKept?: (form: HTMLFormElement) => void,
) {
  const router = useRouter()
  const refresh = useRefresh()
  const { trouble } = useOutbox()
  const [pending, setPending] = useState(false)
  const [result, setResult] = useState<Answer | null>(null)
  const [hidden, setHidden] = useState('')

  function refuse(form: HTMLFormElement, refusal: Extract<Answer, { ok: false }>): void {
    setResult(refusal)
    const [first] = Object.keys(refusal.fields ?? {})
    const field = first ? form.elements.namedItem(first) : null
    if (field instanceof HTMLElement) field.focus()
    // What is wrong at a field that is not on the form would be said nowhere.
    const elsewhere = Object.entries(refusal.fields ?? {}).filter(
      ([name]) => !form.elements.namedItem(name),
    )
    setHidden(elsewhere.map((entry) => entry.join(': ')).join(' '))
  }

  async function onSubmit(event: FormEvent<HTMLFormElement>): Promise<void> {
    event.preventDefault()
    if (pending) return retryNow()
    const form = event.currentTarget
    const filled = read(new FormData(form))
    if (!filled.ok)
      return refuse(form, { ok: false, message: filled.message ?? '', fields: filled.fields })
    setPending(true)
    const answer = await send(kind, filled.payload)
    if (answer.ok) await filled.then?.()
    setPending(false)
    if (!answer.ok) return refuse(form, answer)
    setResult(answer)
    onKept?.(form)
    refresh()
    if (filled.goTo) router.push(filled.goTo)
  }

  const refusal = result && !result.ok ? result : null
  const named = Object.keys(refusal?.fields ?? {}).length > 0
  return {
    onSubmit: (event: FormEvent<HTMLFormElement>) => void onSubmit(event),
    pending: pending && !trouble,
    errors: refusal?.fields ?? {},
    message: pending && trouble ? trouble : refusal ? (named ? hidden : refusal.message) : null,
    kept: result?.ok === true,
  }
}
