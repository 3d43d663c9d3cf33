'use server'

import { z } from 'zod'
import { setLead } from '@/db/rooms'
import { openDb } from '@/db/store'
import type { ActionResult } from '@/ui/form/action-result'
import { kept, refused } from './result'

/** Notes which keeper leads in a room. */
export async function chooseLead(roomId: string, keeperId: string): Promise<ActionResult> {
  const input = z.object({ roomId: z.uuid(), keeperId: z.uuid() }).safeParse({ roomId, keeperId })
  if (!input.success) return refused(input.error)
  if (!(await setLead(await openDb(), input.data.roomId, input.data.keeperId)))
    return { ok: false, message: 'It is not in this room any more. Load the page again.' }
  return kept()
}
