'use server'

import tzLookup from '@photostructure/tz-lookup'
import { z } from 'zod'
import { CLIMATES, CONTRASTS, OLD_PAINT, WANTS } from '@/core/advice/brief'
import { HOUSE_RULE_NAMES, schoolsOf, type HouseRules } from '@/core/advice/house-rules'
import { openDb } from '@/db/store'
import { saveVisit, setVisitFinished } from '@/db/visits'
import { minuteAtClockTime } from '@/core/light/day-clock'
import { isTimeZone, localDay } from '@/time/local-day'
import type { ActionResult } from '@/ui/form/action-result'
import {
  choiceValue,
  clockValue,
  dateValue,
  nameValue,
  noteValue,
  numberValue,
} from './form-values'
import { kept, refused } from './result'

const BriefForm = z.object({
  id: z.uuid(),
  household: nameValue('the household’s name', 120),
  wishes: noteValue,
  willNotHave: noteValue,
  contrast: choiceValue(CONTRASTS),
  climate: choiceValue(CLIMATES),
  oldPaint: choiceValue(OLD_PAINT),
  fromMinute: clockValue,
  toMinute: clockValue,
  placeName: nameValue('a place', 120),
  latitudeDeg: numberValue(-90, 90, '°'),
  longitudeDeg: numberValue(-180, 180, '°'),
  // Comes with a town of the list; worked out from the coordinates when typed.
  timeZone: z.string().trim(),
  visitDate: dateValue,
})

const SchoolsForm = z.object(
  Object.fromEntries(
    HOUSE_RULE_NAMES.map((rule) => {
      const [first, ...others] = schoolsOf(rule).map(({ school }) => school)
      return [`rule-${rule}`, choiceValue([first!, ...others])]
    }),
  ),
)

/** Keeps the brief of a visit, new or changed. */
export async function saveBrief(form: FormData): Promise<ActionResult> {
  const entries = Object.fromEntries(form)
  const input = BriefForm.safeParse(entries)
  const schools = SchoolsForm.safeParse(entries)
  if (!input.success) return refused(input.error)
  if (!schools.success) return refused(schools.error)
  const wants = z.array(z.enum(WANTS)).safeParse(form.getAll('wants'))
  if (!wants.success) return refused(wants.error)
  if (input.data.toMinute <= input.data.fromMinute)
    return { ok: false, fields: { toMinute: 'Expected an end after the beginning.' } }
  const { timeZone: named, ...brief } = input.data
  const timeZone = isTimeZone(named) ? named : tzLookup(brief.latitudeDeg, brief.longitudeDeg)
  const day = localDay(brief.visitDate, timeZone)
  for (const field of ['fromMinute', 'toMinute'] as const)
    if (brief[field] < 1440 && minuteAtClockTime(day, clockOf(brief[field])) === null)
      return {
        ok: false,
        fields: {
          [field]: `Expected an hour of that day, got ${clockOf(brief[field])}: the clocks jump over it.`,
        },
      }
  await saveVisit(await openDb(), {
    ...brief,
    wants: wants.data,
    houseRules: Object.fromEntries(
      HOUSE_RULE_NAMES.map((rule) => [rule, schools.data[`rule-${rule}`]]),
    ) as HouseRules,
    timeZone,
  })
  return kept(`/visits/${brief.id}/brief`)
}

const clockOf = (minute: number): string =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`

const FinishForm = z.object({ id: z.uuid(), finished: z.enum(['yes', 'no']) })

/** Marks a visit finished, or opens it again. */
export async function finishVisit(form: FormData): Promise<ActionResult> {
  const input = FinishForm.safeParse(Object.fromEntries(form))
  if (!input.success) return refused(input.error)
  await setVisitFinished(await openDb(), input.data.id, input.data.finished === 'yes')
  return kept()
}
