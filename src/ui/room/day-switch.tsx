'use client'

import { ToggleGroup } from 'radix-ui'
import { useState } from 'react'
import { useLight } from '../light-bar/light-context'

/** The visit's own day, the summer's, the winter's, or any date: one tap apart. */
export function DaySwitch({ visitDate }: { readonly visitDate: string }) {
  const { dayName, showDay } = useLight()
  const [typed, setTyped] = useState('')
  const [message, setMessage] = useState('')
  async function go(name: string): Promise<void> {
    setMessage((await showDay(name)) ?? '')
  }
  return (
    <section aria-label="Day shown" className="flex flex-wrap items-center gap-x-4 gap-y-1">
      <ToggleGroup.Root
        type="single"
        aria-label="Day"
        className="flex"
        value={dayName}
        onValueChange={(name) => name && void go(name)}
      >
        <ToggleGroup.Item value="visit" className="key">
          {visitDate}
        </ToggleGroup.Item>
        <ToggleGroup.Item value="summer" className="key -ml-px">
          21 June
        </ToggleGroup.Item>
        <ToggleGroup.Item value="winter" className="key -ml-px">
          21 December
        </ToggleGroup.Item>
      </ToggleGroup.Root>
      <form
        className="flex items-center gap-2 text-small"
        onSubmit={(event) => {
          event.preventDefault()
          void go(typed.trim())
        }}
      >
        <label className="flex items-center gap-2">
          or on
          <input
            className="field w-32"
            placeholder="2026-03-01"
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
