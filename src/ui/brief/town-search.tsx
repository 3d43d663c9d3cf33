'use client'

import { useState } from 'react'
import { z } from 'zod'
import { useFound } from '../form/use-found'

const Towns = z.array(
  z.object({
    name: z.string(),
    country: z.string(),
    latitudeDeg: z.number(),
    longitudeDeg: z.number(),
    timeZone: z.string(),
  }),
)
type Town = z.infer<typeof Towns>[number]

/** Finds a town of the shipped list; picking one fills the place in. */
export function TownSearch({ onPick }: { readonly onPick: (town: Town) => void }) {
  const [typed, setTyped] = useState('')
  const isAsked = typed.trim().length >= 2
  const { found, problem } = useFound(
    isAsked ? `/api/towns?q=${encodeURIComponent(typed)}` : '',
    Towns,
  )
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor="town" className="text-small font-medium">
        Find a town
      </label>
      <input
        id="town"
        type="search"
        className="field"
        autoComplete="off"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        aria-describedby="towns-found"
      />
      <span id="towns-found" role="status" className="text-fine text-dim">
        {!isAsked
          ? 'Or type the place and its coordinates.'
          : problem ||
            `${found.length === 0 ? 'No town' : found.length === 1 ? '1 town' : `${found.length} towns`} of the list begin so.`}
      </span>
      <ul>
        {found.map((town) => (
          <li key={`${town.name}${town.latitudeDeg}${town.longitudeDeg}`}>
            <button
              type="button"
              className="flex min-h-11 w-full items-center border-b border-rule px-2 text-left text-small hover:bg-mist"
              onClick={() => {
                onPick(town)
                setTyped('')
              }}
            >
              {town.name}, {town.country}
            </button>
          </li>
        ))}
      </ul>
    </div>
  )
}
