'use client'

import { ToggleGroup } from 'radix-ui'
import { useState } from 'react'
import { longDate } from '@/core/light/calendar-date'
import { useLight } from '../light-bar/light-context'

/** The visit's own day, the summer's, the winter's, or any date: one tap apart. */
export function DaySwitch() {
  const { visitDate, roomDay, showDay } = useLight()
  const [typed, setTyped] = useState('')
  const [message, setMessage] = useState('')
  const year = visitDate.slice(0, 4)
  const go = (date: string): void => setMessage(showDay(date) ?? '')
  return (
    <section aria-label="Day shown" className="flex flex-wrap items-center gap-x-4 gap-y-1">
      <ToggleGroup.Root
        type="single"
        aria-label="Day"
        className="flex"
        value={roomDay.day.date}
        onValueChange={(date) => date && go(date)}
      >
        {[...new Set([visitDate, `${year}-06-21`, `${year}-12-21`])].map((date) => (
          <ToggleGroup.Item key={date} value={date} className="key -ml-px first:ml-0">
            {date === visitDate ? longDate(date) : longDate(date).replace(` ${year}`, '')}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
      <form
        className="flex items-center gap-2 text-small"
        onSubmit={(event) => {
          event.preventDefault()
          go(typed.trim())
        }}
      >
        <label className="flex items-center gap-2">
          or on
          <input
            className="field w-32"
            placeholder={`${year}-03-01`}
            autoComplete="off"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
        <button type="submit" className="key" disabled={typed.trim() === ''}>
          Show
        </button>
      </form>
      {message && (
        <p role="alert" className="w-full text-small font-semibold">
          {message}
        </p>
      )}
    </section>
  )
}
