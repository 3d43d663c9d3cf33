import { taking } from '@/app/writing'
import { keepChange } from '@/commands/keep-change'
import type { Answer } from '@/commands/kinds'
import { applicationStore } from '@/store/store'

// A keeper with five spectra is a tenth of it.
const MOST_BYTES = 1_000_000

/** The one way in: a change, made once however often it is sent. */
export const POST = taking({ takes: 'changes', mostBytes: MOST_BYTES }, async (request) => {
  let sent: unknown
  try {
    sent = JSON.parse(await request.text())
  } catch {
    return Response.json({ ok: false, message: 'Expected a change as JSON.' } satisfies Answer, {
      status: 400,
    })
  }
  // A refusal is an answer too: what was sent arrived, and this is what came of it.
  return Response.json(await keepChange(await applicationStore(), sent, new Date().toISOString()))
})
