import type { KeptReading } from '../core/paint/reading'
import { z } from 'zod'

/** Columns a reading is stored in, as selected by every query that has one. */
export const ReadingColumns = z.object({
  readingKind: z.enum(['lab', 'srgb', 'spectral']),
  labL: z.number().nullable(),
  labA: z.number().nullable(),
  labB: z.number().nullable(),
  hex: z.string().nullable(),
  wavelengthsNm: z.array(z.number()).nullable(),
  reflectances: z.array(z.number()).nullable(),
})

export function readingFromColumns(row: z.infer<typeof ReadingColumns>): KeptReading {
  const { readingKind, labL, labA, labB, hex, wavelengthsNm, reflectances } = row
  if (readingKind === 'srgb' && hex !== null) return { kind: 'srgb', hex }
  if (readingKind === 'spectral' && wavelengthsNm && reflectances)
    return { kind: 'spectral', wavelengthsNm, reflectance: reflectances }
  if (labL !== null && labA !== null && labB !== null)
    return { kind: 'lab', lab: [labL, labA, labB] }
  throw new RangeError('a stored reading has neither L*a*b*, hex nor bands')
}

/** A reading of one number as a change or a cell of JSON has it. */
export const LabReading = z.object({
  kind: z.literal('lab'),
  lab: z.tuple([
    z.number().min(0).max(100),
    z.number().min(-128).max(128),
    z.number().min(-128).max(128),
  ]),
})
export const SrgbReading = z.object({
  kind: z.literal('srgb'),
  hex: z.string().regex(/^#[0-9a-f]{6}$/, 'Expected six digits 0–9 a–f.'),
})
