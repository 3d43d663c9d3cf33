'use client'

import { useState, type KeyboardEvent } from 'react'
import { capital } from '@/core/words'

/** Rooms of a visit that is not kept yet, by their names: each added with Enter, none twice. */
export function RoomsByName({
  names,
  onChange,
}: {
  readonly names: readonly string[]
  readonly onChange: (names: readonly string[]) => void
}) {
  return (
    <fieldset className="flex flex-col gap-1">
      <legend className="text-small font-medium">Rooms</legend>
      <ol>
        {names.map((name) => (
          <li
            key={name}
            className="flex items-center justify-between border-b border-rule text-small"
          >
            {name}
            <button
              type="button"
              className="min-h-11 px-2 underline underline-offset-4"
              aria-label={`Remove ${name}`}
              onClick={() => onChange(names.filter((each) => each !== name))}
            >
              Remove
            </button>
          </li>
        ))}
      </ol>
      <RoomNameField taken={names} onAdd={(name) => onChange([...names, name])} />
    </fieldset>
  )
}

/** Takes the name of a room with Enter, and stays for the next. */
export function RoomNameField({
  taken,
  onAdd,
}: {
  readonly taken: readonly string[]
  readonly onAdd: (name: string) => void
}) {
  const [typed, setTyped] = useState('')
  const [refusal, setRefusal] = useState('')

  function add(): void {
    const name = capital(typed.trim()).slice(0, 80)
    if (name === '') return
    if (taken.some((each) => each.toLowerCase() === name.toLowerCase()))
      return setRefusal(`There is a room “${name}” already.`)
    setRefusal('')
    setTyped('')
    onAdd(name)
  }

  function onKeyDown(event: KeyboardEvent): void {
    // With nothing typed Enter is the form's.
    if (event.key !== 'Enter' || typed.trim() === '') return
    event.preventDefault()
    add()
  }

  return (
    <div className="flex flex-col gap-1">
      <div className="flex gap-2">
        <input
          className="field"
          aria-label="Name of a room to add"
          placeholder="Kitchen"
          maxLength={80}
          autoComplete="off"
          aria-describedby="room-name-says"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={onKeyDown}
        />
        <button type="button" className="key" onClick={add}>
          Add
        </button>
      </div>
      <span id="room-name-says" role="status" className="text-fine text-dim">
        {refusal ? (
          <strong className="font-semibold text-ink">{refusal}</strong>
        ) : (
          'Enter adds it; once more, with nothing typed, keeps all.'
        )}
      </span>
    </div>
  )
}
