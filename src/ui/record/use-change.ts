'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Answer, KindName, PayloadOf } from '@/commands/kinds'
import { NO_ANSWER, retryNow, send, useOutbox } from './send'

/** Makes a change at a press and says what came of it; pressing again while it waits asks again. */
export function useChange() {
  const router = useRouter()
  const { trouble } = useOutbox()
  const [busy, setBusy] = useState(false)
  const [said, setSaid] = useState('')

  async function change<K extends KindName>(
    kind: K,
    payload: PayloadOf<K>,
    done = '',
  ): Promise<Answer | null> {
    if (busy) {
      retryNow()
      return null
    }
    setSaid('')
    setBusy(true)
    const answer = await send(kind, payload)
    setBusy(false)
    setSaid(answer.ok ? [done, answer.note].filter(Boolean).join(' ') : wordsOf(answer))
    if (answer.ok) router.refresh()
    return answer
  }

  return {
    change,
    busy: busy && !trouble,
    message: busy && trouble ? NO_ANSWER : said,
    say: setSaid,
  }
}

const wordsOf = ({ message, fields }: Extract<Answer, { ok: false }>): string =>
  [message, ...Object.values(fields ?? {})].filter(Boolean).join(' ')
