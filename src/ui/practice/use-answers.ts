'use client'

import { useEffect, useState, useSyncExternalStore } from 'react'
import type { PracticeAnswer } from '@/core/practice/answer'
import type { Learner } from '@/core/practice/learner'

const CHOSEN = 'elm.learner'
const heard = new Set<() => void>()
const subscribe = (listener: () => void): (() => void) => {
  heard.add(listener)
  return () => heard.delete(listener)
}

/** Who practises on this device, and all that they have answered. */
export function useAnswers(learners: readonly Learner[]): {
  /** With as many answers as are known here. */
  readonly learner: Learner | null
  readonly choose: (learnerId: string) => void
  /** Oldest first; null until they are there. */
  readonly answers: readonly PracticeAnswer[] | null
  readonly add: (answer: PracticeAnswer) => void
  readonly message: string
} {
  const kept = useSyncExternalStore(
    subscribe,
    () => localStorage.getItem(CHOSEN),
    () => null,
  )
  const learner =
    learners.find(({ id }) => id === kept) ?? (learners.length === 1 ? learners[0]! : null)
  const [read, setRead] = useState<{
    readonly of: string
    readonly answers: readonly PracticeAnswer[]
  } | null>(null)
  const [message, setMessage] = useState('')
  const id = learner?.id ?? null
  useEffect(() => {
    if (id === null) return
    const asked = new AbortController()
    fetch(`/api/practice/${id}`, { signal: asked.signal })
      .then(async (response) => {
        if (!response.ok) throw new Error(String(response.status))
        const answers = (await response.json()) as readonly PracticeAnswer[]
        setRead({ of: id, answers })
        setMessage('')
      })
      .catch(() => {
        // Without the server one can practise all the same; what went before is not there to go by.
        if (asked.signal.aborted) return
        setRead({ of: id, answers: [] })
        setMessage('The server is not answering: what was practised before is not known here now.')
      })
    return () => asked.abort()
  }, [id])
  const answers = read && read.of === id ? read.answers : null
  return {
    learner: learner && { ...learner, answers: Math.max(learner.answers, answers?.length ?? 0) },
    choose(learnerId) {
      localStorage.setItem(CHOSEN, learnerId)
      for (const listener of heard) listener()
    },
    answers,
    add: (answer) => setRead((known) => known && { ...known, answers: [...known.answers, answer] }),
    message,
  }
}
