'use client'

import { USE_HOURS, USE_HOURS_WORDS, type UseHours } from '@/core/light/use-hours'
import { TREATMENTS, type Treatment } from '@/core/paint/treatment'
import { Field, FormMessage, Select } from '../form/field'
import { LengthField } from '../form/length-field'
import { useCommandForm } from '../form/use-command-form'
import { useSettings } from '../settings/settings-context'
import { readRoom } from './read-room'

/** Name, size and turn of a room. */
export function RoomForm({
  room,
  submit,
  goTo,
  otherRooms = [],
}: {
  readonly room: {
    readonly id: string
    readonly visitId: string
    readonly name: string
    readonly northSouthMm: number
    readonly eastWestMm: number
    readonly heightMm: number
    readonly northDeg: number
    readonly useHours: UseHours
    readonly treatment: Treatment
    readonly seenFrom: readonly string[]
  }
  readonly submit: string
  readonly goTo?: string
  readonly otherRooms?: readonly { readonly id: string; readonly name: string }[]
}) {
  const { lengths } = useSettings()
  const { onSubmit, pending, errors, message, kept } = useCommandForm('keep-room', (form) => {
    const read = readRoom(form, lengths)
    return read.ok && goTo ? { ...read, goTo } : read
  })
  return (
    <form onSubmit={onSubmit} noValidate className="mt-4 grid gap-x-4 gap-y-2 sm:grid-cols-3">
      <input type="hidden" name="roomId" value={room.id} />
      <input type="hidden" name="visitId" value={room.visitId} />
      <div className="sm:col-span-3">
        <Field label="Name of the room" name="name" defaultValue={room.name} error={errors.name} />
      </div>
      <LengthField
        label="North to south"
        name="northSouthMm"
        mm={room.northSouthMm}
        error={errors.northSouthMm}
      />
      <LengthField
        label="East to west"
        name="eastWestMm"
        mm={room.eastWestMm}
        error={errors.eastWestMm}
      />
      <LengthField
        label="Ceiling height"
        name="heightMm"
        mm={room.heightMm}
        error={errors.heightMm}
      />
      <Field
        label="North wall faces"
        name="northDeg"
        defaultValue={String(room.northDeg)}
        error={errors.northDeg}
        hint="0 where the house stands square to the compass; 20 where it is turned clockwise."
        unit="°"
      />
      <Select
        label="Used most"
        name="useHours"
        defaultValue={room.useHours}
        options={USE_HOURS.map((hours) => [hours, USE_HOURS_WORDS[hours]] as const)}
      />
      <Select
        label="Walls"
        name="treatment"
        defaultValue={room.treatment}
        options={TREATMENTS.map((treatment) => [treatment, treatment] as const)}
      />
      {otherRooms.length > 0 && (
        <fieldset className="sm:col-span-3">
          <legend className="text-small font-medium">Open to or seen from</legend>
          <div className="flex flex-wrap gap-x-6">
            {otherRooms.map(({ id, name }) => (
              <label key={id} className="flex min-h-11 items-center gap-2 text-small">
                <input
                  type="checkbox"
                  name="seenFrom"
                  value={id}
                  defaultChecked={room.seenFrom.includes(id)}
                  className="size-5 accent-ink"
                />
                {name}
              </label>
            ))}
          </div>
        </fieldset>
      )}
      <div className="flex items-center gap-4 sm:col-span-3">
        <button type="submit" className="key key-first" disabled={pending}>
          {submit}
        </button>
        <FormMessage>{message ?? (kept && !pending ? 'Saved.' : '')}</FormMessage>
      </div>
    </form>
  )
}
