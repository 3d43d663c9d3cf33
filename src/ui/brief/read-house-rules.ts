import { HOUSE_RULE_NAMES, schoolsOf, type HouseRules } from '@/core/advice/house-rules'
import { choiceValue } from '../form/form-values'

/** The fields that `HouseRuleFields` puts on a form. */
export const houseRuleFields = Object.fromEntries(
  HOUSE_RULE_NAMES.map((rule) => {
    const [first, ...others] = schoolsOf(rule).map(({ school }) => school)
    return [`rule-${rule}`, choiceValue([first!, ...others])]
  }),
)

/** The rules that those fields say. */
export const houseRulesIn = (said: object): HouseRules =>
  Object.fromEntries(
    HOUSE_RULE_NAMES.map((rule) => [rule, (said as Record<string, unknown>)[`rule-${rule}`]]),
  ) as HouseRules
