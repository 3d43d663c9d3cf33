'use client'

import { useState } from 'react'
import type { Given, Question } from '@/core/practice/question'
import { useKeys } from '../keys/use-keys'

/** What a question is answered with: a key a choice, an order by its letters, a figure. */
export function AnswerKeys({
  question,
  onAnswer,
}: {
  readonly question: Question
  readonly onAnswer: (given: Given) => void
}) {
  switch (question.answer.as) {
    case 'choice':
      return <Choices choices={question.answer.choices} onAnswer={onAnswer} />
    case 'order':
      return <InOrder labels={question.shown.map(({ label }) => label)} onAnswer={onAnswer} />
    case 'figure':
      return <Figure unit={question.answer.unit} onAnswer={onAnswer} />
  }
}

const PLACES = '123456789'

function Choices({
  choices,
  onAnswer,
}: {
  readonly choices: readonly string[]
  readonly onAnswer: (given: number) => void
}) {
  useKeys(
    Object.fromEntries(choices.map((_, i) => [PLACES[i]!, () => onAnswer(i)])),
    choices.map((words, i) => [PLACES[i]!, words] as const),
  )
  return (
    <div className="flex flex-wrap gap-2">
      {choices.map((words, i) => (
        <button
          key={words}
          type="button"
          className="key min-w-28 flex-1"
          onClick={() => onAnswer(i)}
        >
          {words} <span className="text-dim">{PLACES[i]}</span>
        </button>
      ))}
    </div>
  )
}

function InOrder({
  labels,
  onAnswer,
}: {
  readonly labels: readonly string[]
  readonly onAnswer: (given: readonly number[]) => void
}) {
  const [order, setOrder] = useState<readonly number[]>([])
  const take = (place: number): void => {
    if (order.includes(place)) return
    const longer = [...order, place]
    // The last one has only one place left.
    const left = labels.map((_, i) => i).filter((i) => !longer.includes(i))
    if (left.length === 1) onAnswer([...longer, ...left])
    else setOrder(longer)
  }
  const takeBack = (): void => setOrder(order.slice(0, -1))
  useKeys(
    {
      ...Object.fromEntries(labels.map((label, i) => [label.toLowerCase(), () => take(i)])),
      ...Object.fromEntries(labels.map((_, i) => [PLACES[i]!, () => take(i)])),
      Backspace: takeBack,
    },
    [
      [`${labels[0]} … ${labels.at(-1)}`, 'comes next in the order'],
      ['Backspace', 'takes the last one back'],
    ],
  )
  return (
    <div className="flex flex-wrap items-center gap-2">
      {labels.map((label, i) => (
        <button
          key={label}
          type="button"
          className="key min-w-16 flex-1"
          disabled={order.includes(i)}
          onClick={() => take(i)}
        >
          {label}
        </button>
      ))}
      <button type="button" className="key" disabled={order.length === 0} onClick={takeBack}>
        Take back <span className="text-dim">⌫</span>
      </button>
      <p className="min-w-32 text-small" role="status">
        {order.length === 0 ? 'No order yet' : order.map((place) => labels[place]).join(', ')}
      </p>
    </div>
  )
}

function Figure({
  unit,
  onAnswer,
}: {
  readonly unit: string
  readonly onAnswer: (given: number) => void
}) {
  const [typed, setTyped] = useState('')
  const [error, setError] = useState('')
  return (
    <form
      className="flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault()
        const given = Number(typed.trim().replace(',', '.'))
        if (typed.trim() === '' || !(given >= 0 && given <= 100))
          setError(`Expected 0 to 100, got “${typed}”.`)
        else onAnswer(given)
      }}
    >
      <label className="flex items-center gap-2">
        {unit}
        <input
          className="field w-28!"
          inputMode="decimal"
          autoComplete="off"
          autoFocus
          value={typed}
          aria-invalid={error ? true : undefined}
          aria-describedby="figure-says"
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      <button type="submit" className="key key-first px-6">
        Say it
      </button>
      <p id="figure-says" className="text-small" role="status">
        {error}
      </p>
    </form>
  )
}
