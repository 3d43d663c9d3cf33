'use client'

import { useCallback, useRef, useState } from 'react'
import type { Answer, KindName, PayloadOf } from '@/commands/kinds'
import { retryNow, send, useOutbox } from './send'
import { useRefresh } from '../frame/page-address'

/** Makes changes at a press, one after the other, and says what came of the last; the same pressed again while it waits asks again. */
export function useChange() {
  const refresh = useRefresh()
  const { trouble } = useOutbox()
  const waiting = useRef(new Set<string>())
  const [busy, setBusy] = useState(false)
  const [said, setSaid] = useState('')

  // One function for good: what is drawn with it is not drawn anew for each change.
  const change = useCallback(
    async <K extends KindName>(
      kind: K,
      payload: PayloadOf<K>,
      done = '',
    ): Promise<Answer | null> => {
      const press = JSON.stringify([kind, payload])
      if (waiting.current.has(press)) {
        retryNow()
        return null
      }
      waiting.current.add(press)
      setSaid('')
      setBusy(true)
      const answer = await send(kind, payload)
      waiting.current.delete(press)
      setBusy(waiting.current.size > 0)
      setSaid(answer.ok ? [done, answer.note].filter(Boolean).join(' ') : wordsOf(answer))
      if (answer.ok) refresh()
      return answer
    },
    [refresh],
  )

  return {
    change,
    busy: busy && !trouble,
    message: (busy && trouble) || said,
    say: setSaid,
  }
}

const wordsOf = ({ message, fields }: Extract<Answer, { ok: false }>): string =>
  [message, ...Object.values(fields ?? {})].filter(Boolean).join(' ')
