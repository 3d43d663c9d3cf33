'use client'

import dynamic from 'next/dynamic'
import { useState } from 'react'
import type { PracticeAnswer } from '@/core/practice/answer'
import { PRACTICE_KINDS, QUESTION_KINDS, type PracticeKind } from '@/core/practice/kinds'
import type { Round } from '@/core/practice/next'
import { capital } from '@/core/words'
import type { Learner } from '@/core/practice/learner'
import { commandOf, sendCommand } from '../record/send'
import { newId } from '../record/new-id'
import { Link } from '../frame/page-link'
import { useKeptScreening } from './kept-screening'
import type { PastRulings } from './past-rulings'
import { PracticeRound } from './practice-round'
import type { OwnMaterial } from './use-practice'
import { useAnswers } from './use-answers'
import { WhoPractises } from './who-practises'

const PracticeScore = dynamic(() => import('./practice-score').then((m) => m.PracticeScore), {
  loading: () => <p className="min-h-96 text-small text-dim">Counting …</p>,
})

/** The bench as a trainer: who practises, what, and how it goes. */
export function PracticeView({
  learners,
  who,
  own,
  rulings,
}: {
  readonly learners: readonly Learner[]
  /** Whose store it is: the first name proposed. */
  readonly who: string
  readonly own: OwnMaterial
  readonly rulings: readonly PastRulings[]
}) {
  const { learner, choose, answers, add, message } = useAnswers(learners)
  const screening = useKeptScreening()
  const [kinds, setKinds] = useState<readonly PracticeKind[]>([])
  const [from, setFrom] = useState<'own' | 'invented'>(own.decks.length > 0 ? 'own' : 'invented')
  const [round, setRound] = useState<Round | null>(null)
  const begin = (): void => setRound({ kinds, seed: Math.floor(Math.random() * 2 ** 31) })

  if (round && learner && answers)
    return (
      <PracticeRound
        key={round.seed}
        round={round}
        own={from === 'own' ? own : null}
        before={answers}
        rulings={rulings}
        onAnswer={({ spec, strand, level }, given, isRight, tookMs) => {
          const answerId = newId()
          const command = commandOf('answer-practice', {
            ...{ learnerId: learner.id, answerId, level, isRight },
            tookMs: Math.min(tookMs, MOST_MS),
            spec: { ...spec, paints: [...spec.paints], lights: [...spec.lights] },
            strand,
            given: typeof given === 'number' ? given : [...given],
          })
          const answer: PracticeAnswer = {
            ...{ id: answerId, spec, strand, level, given, isRight, tookMs },
            at: command.madeAt,
          }
          add(answer)
          void sendCommand(command)
          return answer
        }}
        onEnd={() => setRound(null)}
      />
    )
  return (
    <main className="min-h-0 flex-1 overflow-y-auto">
      <div className="mx-auto flex max-w-6xl flex-col gap-6 px-6 py-6">
        <h1 className="text-head">Practice</h1>
        <p className="max-w-prose">
          The bench as a trainer: rule, see why, rule again. Nothing here touches a visit.
        </p>
        <WhoPractises learners={learners} who={who} chosen={learner} onChoose={choose} />
        {message && <p role="alert">{message}</p>}
        {!learner && learners.length > 0 && (
          <p className="text-small">Say who you are, and the rounds and their score are yours.</p>
        )}
        {learner && answers && (
          <>
            <section aria-label="What to practise" className="flex flex-col gap-3">
              <fieldset>
                <legend className="text-small font-medium">
                  Kinds of question; none chosen is all of them
                </legend>
                <div className="mt-1 grid grid-cols-3 gap-2 max-lg:grid-cols-2 max-sm:grid-cols-1">
                  {PRACTICE_KINDS.map((kind) => (
                    <label
                      key={kind}
                      className="flex min-h-11 items-start gap-3 border border-rule px-3 py-2"
                    >
                      <input
                        type="checkbox"
                        className="mt-0.5 size-5 shrink-0 accent-ink"
                        checked={kinds.includes(kind)}
                        onChange={({ target }) =>
                          setKinds(
                            target.checked
                              ? [...kinds, kind]
                              : kinds.filter((each) => each !== kind),
                          )
                        }
                      />
                      <span className="text-small">
                        <span className="font-medium">{capital(kind)}</span>
                        <br />
                        <span className="text-dim">{QUESTION_KINDS[kind].says}</span>
                      </span>
                    </label>
                  ))}
                </div>
              </fieldset>
              <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
                <fieldset className="flex flex-wrap items-center gap-4 text-small">
                  <legend className="sr-only">Of which colours</legend>
                  <label className="flex min-h-11 items-center gap-2">
                    <input
                      type="radio"
                      name="from"
                      className="size-5 accent-ink"
                      checked={from === 'own'}
                      disabled={own.decks.length === 0}
                      onChange={() => setFrom('own')}
                    />
                    {own.decks.length === 0
                      ? 'Your own decks and keepers, once there is a deck'
                      : 'Your own decks and keepers'}
                  </label>
                  <label className="flex min-h-11 items-center gap-2">
                    <input
                      type="radio"
                      name="from"
                      className="size-5 accent-ink"
                      checked={from === 'invented'}
                      onChange={() => setFrom('invented')}
                    />
                    Invented ones
                  </label>
                </fieldset>
                <button type="button" className="key key-first px-8" onClick={begin} autoFocus>
                  A round of twenty
                </button>
              </div>
            </section>
            <PracticeScore answers={answers} name={learner.name} />
          </>
        )}
        <p className="border-t border-rule pt-4 text-small">
          {screening ? `${screening.words} ${screening.second} ` : ''}
          <Link href="/practice/screening" className="underline underline-offset-4">
            {screening
              ? 'Colour vision, once more'
              : 'A short screening of colour vision, if you like'}
          </Link>
        </p>
      </div>
    </main>
  )
}

// Longer than this nobody looks at a question.
const MOST_MS = 3_600_000
