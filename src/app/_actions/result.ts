import { revalidatePath } from 'next/cache'
import type { z } from 'zod'
import type { ActionResult } from '@/ui/form/action-result'

/** What a person can mend: a message at each field that has one. */
export function refused(error: z.ZodError): ActionResult {
  const fields: Record<string, string> = {}
  for (const issue of error.issues) fields[issue.path.join('.')] ??= issue.message
  return { ok: false, fields }
}

/** Everything on screen may depend on what was just written. */
export function kept(goTo?: string): ActionResult {
  revalidatePath('/', 'layout')
  return { ok: true, goTo }
}
