'use client'

import { useEffect, useState } from 'react'
import {
  SHIFT_DIRECTIONS,
  SHIFT_SIZES,
  type EyeShift,
  type ShiftDirection,
} from '@/core/paint/by-eye'
import { useDeckSearch } from '../deck/deck-search'
import { deckWords } from '../deck/deck-words'
import { Select } from '../form/field'
import { RelitPatch } from '../swatch/relit-patch'
import type { PickedDeckColour } from './colour-draft'

/** Finds the deck colour that matches a finish best, and how the finish still differs from it. */
export function DeckPicker({
  name,
  picked,
  shifts,
  error,
  onPick,
  onShift,
}: {
  /** Of its fields in the form. */
  readonly name: (field: string) => string
  readonly picked: PickedDeckColour | null
  readonly shifts: readonly EyeShift[]
  readonly error: string | undefined
  readonly onPick: (picked: PickedDeckColour | null) => void
  readonly onShift: (shifts: readonly EyeShift[]) => void
}) {
  const [typed, setTyped] = useState('')
  const { found, problem } = useDeckSearch(picked ? '' : typed)
  const id = name('deckColourId')
  const pick = ({ id: colourId, code, name: colourName, deck, reflectance }: FoundColour): void =>
    onPick({ id: colourId, words: `${colourName}, ${deckWords(deck)}, ${code}`, reflectance })
  // Entered before the list came: the colour of that code, once it is known which.
  const [entered, setEntered] = useState<string | null>(null)
  const exact = picked ? undefined : exactCode(found, typed)
  if (entered !== null && entered !== typed) setEntered(null)
  useEffect(() => {
    if (entered === typed && exact) pick(exact)
  })
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="text-small font-medium">
        Code or name in a deck
      </label>
      <input
        id={id}
        type="search"
        className="field"
        autoComplete="off"
        value={picked?.words ?? typed}
        aria-invalid={error ? true : undefined}
        onChange={(event) => {
          onPick(null)
          setTyped(event.target.value)
        }}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' || picked || typed.trim() === '') return
          // The form is not sent by it: it says which colour.
          event.preventDefault()
          setEntered(typed)
        }}
      />
      <span role="status" className="text-fine font-semibold">
        {error ?? problem}
      </span>
      <ul>
        {found.map((each) => (
          <li key={each.id}>
            <button
              type="button"
              className="flex min-h-11 w-full items-center gap-3 border-b border-rule text-left text-small hover:bg-mist"
              onClick={() => pick(each)}
            >
              <RelitPatch
                reflectance={each.reflectance}
                label={`${each.code} in this light`}
                className="h-11 w-16"
              />
              <span>
                {each.code} {each.name}
                <span className="block text-fine text-dim">{deckWords(each.deck)}</span>
              </span>
            </button>
          </li>
        ))}
      </ul>
      <div className="grid grid-cols-2 gap-4">
        {[0, 1].map((place) => (
          <ShiftField
            key={place}
            name={name(`shift${place}`)}
            label={place === 0 ? 'It is' : 'and'}
            shift={shifts[place]}
            onChange={(shift) => {
              const others = shifts.filter((_, i) => i !== place)
              onShift(shift ? (place === 0 ? [shift, ...others] : [...others, shift]) : others)
            }}
          />
        ))}
      </div>
    </div>
  )
}

type FoundColour = ReturnType<typeof useDeckSearch>['found'][number]

/** The one colour of a code that was typed whole; none where two decks have it. */
function exactCode(found: readonly FoundColour[], typed: string): FoundColour | undefined {
  const code = typed.trim().toLowerCase()
  const same = found.filter((each) => each.code.toLowerCase() === code)
  return same.length === 1 ? same[0] : undefined
}

const SHIFTS = SHIFT_DIRECTIONS.flatMap((towards) => SHIFT_SIZES.map((size) => ({ size, towards })))

function ShiftField({
  name,
  label,
  shift,
  onChange,
}: {
  readonly name: string
  readonly label: string
  readonly shift: EyeShift | undefined
  readonly onChange: (shift: EyeShift | null) => void
}) {
  return (
    <Select
      label={label}
      name={name}
      value={shift ? `${shift.size}|${shift.towards}` : ''}
      onChange={(event) => {
        const [size, towards] = event.target.value.split('|')
        onChange(
          towards ? { size: size as EyeShift['size'], towards: towards as ShiftDirection } : null,
        )
      }}
      options={[
        ['', label === 'It is' ? 'just like it' : 'nothing more'],
        ...SHIFTS.map(
          ({ size, towards }) => [`${size}|${towards}`, `${size} ${towards} than this`] as const,
        ),
      ]}
    />
  )
}
