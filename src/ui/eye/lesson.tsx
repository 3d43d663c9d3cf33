'use client'

import { useState } from 'react'
import { factorWords, MOST_MOVED } from '@/core/eye/factors'
import { LEAST_LOOKS, type KeptLesson, type Lesson as Learnt, type Told } from '@/core/eye/learn'
import { capital, counted } from '@/core/words'
import type { LessonAnswer } from '@/workers/lesson-client'
import { FormMessage } from '../form/field'
import { useKeys } from '../keys/use-keys'
import { newId } from '../record/new-id'
import { DateHere } from '../frame/date-here'
import { useChange } from '../record/use-change'

/** What the model has learnt, or could learn, of the eye: small, shown, off until asked for, gone in one key. */
export function Lesson({
  looks,
  lessons,
}: {
  /** How many looks could teach. */
  readonly looks: number
  readonly lessons: readonly KeptLesson[]
}) {
  const { change, busy, message, say } = useChange()
  const [found, setFound] = useState<LessonAnswer | null>(null)
  const [isLearning, setLearning] = useState(false)
  const inForce = lessons.find((each) => each.inForce) ?? null

  async function learn(): Promise<void> {
    setLearning(true)
    say('')
    const response = await fetch('/api/lesson').catch(() => null)
    setLearning(false)
    if (!response?.ok) return say('The server is not answering; nothing was learnt.')
    setFound((await response.json()) as LessonAnswer)
  }
  async function use({ factors, learntFrom, without, with: told }: Learnt): Promise<void> {
    const lessonId = newId()
    const answer = await change('learn-from-eye', {
      ...{ lessonId, factors, learntFrom, without, with: told },
    })
    if (answer?.ok) setFound(null)
  }
  const forget = (): void => void (inForce && !busy && change('forget-eye', {}))
  useKeys(inForce ? { o: forget } : {}, inForce ? [['O', 'judges by the model’s own limits']] : [])

  return (
    <section aria-label="Learning" className="flex flex-col gap-3 border-t border-ink pt-4">
      <h2 className="text-title">Learning from your eye</h2>
      {inForce ? (
        <div className="flex flex-col items-start gap-2">
          <p className="font-medium">
            In force wherever a pair is judged: your eye, version {inForce.version}. It{' '}
            {factorWords(inForce.factors)}.
          </p>
          <Worth {...inForce} />
          <button type="button" className="key key-first px-6" disabled={busy} onClick={forget}>
            Judge by the model’s own limits <span>O</span>
          </button>
        </div>
      ) : (
        <p className="max-w-prose">
          Off: pairs are judged by the model’s own limits. From {LEAST_LOOKS} looks on, three of
          them can be moved towards yours, none by more than {Math.round(100 * MOST_MOVED)} %.
        </p>
      )}
      {looks < LEAST_LOOKS ? (
        <p className="text-small text-dim">
          {counted(looks, 'look')} can teach so far; {LEAST_LOOKS} are needed; a third of them is
          kept aside to try it on.
        </p>
      ) : (
        <button
          type="button"
          className="key self-start px-6"
          disabled={isLearning}
          onClick={() => void learn()}
        >
          {isLearning ? 'Learning …' : `See what ${looks} looks teach`}
        </button>
      )}
      {found && !found.lesson && (
        <p role="status">
          Only {found.looks} of the looks can be judged again, too few to learn from.
        </p>
      )}
      {found?.lesson && (
        <div role="status" className="flex flex-col items-start gap-2 border-l-4 border-ink pl-3">
          <p className="font-medium">Your eye {factorWords(found.lesson.factors)}.</p>
          <Worth {...found.lesson} />
          <button
            type="button"
            className="key key-first px-6"
            disabled={busy}
            onClick={() => void use(found.lesson!)}
          >
            Judge with it
          </button>
        </div>
      )}
      <FormMessage>{message}</FormMessage>
      {lessons.length > 0 && (
        <details className="text-small">
          <summary className="min-h-11 content-center">Every version</summary>
          <ul className="flex flex-col gap-1">
            {lessons.map(({ id, version, factors, learntFrom, learntAt, inForce: isIn }) => (
              <li key={id}>
                Version {version}, <DateHere instant={learntAt} />, from{' '}
                {counted(learntFrom, 'look')}: {factorWords(factors)}
                {isIn ? ' (in force)' : ''}
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  )
}

/** What a lesson is worth on looks that it was not learnt from. */
function Worth({
  learntFrom,
  without,
  with: told,
}: Pick<Learnt, 'learntFrom' | 'without' | 'with'>) {
  const words = ({ agreed, looks, surprise }: Told): string =>
    `${agreed} of ${looks} told rightly, surprise ${surprise.toFixed(3)}`
  return (
    <p className="max-w-prose text-small">
      Learnt from {counted(learntFrom, 'look')}. On {counted(without.looks, 'look')} kept aside:
      without it {words(without)}; with it {words(told)}. {capital(verdictOn(without, told))}
    </p>
  )
}

function verdictOn(without: Told, told: Told): string {
  if (told.looks === 0) return 'nothing was kept aside to try it on.'
  const better = without.surprise - told.surprise
  if (Math.abs(better) < 0.005) return 'that is no difference: leave it off.'
  return better > 0 ? 'it says better what you say.' : 'it says worse what you say: leave it off.'
}
