'use client'

import { useEffect, useRef, useState } from 'react'
import type { PracticeAnswer } from '@/core/practice/answer'
import { countsSpreads } from '@/core/practice/kinds'
import { A_ROUND, type Round } from '@/core/practice/next'
import { isRight, rightWords, type Given, type Question } from '@/core/practice/question'
import { capital } from '@/core/words'
import { useKeys } from '../keys/use-keys'
import { useSettings } from '../settings/settings-context'
import { AnswerKeys } from './answer-keys'
import { pastWords, type PastRulings } from './past-rulings'
import { InOtherLights, QuestionField, UnderField } from './question-field'
import { useRound, type OwnMaterial } from './use-practice'

/** A round of twenty: a question, a key, the reading, and on. */
export function PracticeRound({
  round,
  own,
  before,
  rulings,
  onAnswer,
  onEnd,
}: {
  readonly round: Round
  readonly own: OwnMaterial | null
  /** All that was answered before this round, oldest first. */
  readonly before: readonly PracticeAnswer[]
  readonly rulings: readonly PastRulings[]
  /** Keeps an answer; given back as it is kept. */
  readonly onAnswer: (
    question: Question,
    given: Given,
    right: boolean,
    tookMs: number,
  ) => PracticeAnswer
  readonly onEnd: () => void
}) {
  const { words } = useSettings()
  const { state, isOwn, make, show } = useRound(round, own, words)
  const [answered, setAnswered] = useState<readonly PracticeAnswer[]>([])
  const [given, setGiven] = useState<PracticeAnswer | null>(null)
  const shownAt = useRef(0)
  const [started] = useState(before)
  useEffect(() => {
    make(started, 0)
    show()
  }, [make, show, started])
  useEffect(() => {
    if (state.at === 'asking') shownAt.current = performance.now()
  }, [state])
  useKeys({ Escape: onEnd }, [['Esc', 'ends the round']])

  const place = answered.length + (given ? 0 : 1)
  function answer(question: Question, said: Given): void {
    const kept = onAnswer(
      question,
      said,
      isRight(question.answer, said),
      Math.round(performance.now() - shownAt.current),
    )
    const all = [...answered, kept]
    setGiven(kept)
    setAnswered(all)
    // While the answer is read the next one is made.
    if (all.length < A_ROUND) make([...started, ...all], all.length)
  }
  function next(): void {
    if (answered.length >= A_ROUND) return onEnd()
    setGiven(null)
    show()
  }

  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <header className="flex min-h-11 flex-wrap items-center justify-between gap-x-4 border-b border-rule px-4">
        <h1 className="text-body font-medium">
          {state.at === 'asking' ? capital(state.question.spec.kind) : 'Practice'}
          {state.at === 'asking' && state.isAgain && (
            <span className="ml-2 text-small font-normal text-dim">missed before</span>
          )}
        </h1>
        <p className="text-small text-dim">
          {own && !isOwn ? 'Your decks have too few colours: invented ones. ' : ''}
          {Math.min(place, A_ROUND)} of {A_ROUND}, {answered.filter((each) => each.isRight).length}{' '}
          right
        </p>
        <button type="button" className="key" onClick={onEnd}>
          End <span className="text-dim">Esc</span>
        </button>
      </header>
      {state.at === 'making' && (
        <>
          <div className="min-h-0 flex-1 bg-mist" />
          <p className="min-h-52 p-4 text-small text-dim" role="status">
            Making a question …
          </p>
        </>
      )}
      {state.at === 'failed' && (
        <p className="p-4" role="alert">
          No question could be made: {state.message}. End the round and begin another.
        </p>
      )}
      {state.at === 'nothing' && (
        <p className="p-4" role="alert">
          Nothing of these kinds can be asked of what there is. End the round and choose other
          kinds, or invented colours.
        </p>
      )}
      {state.at === 'asking' && (
        <Asking
          key={answered.length - (given ? 1 : 0)}
          question={state.question}
          given={given}
          past={pastWords(state.question, rulings, [
            ...started,
            ...answered.slice(0, given ? -1 : undefined),
          ])}
          isLast={answered.length >= A_ROUND}
          onAnswer={answer}
          onNext={next}
        />
      )}
    </main>
  )
}

function Asking({
  question,
  given,
  past,
  isLast,
  onAnswer,
  onNext,
}: {
  readonly question: Question
  readonly given: PracticeAnswer | null
  readonly past: string
  readonly isLast: boolean
  readonly onAnswer: (question: Question, given: Given) => void
  readonly onNext: () => void
}) {
  const isSaid = useRef(false)
  const nextKey = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    if (given) nextKey.current?.focus()
  }, [given])
  // A key that is hit twice has answered once.
  const say = (said: Given): void => {
    if (isSaid.current) return
    isSaid.current = true
    onAnswer(question, said)
  }
  useKeys(
    given ? { n: onNext, ArrowRight: onNext } : {},
    given ? [['N, Enter or →', isLast ? 'ends the round' : 'the next question']] : [],
  )
  const { answer, shown, level, spec, why } = question
  return (
    <>
      <QuestionField question={question} />
      <UnderField question={question} isAnswered={given !== null} />
      {given && answer.as === 'choice' && spec.lights.length > 0 && (
        <InOtherLights lights={spec.lights} shown={shown} />
      )}
      <section className="flex min-h-48 flex-col gap-2 px-4 py-3">
        <h2 className="font-text text-body font-medium" aria-live="polite">
          {question.asks}
        </h2>
        {given ? (
          <div role="status" className="flex flex-col gap-1 text-small">
            <p className="text-body font-medium">
              {given.isRight ? '● Right: ' : '○ Missed; right is: '}
              {rightWords(answer, shown)}
              {answer.as === 'figure' && `, you said ${String(given.given)}`}
              {answer.as === 'order' && !given.isRight && (
                <span className="font-normal">
                  , you said{' '}
                  {(given.given as readonly number[]).map((each) => shown[each]!.label).join(', ')}
                </span>
              )}
            </p>
            <p>{why}</p>
            <p className="text-dim">{past}</p>
            <details className="text-dim">
              <summary>Figures</summary>
              {countsSpreads(spec.kind)
                ? `The chance lies ${level.toFixed(1)} standard deviations from even odds.`
                : `Right and wrong lie ${level.toFixed(1)} steps of the eye apart.`}{' '}
              Answered in {(given.tookMs / 1000).toFixed(1)} s.
            </details>
            <button
              ref={nextKey}
              type="button"
              className="key key-first mt-1 self-start px-8"
              onClick={onNext}
            >
              {isLast ? 'How it went' : 'Next'} <span>N</span>
            </button>
          </div>
        ) : (
          <AnswerKeys question={question} onAnswer={say} />
        )}
      </section>
    </>
  )
}
