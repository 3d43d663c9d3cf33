'use server'

import { z } from 'zod'
import { modelledLight, type LightChoice } from '@/core/light/light-choice'
import { questionOf } from '@/core/light/meter'
import { SKIES } from '@/core/light/sky'
import { SPOT_NAMES } from '@/core/light/spot'
import { loadRoom } from '@/app/_load/visit-page'
import { dropMeterReading, keepMeterReading, METER_DEVICES } from '@/db/meter-readings'
import { openDb } from '@/db/store'
import type { ActionResult } from '@/ui/form/action-result'
import { numberValue } from './form-values'
import { kept, refused } from './result'

const MeterForm = z.object({
  id: z.uuid(),
  visitId: z.uuid(),
  roomId: z.uuid(),
  minute: z.coerce.number().int().min(0).max(1500),
  sky: z.enum(SKIES),
  lampsOn: z.enum(['yes', 'no']).transform((said) => said === 'yes'),
  spot: z.enum(SPOT_NAMES),
  lux: numberValue(0.1, 150_000, 'lux'),
  cctK: numberValue(1500, 25_000, 'K'),
  device: z.enum(METER_DEVICES),
  /** Said after a question: it was looked into, and it stands. */
  stands: z.literal('on').optional(),
})

/** Keeps a light-meter reading; one that disagrees with the model is asked about first. */
export async function keepReading(form: FormData): Promise<ActionResult> {
  const input = MeterForm.safeParse(Object.fromEntries(form))
  if (!input.success) return refused(input.error)
  const { stands, visitId, ...reading } = input.data
  const { roomDay } = await loadRoom(visitId, reading.roomId)
  const choice: LightChoice = { source: 'room', ...reading }
  const model = modelledLight(roomDay, choice)
  const question = model && questionOf({ figures: reading, model })
  if (question && !stands) return { ok: false, message: question, fields: { stands: question } }
  await keepMeterReading(await openDb(), reading)
  return kept()
}

/** Takes a reading away again. */
export async function dropReading(form: FormData): Promise<ActionResult> {
  const input = z.object({ id: z.uuid() }).safeParse(Object.fromEntries(form))
  if (!input.success) return refused(input.error)
  await dropMeterReading(await openDb(), input.data.id)
  return kept()
}
