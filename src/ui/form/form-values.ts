import { z } from 'zod'
import { expectedNumber, typedNumber } from '@/core/typed-number'
import { lengthWords, typedLengthMm, type LengthUnits } from '@/core/units'

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
    const value = typedNumber(text)
    if (value !== null && value >= least && value <= most) return value
    context.addIssue({ code: 'custom', message: expectedNumber(least, most, unit, text) })
    return z.NEVER
  })

/** A length somebody typed in these units or any other, kept in millimetres; the bounds are millimetres. */
export const lengthValue = (leastMm: number, mostMm: number, units: LengthUnits) =>
  z.string().transform((text, context) => {
    const mm = typedLengthMm(text, units)
    if (mm !== null && mm >= leastMm && mm <= mostMm) return mm
    const range = [leastMm, mostMm].map((bound) => lengthWords(bound, units)).join(' to ')
    context.addIssue({
      code: 'custom',
      message: `Expected ${range}, got ${text.trim() === '' ? 'nothing' : `“${text.trim()}”`}.`,
    })
    return z.NEVER
  })

/** What a length field was filled with, in millimetres, stands under this name beside it. */
export const wasName = (name: string): string => `${name}-was`

/** A length whose field was not touched stays what it was, to the millimetre. */
export function withUntouchedLengths(form: FormData, units: LengthUnits): FormData {
  const read = new FormData()
  for (const [name, value] of form) {
    const was = form.get(wasName(name))
    if (name.endsWith(wasName(''))) continue
    const untouched = was !== null && was !== '' && value === lengthWords(Number(was), units)
    read.append(name, untouched ? `${String(was)} mm` : value)
  }
  return read
}

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

const POINTS: Readonly<Record<string, number>> = {
  n: 0,
  ne: 45,
  e: 90,
  se: 135,
  s: 180,
  sw: 225,
  w: 270,
  nw: 315,
}

/** A bearing in degrees from north, or a compass point: 200, SW, north-east. */
export const bearingValue = z.string().transform((text, context) => {
  const trimmed = text.trim().replace(',', '.')
  const letters = trimmed
    .toLowerCase()
    .replace(/north/g, 'n')
    .replace(/south/g, 's')
    .replace(/east/g, 'e')
    .replace(/west/g, 'w')
    .replace(/[-\s]/g, '')
  const value = POINTS[letters] ?? (/^\d+(\.\d+)?$/.test(trimmed) ? Number(trimmed) : Number.NaN)
  if (value >= 0 && value < 360) return value
  context.addIssue({
    code: 'custom',
    message: `Expected 0 to 359.9 ° or a compass point as SW, got ${trimmed === '' ? 'nothing' : `“${text.trim()}”`}.`,
  })
  return z.NEVER
})

/** A choice; anything else was not offered. */
export const choiceValue = <const T extends readonly [string, ...string[]]>(values: T) =>
  z.enum(values, { error: `Expected one of ${values.join(', ')}.` })

export const noteValue = z.string().trim().max(2000, 'Expected at most 2,000 characters.')
