import { z } from 'zod'
import { FIRST_SPEAKS } from '@/core/record/agreement'
import { TRADE_WORDS } from '@/core/trade-words'
import { LENGTH_UNITS, VOLUME_UNITS } from '@/core/units'
import { houseRuleFields, houseRulesIn } from '../brief/read-house-rules'
import { choiceValue, nameValue } from '../form/form-values'
import { readForm } from '../form/read-form'
import type { Filled } from '../form/use-command-form'

const SettingsFields = z.object({
  who: nameValue('your name'),
  lengths: choiceValue(LENGTH_UNITS),
  volumes: choiceValue(VOLUME_UNITS),
  words: choiceValue(TRADE_WORDS),
  firstSpeaks: choiceValue(FIRST_SPEAKS),
  ...houseRuleFields,
})

/** What the form of the settings comes to. */
export function readSettings(form: FormData): Filled<'keep-settings'> {
  const read = readForm(SettingsFields, form)
  if (!read.ok) return read
  const { who, lengths, volumes, words, firstSpeaks } = read.data
  return {
    ok: true,
    payload: {
      ...{ who, lengths, volumes, words, firstSpeaks },
      houseRules: houseRulesIn(read.data) as never,
    },
  }
}
