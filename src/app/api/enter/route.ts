import { RateLimiterMemory } from 'rate-limiter-flexible'
import { z } from 'zod'
import { entryCookie, isFromHere, isOwnPage, leavingCookie } from '@/app/door'
import { isOwnProgram } from '@/store/control'
import { addressOf } from '@/store/peer'
import { endEntries, isPasscode } from '@/store/passcode'
import { dataDirFromEnvironment } from '@/store/store'

const GUESS_SECONDS = 60
// By address, so that nobody locks the others out; and together, so that whoever guesses from many addresses is little quicker.
const guesses = new RateLimiterMemory({ points: 5, duration: GUESS_SECONDS })
const together = new RateLimiterMemory({ points: 30, duration: GUESS_SECONDS })

const Asked = z.object({ passcode: z.string().max(200) })

const say = (message: string, status: number, headers: HeadersInit = {}): Response =>
  Response.json({ ok: status === 200, message }, { status, headers })

/** Lets in whoever knows the passcode; guesses are slowed down. */
export async function POST(request: Request): Promise<Response> {
  if (!isFromHere(request)) return say('Enter on the page of Elm Swatch.', 403)
  const asked = Asked.safeParse(await request.json().catch(() => null))
  if (!asked.success) return say('Expected a passcode.', 400)
  const address = addressOf(request.headers)
  try {
    // A program of this user on this machine is never locked out.
    if (!isOwnProgram(request)) {
      await guesses.consume(address)
      await together.consume('all')
    }
  } catch {
    return say('Too many guesses; wait a minute and try again.', 429, {
      'retry-after': String(GUESS_SECONDS),
    })
  }
  if (!(await isPasscode(dataDirFromEnvironment(), asked.data.passcode)))
    return say('That is not the passcode.', 401)
  await guesses.delete(address)
  return say('', 200, { 'set-cookie': await entryCookie(request) })
}

/** Leaves, on this device or on all of them. */
export async function DELETE(request: Request): Promise<Response> {
  if (!(await isOwnPage(request))) return say('Enter first.', 401)
  if (new URL(request.url).searchParams.get('everywhere') === 'yes')
    endEntries(dataDirFromEnvironment())
  return say('', 200, { 'set-cookie': leavingCookie(request) })
}
