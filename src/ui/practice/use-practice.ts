'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import type { PracticeAnswer } from '@/core/practice/answer'
import type { PracticeFinish } from '@/core/practice/asked-about'
import type { Round } from '@/core/practice/next'
import type { Question } from '@/core/practice/question'
import type { TradeWords } from '@/core/trade-words'
import type { DeckName } from '@/workers/fetch-deck'
import { PracticeWorker } from '@/workers/practice-client'

/** One's own paints and finishes to be asked about. */
export interface OwnMaterial {
  readonly decks: readonly DeckName[]
  readonly finishes: readonly PracticeFinish[]
}

/** What stands on the screen of a round. */
export type RoundState =
  /** The next question is being made: nothing can be answered. */
  | { readonly at: 'making' }
  | { readonly at: 'asking'; readonly question: Question; readonly isAgain: boolean }
  /** Nothing of the chosen kinds can be asked. */
  | { readonly at: 'nothing' }
  | { readonly at: 'failed'; readonly message: string }

/** Makes the questions of a round, one after the other. */
export function useRound(
  round: Round,
  own: OwnMaterial | null,
  words: TradeWords,
): {
  readonly state: RoundState
  /** Whether questions are of one's own paints, which may be too few. */
  readonly isOwn: boolean
  /** Makes the next one, after so many; it is shown once it is asked for. */
  readonly make: (answers: readonly PracticeAnswer[], asked: number) => void
  readonly show: () => void
} {
  const [state, setState] = useState<RoundState>({ at: 'making' })
  const [isOwn, setOwn] = useState(own !== null)
  const worker = useRef<{ readonly own: PracticeWorker; readonly opened: Promise<boolean> }>(null)
  const made = useRef<Promise<RoundState>>(null)
  const [begun] = useState({ round, own, words })
  const make = useCallback(
    (answers: readonly PracticeAnswer[], asked: number): void => {
      const held = worker.current
      if (!held) return
      made.current = held.opened
        .then((opened) => {
          setOwn(opened)
          return held.own.question({ round: begun.round, answers, asked, nowMs: Date.now() })
        })
        .then(
          ({ question, isAgain }): RoundState =>
            question ? { at: 'asking', question, isAgain } : { at: 'nothing' },
          (error: unknown): RoundState => ({ at: 'failed', message: String(error) }),
        )
    },
    [begun],
  )
  const show = useCallback((): void => {
    const next = made.current
    setState({ at: 'making' })
    void next?.then((state) => {
      if (made.current === next) setState(state)
    })
  }, [])
  useEffect(() => {
    const own = new PracticeWorker()
    worker.current = {
      own,
      opened: own.open({ own: begun.own, seed: begun.round.seed, words: begun.words }),
    }
    return () => {
      worker.current = null
      made.current = null
      own.end()
    }
  }, [begun])
  return { state, isOwn, make, show }
}
