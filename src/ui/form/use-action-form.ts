'use client'

import { useRouter } from 'next/navigation'
import { useState, useTransition, type FormEvent } from 'react'
import type { ActionResult, FormAction } from './action-result'

/**
 * Sends a form to a server action and keeps what was typed when the action refuses it; the first
 * refused field gets the focus.
 */
export function useActionForm(action: FormAction, onKept?: (form: HTMLFormElement) => void) {
  const router = useRouter()
  const [pending, start] = useTransition()
  const [result, setResult] = useState<ActionResult | null>(null)

  function onSubmit(event: FormEvent<HTMLFormElement>): void {
    event.preventDefault()
    const form = event.currentTarget
    const data = new FormData(form)
    start(async () => {
      const answer = await action(data).catch((): ActionResult => ({
        ok: false,
        message: 'The server did not answer, so nothing was kept. Is Elm Swatch still running?',
      }))
      setResult(answer)
      if (answer.ok) {
        onKept?.(form)
        if (answer.goTo) router.push(answer.goTo)
      } else if (answer.fields) {
        const [first] = Object.keys(answer.fields)
        const field = first ? form.elements.namedItem(first) : null
        if (field instanceof HTMLElement) field.focus()
      }
    })
  }

  const refusal = result && !result.ok ? result : null
  return {
    onSubmit,
    pending,
    errors: refusal?.fields ?? {},
    message: refusal?.message ?? null,
    kept: result?.ok === true,
  }
}
