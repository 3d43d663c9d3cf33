import { z } from 'zod'
import type { ReadingEvidence } from '../core/paint/reading-evidence'

const words = z.string().trim().min(1).max(120)
const units = z.number().min(0).max(50)

/** What a reading was made with, as it is sent and stored. */
export const ReadingEvidenceShape: z.ZodType<ReadingEvidence> = z.strictObject({
  uncertainty: z.strictObject({ lean: units, lightness: units }).optional(),
  card: words.optional(),
  light: words.optional(),
  balance: words.optional(),
  saysLightness: z.boolean().optional(),
  exposure: z
    .strictObject({ white: z.number().positive(), illuminanceLux: z.number().positive() })
    .optional(),
  pictureCorrected: z.boolean().optional(),
  field: words.optional(),
  device: words.optional(),
  measuredFor: words.optional(),
  takenAt: z.iso.datetime({ offset: true }).optional(),
})
