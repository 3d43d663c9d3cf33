import { z } from 'zod'
import { HOUSE_RULE_NAMES, schoolsOf, type HouseRules } from '../core/advice/house-rules'

// What the payloads of several kinds are made of. Forms read what was typed with messages of their own; here the same
// limits hold for whoever sends.

export const id = z.uuid('Expected an id.')
export const name = (what: string, most = 80) =>
  z
    .string()
    .trim()
    .min(1, `Expected ${what}, got nothing.`)
    .max(most, `Expected ${what} of at most ${most} characters.`)
export const note = z.string().max(2000, 'Expected at most 2,000 characters.')
export const shortText = z.string().max(80, 'Expected at most 80 characters.')
export const strengthPercent = z.int().min(1).max(150)
export const millimetres = (least: number, most: number) => z.int().min(least).max(most)
export const date = z.iso.date('Expected a date that exists, as 2026-06-21.')
export const minute = z.int().min(0).max(1500)
export const houseRules = z
  .object(
    Object.fromEntries(
      HOUSE_RULE_NAMES.map((rule) => [rule, z.enum(schoolsOf(rule).map(({ school }) => school))]),
    ),
  )
  .transform((rules) => rules as unknown as HouseRules)
/** A photo by the hash of its bytes. */
export const photoHash = z.string().regex(/^[0-9a-f]{64}$/, 'Expected the hash of a photo.')
