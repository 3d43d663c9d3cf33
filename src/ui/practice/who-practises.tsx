'use client'

import { useState } from 'react'
import { counted } from '@/core/words'
import type { Learner } from '@/core/practice/learner'
import { FormMessage } from '../form/field'
import { newId } from '../record/new-id'
import { useChange } from '../record/use-change'

/** Who practises: one of those who do, or somebody new. */
export function WhoPractises({
  learners,
  who,
  chosen,
  onChoose,
}: {
  readonly learners: readonly Learner[]
  readonly who: string
  /** With what was answered here since. */
  readonly chosen: Learner | null
  readonly onChoose: (learnerId: string) => void
}) {
  const { change, busy, message } = useChange()
  const [name, setName] = useState(learners.length === 0 ? who : '')
  async function add(): Promise<void> {
    const learnerId = newId()
    const answer = await change('keep-learner', { learnerId, name })
    if (!answer?.ok) return
    setName('')
    onChoose(learnerId)
  }
  return (
    <section aria-label="Who practises" className="flex flex-wrap items-end gap-x-6 gap-y-2">
      {learners.length > 0 && (
        <div role="group" aria-label="Who practises now" className="flex flex-wrap gap-2">
          {learners.map(({ id, name: called, answers }) => (
            <button
              key={id}
              type="button"
              className="key"
              aria-pressed={chosen?.id === id}
              onClick={() => onChoose(id)}
            >
              {called}{' '}
              <span className="opacity-80">
                {counted(chosen?.id === id ? chosen.answers : answers, 'answer')}
              </span>
            </button>
          ))}
        </div>
      )}
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          void add()
        }}
      >
        <label className="text-small">
          {learners.length === 0 ? 'Who practises?' : 'Somebody else'}
          <input
            className="field mt-1 block w-52!"
            value={name}
            maxLength={80}
            autoComplete="off"
            onChange={({ target }) => setName(target.value)}
          />
        </label>
        <button type="submit" className="key" disabled={busy}>
          {learners.length === 0 ? 'Start' : 'Add'}
        </button>
      </form>
      <FormMessage>{message}</FormMessage>
    </section>
  )
}
