import { isOwnPage } from '@/app/door'
import { logError } from '@/app/log'
import { keepChange, NotNowError } from '@/commands/keep-change'
import type { Answer } from '@/commands/kinds'
import { applicationStore } from '@/store/store'

// A keeper with five spectra is a tenth of it.
const MOST_BYTES = 1_000_000

/** The one way in: a change, made once however often it is sent. */
export async function POST(request: Request): Promise<Response> {
  if (!(await isOwnPage(request)))
    return refuse('Elm Swatch takes changes from its own page only.', 403)
  const text = await request.text()
  if (text.length > MOST_BYTES) return refuse('Expected a change of at most 1 MB.', 413)
  let sent: unknown
  try {
    sent = JSON.parse(text)
  } catch {
    return refuse('Expected a change as JSON.', 400)
  }
  try {
    const answer = await keepChange(await applicationStore(), sent, new Date().toISOString())
    // A refusal is an answer too: what was sent arrived, and this is what came of it.
    return Response.json(answer)
  } catch (error) {
    if (error instanceof NotNowError) return refuse(error.message, 503)
    logError('A change', error)
    return refuse('Something went wrong in the store; nothing was kept of this change.', 500)
  }
}

const refuse = (message: string, status: number): Response =>
  Response.json({ ok: false, message } satisfies Answer, { status })
