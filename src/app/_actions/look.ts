'use server'

import { z } from 'zod'
import { REASONS, VERDICTS } from '@/core/record/verdict'
import { LIGHT_SOURCES } from '@/core/light/light-choice'
import { SKIES } from '@/core/light/sky'
import { SPOT_NAMES } from '@/core/light/spot'
import { keepLook, retractLook } from '@/db/looks'
import { openDb } from '@/db/store'
import type { ActionResult } from '@/ui/form/action-result'
import { noteValue } from './form-values'
import { kept, refused } from './result'

const LookInput = z.object({
  id: z.uuid(),
  candidateId: z.uuid(),
  roomId: z.uuid(),
  keeperId: z.uuid(),
  lightSource: z.enum(LIGHT_SOURCES),
  lightMinute: z.number().int().min(0).max(1500),
  sky: z.enum(SKIES),
  spot: z.enum(SPOT_NAMES),
  lampsOn: z.boolean(),
  verdict: z.enum(VERDICTS),
  reasons: z.array(z.enum(REASONS)).max(REASONS.length),
  note: noteValue,
})

/** Keeps one look; it is on disk when this answers. */
export async function recordLook(look: z.infer<typeof LookInput>): Promise<ActionResult> {
  const input = LookInput.safeParse(look)
  if (!input.success) return refused(input.error)
  const saved = await keepLook(await openDb(), input.data)
  if (!saved)
    return { ok: false, message: 'That candidate or keeper was removed. Load the page again.' }
  return kept()
}

/** Strikes a look out. */
export async function undoLook(id: string): Promise<ActionResult> {
  const input = z.uuid().safeParse(id)
  if (!input.success) return refused(input.error)
  await retractLook(await openDb(), input.data)
  return kept()
}
