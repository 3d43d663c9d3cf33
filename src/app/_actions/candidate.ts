'use server'

import { z } from 'zod'
import { addCandidate, dropCandidate } from '@/db/candidates'
import { openDb } from '@/db/store'
import type { ActionResult } from '@/ui/form/action-result'
import { kept, refused } from './result'

const TakeUp = z.object({
  id: z.uuid(),
  visitId: z.uuid(),
  deckColourId: z.uuid(),
  strengthPercent: z.number().int().min(1).max(150),
})

/** Takes a deck colour up at a strength. */
export async function takeUp(candidate: z.infer<typeof TakeUp>): Promise<ActionResult> {
  const input = TakeUp.safeParse(candidate)
  if (!input.success) return refused(input.error)
  await addCandidate(await openDb(), input.data)
  return kept()
}

/** Drops a candidate that has no looks. */
export async function dropUnseen(id: string): Promise<ActionResult> {
  const input = z.uuid().safeParse(id)
  if (!input.success) return refused(input.error)
  if (!(await dropCandidate(await openDb(), input.data)))
    return {
      ok: false,
      message: 'It has been looked at, so it stays on record. Rule it out instead.',
    }
  return kept()
}
