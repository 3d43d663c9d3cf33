'use client'

import { useState, type ReactNode } from 'react'
import {
  CLIMATE_WORDS,
  CLIMATES,
  CONTRAST_WORDS,
  CONTRASTS,
  OLD_PAINT,
  OLD_PAINT_CAUTION,
  OLD_PAINT_WORDS,
  WANT_WORDS,
  WANTS,
} from '@/core/advice/brief'
import { wishesIn } from '@/core/advice/wishes'
import { HOUSE_RULE_NAMES, HOUSE_RULES } from '@/core/advice/house-rules'
import { clockOfMinutes } from '@/core/light/day-clock'
import { DateField } from '../form/date-field'
import { Field, FormMessage, Select, TextArea } from '../form/field'
import { useCommandForm } from '../form/use-command-form'
import { newId } from '../record/new-id'
import { send } from '../record/send'
import { plainRoom } from '../room/plain-room'
import { useSettings } from '../settings/settings-context'
import type { BriefValues } from './brief-values'
import { HouseRuleFields } from './house-rule-fields'
import { PlaceFields } from './place-fields'
import { readBrief } from './read-brief'
import { RoomsByName } from './rooms-by-name'

/** Who, where, when, what they want and will not have, in which rooms: on one screen. */
export function BriefForm({
  visit,
  submit,
  rooms,
}: {
  readonly visit: BriefValues
  readonly submit: string
  /** The rooms of a visit that is kept; left out, they are named here and kept with it. */
  readonly rooms?: ReactNode
}) {
  const { locale } = useSettings()
  const [names, setNames] = useState<readonly string[]>([])
  const { onSubmit, pending, errors, message, kept } = useCommandForm('keep-brief', (form) => {
    const read = readBrief(form, locale)
    if (!read.ok || rooms) return read
    const ids = names.map(() => newId())
    return {
      ...read,
      // A visit without a room goes on in its brief, one with rooms in the light of the first.
      goTo: ids[0] ? `/visits/${visit.id}/rooms/${ids[0]}/light` : read.goTo,
      then: async () => {
        for (const [i, name] of names.entries())
          await send('keep-room', plainRoom(visit.id, ids[i]!, name))
      },
    }
  })

  return (
    <form onSubmit={onSubmit} noValidate className="mt-4 flex flex-col gap-4">
      <input type="hidden" name="visitId" value={visit.id} />
      <div className="grid gap-x-6 gap-y-4 lg:grid-cols-3">
        <div className="flex flex-col gap-3">
          <Field
            label="Household"
            name="household"
            defaultValue={visit.household}
            error={errors.household}
          />
          <PlaceFields visit={visit} errors={errors} />
          <DateField
            label="Date of the visit"
            name="visitDate"
            date={visit.visitDate}
            error={errors.visitDate}
            hint="The sun is computed for it."
          />
          <div className="grid grid-cols-2 gap-4">
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
        </div>
        <div className="flex flex-col gap-3">
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
          <Wants wants={visit.wants} said={visit.wishes} />
        </div>
        <div>{rooms ?? <RoomsByName names={names} onChange={setNames} />}</div>
      </div>
      <HouseFields visit={visit} />
      <Part
        title="House rules"
        says={schoolsWords(visit)}
        open={HOUSE_RULE_NAMES.some((rule) => errors[`rule-${rule}`])}
      >
        <HouseRuleFields rules={visit.houseRules} />
      </Part>
      <div className="flex items-center gap-4">
        <button type="submit" className="key key-first px-6" disabled={pending}>
          {submit}
        </button>
        <FormMessage>{message ?? (kept && !pending ? 'Saved.' : '')}</FormMessage>
      </div>
    </form>
  )
}

function Wants({ wants, said }: { readonly wants: readonly string[]; readonly said: string }) {
  const read = wishesIn(said).filter((want) => !wants.includes(want))
  return (
    <fieldset>
      <legend className="text-small font-medium">The rooms should be</legend>
      <div className="flex flex-wrap gap-x-5">
        {WANTS.map((want) => (
          <label key={want} className="flex min-h-11 items-center gap-2 text-small">
            <input
              type="checkbox"
              name="wants"
              value={want}
              defaultChecked={wants.includes(want)}
              className="size-5 accent-ink"
            />
            {WANT_WORDS[want]}
          </label>
        ))}
      </div>
      {read.length > 0 && (
        <p className="text-fine text-dim">
          Read in their own words: {read.map((want) => WANT_WORDS[want]).join('; ')}.
        </p>
      )}
    </fieldset>
  )
}

/** The contrast they wish for, the sky over the house and its old paint. */
function HouseFields({ visit }: { readonly visit: BriefValues }) {
  const [oldPaint, setOldPaint] = useState(visit.oldPaint)
  return (
    <div className="grid gap-4 border-t border-rule pt-3 sm:grid-cols-3">
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
    </div>
  )
}

/** A part of a form that is seldom changed: closed until it is asked for, or something in it is wrong. */
function Part({
  title,
  says,
  open,
  children,
}: {
  readonly title: string
  readonly says: string
  readonly open: boolean
  readonly children: ReactNode
}) {
  return (
    <details open={open || undefined} className="border-t border-rule">
      <summary className="min-h-11 content-center text-small">
        <span className="font-medium">{title}</span>: {says}{' '}
        <span className="underline underline-offset-4">change</span>
      </summary>
      {children}
    </details>
  )
}

/** Which schools are other than the usual ones. */
function schoolsWords({ houseRules }: BriefValues): string {
  const others = HOUSE_RULE_NAMES.filter((rule) => houseRules[rule] !== HOUSE_RULES[rule].default)
  return others.length === 0
    ? 'all as usual.'
    : `${others.length} of ${HOUSE_RULE_NAMES.length} other than usual.`
}
