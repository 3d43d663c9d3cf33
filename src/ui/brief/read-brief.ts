import { z } from 'zod'
import { CLIMATES, CONTRASTS, OLD_PAINT, WANTS } from '@/core/advice/brief'
import { HOUSE_RULE_NAMES, schoolsOf } from '@/core/advice/house-rules'
import {
  choiceValue,
  clockValue,
  dateValue,
  nameValue,
  noteValue,
  numberValue,
} from '../form/form-values'
import { readForm } from '../form/read-form'
import type { Filled } from '../form/use-command-form'

const schools = Object.fromEntries(
  HOUSE_RULE_NAMES.map((rule) => {
    const [first, ...others] = schoolsOf(rule).map(({ school }) => school)
    return [`rule-${rule}`, choiceValue([first!, ...others])]
  }),
)

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
  ...schools,
})

/** What the form of a brief comes to. */
export function readBrief(form: FormData): Filled<'keep-brief'> {
  const read = readForm(BriefFields, form, ['wants'])
  if (!read.ok) return read
  const said = read.data as typeof read.data & Readonly<Record<string, string>>
  const rules = Object.fromEntries(HOUSE_RULE_NAMES.map((rule) => [rule, said[`rule-${rule}`]]))
  return {
    ok: true,
    payload: { ...read.data, houseRules: rules as never },
    goTo: `/visits/${read.data.visitId}/brief`,
  }
}
