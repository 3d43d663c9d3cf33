import type { PlainReading } from '../core/paint/reading'
import { z } from 'zod'

/** Columns a reading is stored in, as selected by every query that has one. */
export const ReadingColumns = z.object({
  readingKind: z.enum(['lab', 'srgb']),
  labL: z.number().nullable(),
  labA: z.number().nullable(),
  labB: z.number().nullable(),
  hex: z.string().nullable(),
})

export function readingFromColumns(row: z.infer<typeof ReadingColumns>): PlainReading {
  if (row.readingKind === 'srgb' && row.hex !== null) return { kind: 'srgb', hex: row.hex }
  if (row.labL !== null && row.labA !== null && row.labB !== null)
    return { kind: 'lab', lab: [row.labL, row.labA, row.labB] }
  throw new RangeError('a stored reading has neither L*a*b* nor hex')
}

/** kind, L*, a*, b*, hex. */
export function readingParameters(
  reading: PlainReading,
): readonly [string, number | null, number | null, number | null, string | null] {
  return reading.kind === 'lab'
    ? ['lab', ...reading.lab, null]
    : ['srgb', null, null, null, reading.hex]
}
