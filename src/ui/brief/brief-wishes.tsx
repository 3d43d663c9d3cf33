'use client'

import { useState } from 'react'
import {
  CLIMATE_WORDS,
  CLIMATES,
  CONTRAST_WORDS,
  CONTRASTS,
  OLD_PAINT,
  OLD_PAINT_CAUTION,
  OLD_PAINT_WORDS,
  WANTS,
} from '@/core/advice/brief'
import { clockOfMinutes } from '@/core/light/day-clock'
import { Field, Select } from '../form/field'
import type { BriefValues } from './brief-values'

/** What the rooms should do, the sky over the house, its old paint, and the hours of the visit. */
export function BriefWishes({
  visit,
  errors,
}: {
  readonly visit: BriefValues
  readonly errors: Readonly<Record<string, string>>
}) {
  const [oldPaint, setOldPaint] = useState(visit.oldPaint)
  return (
    <>
      <fieldset className="sm:col-span-2">
        <legend className="mb-1 text-small font-medium">The rooms should be</legend>
        <div className="flex flex-wrap gap-x-6">
          {WANTS.map((want) => (
            <label key={want} className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                name="wants"
                value={want}
                defaultChecked={visit.wants.includes(want)}
                className="size-5 accent-ink"
              />
              {want}
            </label>
          ))}
        </div>
      </fieldset>
      <div className="grid gap-4 sm:col-span-2 sm:grid-cols-3">
        <Select
          label="Contrast they wish for"
          name="contrast"
          defaultValue={visit.contrast}
          options={CONTRASTS.map((each) => [each, CONTRAST_WORDS[each]] as const)}
        />
        <Select
          label="Skies there"
          name="climate"
          defaultValue={visit.climate}
          options={CLIMATES.map((each) => [each, CLIMATE_WORDS[each]] as const)}
          hint="Where it is often grey, look on a rainy day too."
        />
        <Select
          label="Paint from before 1980"
          name="oldPaint"
          value={oldPaint}
          onChange={(event) => setOldPaint(event.target.value)}
          options={OLD_PAINT.map((each) => [each, OLD_PAINT_WORDS[each]] as const)}
        />
        {oldPaint !== 'no' && (
          <p className="border-l-4 border-ink pl-3 text-small sm:col-span-3">{OLD_PAINT_CAUTION}</p>
        )}
        <Field
          label="Visit from"
          name="fromMinute"
          defaultValue={clockOfMinutes(visit.fromMinute)}
          error={errors.fromMinute}
          hint="By the clock of the place."
        />
        <Field
          label="to"
          name="toMinute"
          defaultValue={clockOfMinutes(visit.toMinute)}
          error={errors.toMinute}
        />
      </div>
    </>
  )
}
