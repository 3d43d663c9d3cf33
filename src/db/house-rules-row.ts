import { z } from 'zod'
import {
  DEFAULT_HOUSE_RULES,
  HOUSE_RULE_NAMES,
  HOUSE_RULES,
  type HouseRules,
} from '../core/advice/house-rules'

/** Rules as they are kept: one without a school, or with a school that is no longer offered, goes by its default. */
export const HouseRulesRow = z
  .record(z.string(), z.string())
  .transform(
    (kept): HouseRules =>
      Object.fromEntries(
        HOUSE_RULE_NAMES.map((rule) => [
          rule,
          Object.hasOwn(HOUSE_RULES[rule].schools, kept[rule] ?? '')
            ? kept[rule]
            : DEFAULT_HOUSE_RULES[rule],
        ]),
      ) as HouseRules,
  )
