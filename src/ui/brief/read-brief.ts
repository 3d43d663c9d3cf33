import { z } from 'zod'
import { CLIMATES, CONTRASTS, OLD_PAINT, WANTS } from '@/core/advice/brief'
import {
  choiceValue,
  clockValue,
  dateValue,
  nameValue,
  noteValue,
  numberValue,
} from '../form/form-values'
import { typedDate } from '@/time/typed-date'
import { readForm } from '../form/read-form'
import { houseRuleFields, houseRulesIn } from './read-house-rules'
import type { Filled } from '../form/use-command-form'

const BriefFields = z.object({
  visitId: z.uuid(),
  household: nameValue('the household’s name', 120),
  wishes: noteValue,
  willNotHave: noteValue,
  wants: z.array(z.enum(WANTS)),
  contrast: choiceValue(CONTRASTS),
  climate: choiceValue(CLIMATES),
  oldPaint: choiceValue(OLD_PAINT),
  fromMinute: clockValue,
  toMinute: clockValue,
  placeName: nameValue('a place', 120),
  latitudeDeg: numberValue(-90, 90, '°'),
  longitudeDeg: numberValue(-180, 180, '°'),
  timeZone: z.string().trim(),
  visitDate: dateValue,
  ...houseRuleFields,
})

/** What the form of a brief comes to; its date is typed as the locale writes dates. */
export function readBrief(form: FormData, locale: string): Filled<'keep-brief'> {
  const typed = String(form.get('visitDate') ?? '')
  form.set('visitDate', typedDate(typed, locale) ?? typed)
  const read = readForm(BriefFields, form, ['wants'])
  if (!read.ok) return read
  return {
    ok: true,
    payload: { ...read.data, houseRules: houseRulesIn(read.data) as never },
    goTo: `/visits/${read.data.visitId}/brief`,
  }
}
