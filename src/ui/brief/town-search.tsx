'use client'

import { useEffect, useState } from 'react'
import { z } from 'zod'

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
  const [towns, setTowns] = useState<Town[]>([])

  useEffect(() => {
    if (typed.trim().length < 2) return
    const stop = new AbortController()
    fetch(`/api/towns?q=${encodeURIComponent(typed)}`, { signal: stop.signal })
      .then(async (answer) => setTowns(Towns.parse(await answer.json())))
      .catch(() => {
        // Typed further, or the server is gone: the coordinates can still be typed.
      })
    return () => stop.abort()
  }, [typed])

  const shown = typed.trim().length < 2 ? [] : towns
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
        {typed.trim().length < 2
          ? 'Or type the place and its coordinates.'
          : `${shown.length === 0 ? 'No town' : shown.length === 1 ? '1 town' : `${shown.length} towns`} of the list begin so.`}
      </span>
      <ul>
        {shown.map((town) => (
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
