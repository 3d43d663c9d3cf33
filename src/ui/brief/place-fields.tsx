'use client'

import { Command } from 'cmdk'
import { useId, useState } from 'react'
import { z } from 'zod'
import { Field } from '../form/field'
import { useFound } from '../form/use-found'
import type { BriefValues } from './brief-values'

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

/** Where the house stands: a town of the shipped list, found as it is typed, or a name with coordinates of its own. */
export function PlaceFields({
  visit,
  errors,
}: {
  readonly visit: BriefValues
  readonly errors: Readonly<Record<string, string>>
}) {
  const [place, setPlace] = useState({
    placeName: visit.placeName,
    latitudeDeg: visit.latitudeDeg?.toString() ?? '',
    longitudeDeg: visit.longitudeDeg?.toString() ?? '',
    timeZone: visit.timeZone,
  })
  // Typed coordinates have a time zone of their own, found by the server.
  const type = (name: 'latitudeDeg' | 'longitudeDeg') => (event: { target: { value: string } }) =>
    setPlace({ ...place, [name]: event.target.value, timeZone: '' })
  const isSomewhere = place.latitudeDeg !== '' && place.longitudeDeg !== ''
  const refused = errors.latitudeDeg ?? errors.longitudeDeg
  return (
    <div className="flex flex-col gap-1">
      <TownInput
        name={place.placeName}
        error={errors.placeName}
        says={
          isSomewhere
            ? place.timeZone
              ? `Clock of ${place.timeZone}.`
              : 'Its clock follows from the coordinates.'
            : 'Type a town: arrow keys and Enter take one of the list.'
        }
        onType={(placeName) => setPlace({ ...place, placeName })}
        onPick={(town) =>
          setPlace({
            placeName: `${town.name}, ${town.country}`,
            latitudeDeg: String(town.latitudeDeg),
            longitudeDeg: String(town.longitudeDeg),
            timeZone: town.timeZone,
          })
        }
      />
      <details open={refused ? true : undefined}>
        <summary className="min-h-11 content-center text-small">
          {isSomewhere ? `${place.latitudeDeg}°, ${place.longitudeDeg}°` : 'Not in the list'}:{' '}
          <span className="underline underline-offset-4">coordinates</span>
        </summary>
        <div className="grid grid-cols-2 gap-4">
          <Field
            label="Latitude"
            name="latitudeDeg"
            value={place.latitudeDeg}
            onChange={type('latitudeDeg')}
            error={errors.latitudeDeg}
            hint="North positive, south negative."
            unit="°"
          />
          <Field
            label="Longitude"
            name="longitudeDeg"
            value={place.longitudeDeg}
            onChange={type('longitudeDeg')}
            error={errors.longitudeDeg}
            hint="East positive, west negative."
            unit="°"
          />
        </div>
      </details>
      <input type="hidden" name="timeZone" value={place.timeZone} />
    </div>
  )
}

/** A search list under an input: arrow keys go through it, Enter takes the hit and submits nothing, Escape closes it. */
function TownInput({
  name,
  error,
  says,
  onType,
  onPick,
}: {
  readonly name: string
  readonly error: string | undefined
  readonly says: string
  readonly onType: (name: string) => void
  readonly onPick: (town: Town) => void
}) {
  const saysId = useId()
  const [open, setOpen] = useState(false)
  const typed = name.trim()
  const isAsked = open && typed.length >= 2
  const { found, problem } = useFound(
    isAsked ? `/api/towns?q=${encodeURIComponent(typed)}` : '',
    Towns,
  )
  const listed = isAsked && found.length > 0
  return (
    <Command
      shouldFilter={false}
      loop
      label="Place"
      className="relative flex flex-col gap-1"
      onKeyDown={(event) => {
        if (event.key === 'Escape') setOpen(false)
      }}
    >
      <span aria-hidden="true" className="text-small font-medium">
        Place
      </span>
      <Command.Input
        name="placeName"
        className="field"
        aria-invalid={error ? true : undefined}
        aria-describedby={saysId}
        value={name}
        onValueChange={(typed) => {
          setOpen(true)
          onType(typed)
        }}
        onBlur={() => setOpen(false)}
      />
      <Command.List
        className={
          listed
            ? 'absolute top-full z-10 -mt-5 max-h-72 w-full overflow-y-auto border border-ink bg-paper'
            : 'sr-only'
        }
      >
        {found.map((town) => (
          <Command.Item
            key={`${town.name} ${town.latitudeDeg} ${town.longitudeDeg}`}
            value={`${town.name} ${town.country} ${town.latitudeDeg} ${town.longitudeDeg}`}
            className="flex min-h-11 items-center border-b border-rule px-3 text-small aria-selected:bg-ink aria-selected:text-paper"
            onMouseDown={(event) => event.preventDefault()}
            onSelect={() => {
              setOpen(false)
              onPick(town)
            }}
          >
            {town.name}, {town.country}
          </Command.Item>
        ))}
      </Command.List>
      <span id={saysId} role="status" className="text-fine text-dim">
        {error ? (
          <strong className="font-semibold text-ink">{error}</strong>
        ) : isAsked ? (
          problem ||
          (listed
            ? `${found.length === 1 ? '1 town' : `${found.length} towns`} of the list`
            : 'No town of the list begins so.')
        ) : (
          says
        )}
      </span>
    </Command>
  )
}
