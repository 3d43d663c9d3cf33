'use client'

import { useState } from 'react'
import { Field, FormMessage, TextArea } from '../form/field'
import { useCommandForm } from '../form/use-command-form'
import type { BriefValues } from './brief-values'
import { readBrief } from './read-brief'
import { BriefWishes } from './brief-wishes'
import { HouseRuleFields } from './house-rule-fields'
import { TownSearch } from './town-search'

/** Who, where, when, and what the household wants. */
export function BriefForm({
  visit,
  submit,
}: {
  readonly visit: BriefValues
  readonly submit: string
}) {
  const { onSubmit, pending, errors, message, kept } = useCommandForm('keep-brief', readBrief)
  const [place, setPlace] = useState({
    placeName: visit.placeName,
    latitudeDeg: visit.latitudeDeg?.toString() ?? '',
    longitudeDeg: visit.longitudeDeg?.toString() ?? '',
    timeZone: visit.timeZone,
  })
  const type = (name: keyof typeof place) => (event: { target: { value: string } }) =>
    // Typed coordinates have a time zone of their own, found by the server.
    setPlace({
      ...place,
      [name]: event.target.value,
      ...(name !== 'placeName' && { timeZone: '' }),
    })

  return (
    <form onSubmit={onSubmit} noValidate className="mt-6 grid gap-x-6 gap-y-4 sm:grid-cols-2">
      <input type="hidden" name="visitId" value={visit.id} />
      <Field
        label="Household"
        name="household"
        defaultValue={visit.household}
        error={errors.household}
      />
      <Field
        label="Date of the visit"
        name="visitDate"
        defaultValue={visit.visitDate}
        error={errors.visitDate}
        hint="Year-month-day; the sun is computed for it."
      />
      <TextArea
        label="What they wish for"
        name="wishes"
        defaultValue={visit.wishes}
        error={errors.wishes}
        hint="In their own words."
      />
      <TextArea
        label="What they will not have"
        name="willNotHave"
        defaultValue={visit.willNotHave}
        error={errors.willNotHave}
      />

      <BriefWishes visit={visit} errors={errors} />

      <fieldset className="grid gap-4 border-t border-ink pt-4 sm:col-span-2 sm:grid-cols-2">
        <legend className="float-left mb-2 font-display text-title sm:col-span-2">Place</legend>
        <TownSearch
          onPick={(town) =>
            setPlace({
              placeName: `${town.name}, ${town.country}`,
              latitudeDeg: String(town.latitudeDeg),
              longitudeDeg: String(town.longitudeDeg),
              timeZone: town.timeZone,
            })
          }
        />
        <Field
          label="Place"
          name="placeName"
          value={place.placeName}
          onChange={type('placeName')}
          error={errors.placeName}
          hint={
            place.timeZone
              ? `Clock of ${place.timeZone}`
              : 'Its clock follows from the coordinates.'
          }
        />
        <Field
          label="Latitude"
          name="latitudeDeg"
          inputMode="text"
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
        <input type="hidden" name="timeZone" value={place.timeZone} />
      </fieldset>

      <HouseRuleFields rules={visit.houseRules} />

      <div className="flex items-center gap-4 sm:col-span-2">
        <button type="submit" className="key key-first px-6" disabled={pending}>
          {submit}
        </button>
        <FormMessage>{message ?? (kept && !pending ? 'Kept.' : '')}</FormMessage>
      </div>
    </form>
  )
}
