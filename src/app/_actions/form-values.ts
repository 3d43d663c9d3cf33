import { z } from 'zod'

/** A name somebody typed. */
export const nameValue = (what: string, most = 80) =>
  z
    .string()
    .trim()
    .min(1, `Expected ${what}, got nothing.`)
    .max(most, `Expected ${what} of at most ${most} characters.`)

/** A number somebody typed, with a point or a comma. */
export const numberValue = (least: number, most: number, unit: string) =>
  z.string().transform((text, context) => {
    const trimmed = text.trim()
    const value = /^[-+−]?\d+([.,]\d+)?$/.test(trimmed)
      ? Number(trimmed.replace(',', '.').replace('−', '-'))
      : Number.NaN
    if (value >= least && value <= most) return value
    const range = `${least.toLocaleString('en-GB')} to ${most.toLocaleString('en-GB')}${unit && ` ${unit}`}`
    context.addIssue({
      code: 'custom',
      message: `Expected ${range}, got ${trimmed === '' ? 'nothing' : `“${trimmed}”`}.`,
    })
    return z.NEVER
  })

/** Metres somebody typed, kept in millimetres. */
export const metresValue = (least: number, most: number) =>
  numberValue(least, most, 'm').transform((metres) => Math.round(metres * 1000))

export const dateValue = z
  .string()
  .trim()
  .superRefine((text, context) => {
    if (!z.iso.date().safeParse(text).success)
      context.addIssue({
        code: 'custom',
        message: `Expected a date that exists, as 2026-06-21, got ${text === '' ? 'nothing' : `“${text}”`}.`,
      })
  })

/** A time of the clock as 09:30, kept in minutes. */
export const clockValue = z.string().transform((text, context) => {
  const [, hours, minutes] = /^(\d{1,2})[:.](\d{2})$/.exec(text.trim()) ?? []
  const value = Number(hours) * 60 + Number(minutes)
  if (Number(minutes) < 60 && value <= 1440) return value
  context.addIssue({
    code: 'custom',
    message: `Expected a time as 09:30, got ${text.trim() === '' ? 'nothing' : `“${text.trim()}”`}.`,
  })
  return z.NEVER
})

/** A choice; anything else was not offered. */
export const choiceValue = <const T extends readonly [string, ...string[]]>(values: T) =>
  z.enum(values, { error: `Expected one of ${values.join(', ')}.` })

export const noteValue = z.string().trim().max(2000, 'Expected at most 2,000 characters.')
