import { z } from 'zod'
import { FIRST_SPEAKS } from '@/core/record/agreement'
import { LENGTH_UNITS, VOLUME_UNITS } from '@/core/units'
import { houseRuleFields, houseRulesIn } from '../brief/read-house-rules'
import { choiceValue, nameValue } from '../form/form-values'
import { readForm } from '../form/read-form'
import type { Filled } from '../form/use-command-form'

const SettingsFields = z.object({
  who: nameValue('your name'),
  lengths: choiceValue(LENGTH_UNITS),
  volumes: choiceValue(VOLUME_UNITS),
  firstSpeaks: choiceValue(FIRST_SPEAKS),
  ...houseRuleFields,
})

/** What the form of the settings comes to. */
export function readSettings(form: FormData): Filled<'keep-settings'> {
  const read = readForm(SettingsFields, form)
  if (!read.ok) return read
  const { who, lengths, volumes, firstSpeaks } = read.data
  return {
    ok: true,
    payload: { who, lengths, volumes, firstSpeaks, houseRules: houseRulesIn(read.data) as never },
  }
}
