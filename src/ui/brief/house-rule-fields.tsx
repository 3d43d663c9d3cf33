'use client'

import { useState } from 'react'
import {
  HOUSE_RULE_NAMES,
  HOUSE_RULES,
  schoolsOf,
  type HouseRuleName,
  type HouseRules,
} from '@/core/advice/house-rules'
import { Select } from '../form/field'
import { useTradeWords } from '../settings/settings-context'

/** The points where practitioners differ, each with what its school holds in a sentence. */
export function HouseRuleFields({ rules }: { readonly rules: HouseRules }) {
  return (
    <fieldset className="grid gap-4 border-t border-ink pt-4 sm:col-span-2 sm:grid-cols-2 lg:grid-cols-3">
      <legend className="float-left mb-2 font-display text-title sm:col-span-2 lg:col-span-3">
        House rules
      </legend>
      {HOUSE_RULE_NAMES.map((rule) => (
        <HouseRuleField key={rule} rule={rule} school={rules[rule]} />
      ))}
    </fieldset>
  )
}

function HouseRuleField({
  rule,
  school,
}: {
  readonly rule: HouseRuleName
  readonly school: string
}) {
  const inWords = useTradeWords()
  const [picked, setPicked] = useState(school)
  const schools = schoolsOf(rule)
  const says = inWords(schools.find((each) => each.school === picked)?.says ?? '')
  const { question, default: usual, why } = HOUSE_RULES[rule]
  const because = inWords(why)
  return (
    <Select
      label={inWords(question)}
      name={`rule-${rule}`}
      value={picked}
      onChange={(event) => setPicked(event.target.value)}
      options={schools.map((each) => [each.school, each.label] as const)}
      hint={
        picked === usual
          ? `${says} The default: ${because.charAt(0).toLowerCase()}${because.slice(1)}`
          : says
      }
    />
  )
}
