'use client'

import { useState, type KeyboardEvent } from 'react'
import { roomNames } from './room-names'

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
      <RoomNameField taken={names} onAdd={(added) => onChange([...names, ...added])} />
    </fieldset>
  )
}

/** Takes the name of a room with Enter, or several with commas between, and stays for the next. */
export function RoomNameField({
  taken,
  onAdd,
}: {
  readonly taken: readonly string[]
  readonly onAdd: (names: readonly string[]) => void
}) {
  const [typed, setTyped] = useState('')
  const [refusal, setRefusal] = useState('')

  function add(): void {
    const { names, twice } = roomNames(typed, taken)
    if (twice !== null) return setRefusal(`There is a room “${twice}” already.`)
    if (names.length === 0) return
    setRefusal('')
    setTyped('')
    onAdd(names)
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
          placeholder="Kitchen, hall"
          maxLength={400}
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
          'One, or several with commas. Enter adds them; once more, with nothing typed, keeps all.'
        )}
      </span>
    </div>
  )
}
